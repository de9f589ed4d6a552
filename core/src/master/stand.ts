import type { Path, Point, Point3 } from '../geometry/index.js'
import type { Clip } from './clip.js'

/** Where a flat part of a panel stands: its corner, which way its course runs off, and where its grain looks. */
export interface Frame {
  readonly origin: Point3
  /** Unit vector along the course where it begins. */
  readonly along: Point3
  /** Unit vector out of the grain side where the course begins. */
  readonly rise: Point3
}

/**
 * Part of a panel as it stands: bent along one direction only, straight across it. The panel's length from `from` in the
 * direction of `along` is laid along the course, a path from (0, 0) that sets off to the right; up in it is out of the
 * grain side. Beyond its ends the course goes on straight.
 */
export interface StoodPart {
  /** What of the panel belongs to this part, in the panel's coordinates. */
  readonly clips: readonly Clip[]
  readonly from: Point
  /** Unit vector, in the panel's coordinates. */
  readonly along: Point
  readonly course: Path
  readonly frame: Frame
  /** What lies further across than these is a flange that stands out square, its flesh away from the middle, mm. */
  readonly flanges?: { readonly from: number; readonly to: number }
  /** Across its course it is wound round a core, between the flat ends of it. */
  readonly wound?: Wound
  /** At its ends it is turned a quarter round its course, so that its grain looks where its right side did. */
  readonly twisted?: Ends
}

/** How a strap goes over from its flat ends: its course between them, how far it goes on as it lies there, and how soon it is over after that, mm. */
export interface Ends {
  readonly length: number
  readonly flat: number
  readonly ramp: number
}

/** Leather wound round a core under it, its two edges laid together below. Lengths mm, angle radians. */
export interface Wound {
  /** From the middle of the core to the middle of the leather, and how far round it lies on either side. */
  readonly radius: number
  readonly angle: number
  /** From there straight to where the edges lie together; what is left hangs down. */
  readonly straight: number
  readonly ends: Ends
}

/** A placed panel as it stands in the finished work. */
export interface Stood {
  readonly sheet: string
  readonly parts: readonly StoodPart[]
  /** How far the middle of its thickness lies outside the skeleton of stitch lines, towards the grain, mm. */
  readonly seamOffset: number
  /** What it belongs to where parts of the picture can be left out. */
  readonly group?: 'straps'
}

/** A sheet that lies on one that stands, as it does in the laid-out work. */
export interface Riding {
  readonly sheet: string
  readonly on: string
}

/** Something that is carried, as it stands in the finished work: the four corners of its foot, and those of its top over them. */
export interface InsideThing {
  readonly name: string
  readonly foot: readonly Point3[]
  readonly top: readonly Point3[]
}

/** The finished work in space. */
export interface Standing {
  readonly stood: readonly Stood[]
  readonly riding: readonly Riding[]
  /** What a kind knows to stand in it; what is packed into a room is reckoned later. */
  readonly inside?: readonly InsideThing[]
}
