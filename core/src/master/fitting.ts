import type { Point } from '../geometry/index.js'
import type { Reckoned } from '../working/index.js'

/** Hardware at its place on a panel. What it is comes from the design's own hardware, by role. */
export interface Fitting {
  readonly id: string
  readonly name: string
  readonly role: string
  /** The sheet it is set on, and where, in that panel's coordinates. */
  readonly sheet: string
  readonly at: Point
  /** Which way is up on it, radians. */
  readonly up: number
  /** Sheets of the laid-out work that it goes through, and how many times each lies there where it is turned back. */
  readonly through: readonly {
    readonly sheet: string
    readonly times: number
    /** Where on that panel, where it does not lie there in the laid-out work. */
    readonly at?: Point
  }[]
  /** The run after which it can no longer be reached, by join. */
  readonly before?: string
  /** It can only be set once this run is sewn. */
  readonly after?: string
  /** Held in a loop of leather or by its tape: no hole is punched for it. */
  readonly held?: boolean
  /** How many of it the place takes: a pair of rivets side by side is 2. */
  readonly count: number
  /** Which half of a snap, magnet or lock this is. */
  readonly half?: 'upper' | 'lower'
  /** A zip's length and its stops, mm. */
  readonly length?: Reckoned
}

/** A bag that is sewn inside out: what turning it depends on. Lengths in mm. */
export interface Turning {
  /** The role of the leather that is hardest to turn. */
  readonly role: string
  /** Round the body that has to go through. */
  readonly girth: Reckoned
  /** Round the opening it goes through. */
  readonly opening: Reckoned
  /** Names of the parts that lie inside out while it is sewn, in the order they are turned. */
  readonly inside: readonly string[]
  readonly panelId: string
}

/** A corner that leather is sewn round. Lengths in mm, radians. */
export interface Corner {
  readonly id: string
  readonly name: string
  readonly panelId: string
  readonly at: Point
  readonly radius: Reckoned
  readonly angle: number
  readonly allowance: number
  /** What cuts into it leave from the stitch line at least, mm. */
  readonly uncut: number
  /** The role of the leather that has to go round. */
  readonly role: string
}

/** Lengths that make a side of the room larger, by field id: it is that share of the smallest of them. */
export interface RoomSettings {
  readonly fields: readonly string[]
  readonly share: number
  /** What of the setting isn’t room: leather that stands inside it, mm. */
  readonly besides?: number
}

/** The room inside a bag and the mouth that things go through. */
export interface Room {
  readonly wide: Reckoned
  readonly high: Reckoned
  readonly deep: Reckoned
  readonly mouthWide: Reckoned
  readonly mouthDeep: Reckoned
  /** Kept free round what goes in, mm. */
  readonly ease: number
  /** How high its floor lies over the foot: what a base is thick, mm. */
  readonly floor: number
  /** How deep it is so far over its floor, open by so much, where its walls lean apart; things in it stand against its back or in the middle. */
  readonly leans?: { readonly from: 'middle' | 'back'; readonly to: (opened: number, up: number) => number }
  /** Walls that part it into compartments of one depth, and how thick each is, mm. */
  readonly dividers: { readonly count: number; readonly thickness: number }
  /** What makes it larger. */
  readonly settings: Readonly<Record<'wide' | 'high' | 'deep', RoomSettings>>
  readonly panelId: string
  /** A second compartment in front of it: how far its floor lies above that of the room, and its back before the room’s front, mm. */
  readonly second?: Room & { readonly above: number; readonly before: number }
}

/** What a bag hangs from: places on standing sheets. */
export interface Hanging {
  readonly name: string
  readonly points: readonly { readonly sheet: string; readonly at: Point }[]
}

/** A length of strap leather that is cut in one run if the hide is long enough, mm. */
export interface StrapRun {
  readonly panelId: string
  readonly name: string
  readonly role: string
  readonly length: Reckoned
}
