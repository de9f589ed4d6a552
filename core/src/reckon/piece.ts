import type { Path, Point } from '../geometry/index.js'
import type { Panel } from '../master/index.js'

/** What is drawn on a piece besides its outline, in the piece's own coordinates, mm. */
export type Mark =
  | {
      readonly type: 'fold'
      readonly from: Point
      readonly to: Point
      readonly width: number
      readonly rises: 'hill' | 'valley'
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
  | { readonly type: 'glue'; readonly area: Path }
  | { readonly type: 'notch'; readonly at: Point; readonly angle: number; readonly letters: string }
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
  readonly marks: readonly Mark[]
  readonly holes: readonly PieceHole[]
}
