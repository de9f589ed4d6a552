import type { Point } from '../../../geometry/index.js'
import type { Join, Panel, Stood } from '../../../master/index.js'
import type { Reckoned } from '../../../working/index.js'
import type { Flap } from '../parts/flap.js'

/** A boxed corner between stitch lines: the flat panel, and the square that is cut out of its foot, mm. */
export interface Box {
  readonly w0: Reckoned
  readonly h0: Reckoned
  readonly c: Reckoned
  readonly m: number
  /** The whole panel with its allowances. */
  readonly w: number
  /** Where the sides and the base are folded. */
  readonly xl: number
  readonly xr: number
  readonly fold: number
  readonly bend: number
  readonly flap: Flap | undefined
  /** A foot that is a panel of its own. */
  readonly base: LappedBase | undefined
}

/** A face of the bag and how its own coordinates lie on its sheet: the back of a one-piece bag is turned round. */
export interface Face {
  readonly id: 'front' | 'back'
  readonly sheet: string
  readonly place: (p: Point) => Point
  readonly way: (v: Point) => Point
}

/** A base panel that front and back end in: the foot is its own, and it laps up the outside of both. Lengths mm. */
export interface LappedBase {
  readonly panel: Panel
  readonly high: Reckoned
  /** Where front and back end, from their top edge. */
  readonly endsAt: number
  /** A place of a face below its fold, on the base panel. */
  readonly onFoot: (face: Face['id'], p: Point) => Point
  /** The lap that has room for two rows, where it has room for one only. */
  readonly oneRow: number | undefined
  /** Rows on either lap: two, or one in the middle of a short one. */
  readonly rows: (faces: readonly Face[]) => readonly Join[]
  readonly stood: () => Stood
}
