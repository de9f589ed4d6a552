import type { Path, Point } from '../geometry/index.js'
import type { EdgeProfile, EdgeWork, Treatment } from '../edges/index.js'
import type { Panel, PanelMark } from '../master/index.js'

/** What is drawn on a piece besides its outline, in the piece's own coordinates, mm. */
export type Mark =
  | {
      readonly type: 'fold'
      readonly from: Point
      readonly to: Point
      readonly width: number
      readonly rises: 'mountain' | 'valley'
      readonly note?: string
    }
  | {
      readonly type: 'skive'
      readonly area: Path
      readonly from: Point
      readonly to: Point
      readonly start: number
      readonly end: number
      readonly name: string
    }
  | {
      readonly type: 'skiveEdge'
      readonly profile: EdgeProfile
      /** Which way into the piece. */
      readonly inward: 1 | -1
      /** How far outside the profile's line the skive begins, mm: the allowance of a turned edge. */
      readonly outside: number
      readonly full: number
      readonly name: string
    }
  | { readonly type: 'foldTo'; readonly path: Path }
  | { readonly type: 'treat'; readonly cuts: readonly Path[]; readonly sort: Treatment['sort'] }
  | { readonly type: 'stop'; readonly at: Point; readonly across: number }
  | { readonly type: 'block'; readonly path: Path; readonly by: number }
  | { readonly type: 'set'; readonly mark: PanelMark }
  /** Inside the area and outside what is left out of it. */
  | { readonly type: 'glue'; readonly area: Path; readonly without?: Path }
  | { readonly type: 'notch'; readonly at: Point; readonly angle: number; readonly letters: string }
  /** Sewn along by machine. */
  | { readonly type: 'stitchLine'; readonly path: Path }
  | { readonly type: 'grain'; readonly at: Point; readonly angle: number }

/** A hole as it is marked on a piece: a slot of the iron's own length, width and slant. */
export interface PieceHole {
  readonly at: Point
  /** Direction of the slot's long side, radians. */
  readonly angle: number
  readonly length: number
  readonly width: number
}

/** A thing to cut. Several panels of the work may be cut from one piece's drawing (`count`). */
export interface Piece {
  readonly panel: Panel
  readonly id: string
  readonly name: string
  readonly count: number
  readonly flipped: number
  /** Leather or card it is cut from. */
  readonly material: string
  readonly thickness: number | undefined
  readonly swatch: string
  readonly finished: Path
  readonly cut: Path
  /** What becomes of its edges, with the numbers. */
  readonly work: EdgeWork
  readonly marks: readonly Mark[]
  readonly holes: readonly PieceHole[]
}

/** What guides are cut from. */
export const CARD_STOCK = { name: 'card', swatch: '#ffffff' } as const
