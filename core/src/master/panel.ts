import { type Across, type Path, type Point, pointSpread } from '../geometry/index.js'
import type { Reckoned } from '../working/index.js'

/** What becomes of an edge. `trim` mm are cut extra and trimmed flush after sewing; 0 where it is cut to size. */
export interface RawFate {
  readonly type: 'raw'
  readonly finish: 'burnished' | 'painted' | 'left'
  readonly trim: number
}

/** How the leather is thinned for a turned edge; docs/formulas.md §4. */
export type TurnSchool = 'even' | 'fold' | 'feather'

/** The border folded over and stuck down; `lines` rows of stitches hold it, the first `margin` mm in. */
export interface TurnedFate {
  readonly type: 'turned' | 'rolled'
  /** From the finished edge to where the cut edge lands, mm. */
  readonly width: number
  readonly school: TurnSchool
  /** Thickness really left at a skived edge, mm. */
  readonly atEdge: number
  /** Width of the skive where only the last few millimetres are feathered. */
  readonly feather: number
  /** The edge of what it is turned over: rounded off, or square as cut. */
  readonly core: 'round' | 'square'
  readonly lines: 0 | 1 | 2
  readonly margin: number
}

/** The cut edge wrapped in a strip that shows `width` mm on both faces. */
export interface BoundFate {
  readonly type: 'bound'
  readonly width: number
  /** Thickness of the strip, mm. */
  readonly binding: number
  readonly margin: number
}

/** Sewn `margin` mm in; `trim` mm are cut extra and trimmed flush after sewing. */
export interface SewnFate {
  readonly type: 'sewn'
  readonly margin: number
  readonly trim: number
  readonly finish: 'burnished' | 'painted' | 'left'
  /** Ends up inside the work: the stitch line is then where the work ends. */
  readonly inside?: true
}

/** The piece is cut doubled: this straight edge lies on a fold of the leather. */
export interface OnFoldFate {
  readonly type: 'doubled'
}

/** Cut longer by so much and cut to length on the work. */
export interface LongFate {
  readonly type: 'long'
  readonly by: number
}

export type EdgeTreatment = RawFate | TurnedFate | BoundFate | SewnFate | OnFoldFate | LongFate

/** A named stretch of a panel's outline: segments `first` to `last`, both included. */
export interface Edge {
  readonly id: string
  readonly name: string
  readonly first: number
  readonly last: number
  readonly fate: EdgeTreatment
}

/** Where a panel is folded. `from` and `to` run across it; `width` is the flat length the bend uses up, mm. */
export interface Fold {
  readonly id: string
  readonly name: string
  readonly from: Point
  readonly to: Point
  readonly width: number
  readonly rises: 'mountain' | 'valley'
  /** What this panel is cut longer for the fold: in full, and what is taken of it, where it is the longer one. */
  readonly allowance?: { readonly full: Reckoned; readonly taken: Reckoned }
  /** Said beside the fold on the piece. */
  readonly note?: string
  /** How far it is folded, radians; a half turn where left out. */
  readonly angle?: number
}

/**
 * A band that is, or could be, skived. Inside `areas` the leather is `start` mm thick on the line through `from`,
 * `end` mm on the line through `to`, straight between and level beyond. Never thicker than the leather itself.
 */
export interface Band {
  readonly key: string
  readonly name: string
  readonly areas: readonly BandArea[]
  readonly start: number
  readonly end: number
  /** Skived by the pattern as it stands, or only a place where skiving could help. */
  readonly planned: boolean
  /** A groove: what was cut out stays empty under what lies over it. */
  readonly hollow?: boolean
}

export interface BandArea {
  readonly outline: Path
  readonly from: Point
  readonly to: Point
}

/** Skived along edges: `start` mm thick at the finished edge, `end` mm at `width` mm in, and the leather's own beyond. */
export interface EdgeSkive {
  readonly key: string
  readonly name: string
  /** Neighbouring edges in the order of the outline. */
  readonly chain: readonly string[]
  readonly width: number
  readonly start: number
  readonly end: number
}

/** What a piece is cut from where that is not a leather of the design. */
export interface Stock {
  readonly name: string
  readonly thickness: number
  readonly neutral: number
  readonly swatch: string
}

/** A thing marked on a panel, in the panel's coordinates; lengths mm, angles radians. */
export type PanelMark =
  | {
      readonly type: 'notch'
      readonly id: string
      readonly at: Point
      readonly angle: number
      readonly letters: string
    }
  | {
      readonly type: 'centre'
      readonly id: string
      readonly at: Point
      readonly angle: number
      readonly letters: string
    }
  | {
      readonly type: 'slot'
      readonly id: string
      readonly at: Point
      readonly angle: number
      readonly length: number
      readonly punch: number
    }
  /** Cut into an allowance: snips and V cuts. */
  | { readonly type: 'cuts'; readonly id: string; readonly at: Point; readonly paths: readonly Path[] }
  | { readonly type: 'hole'; readonly id: string; readonly at: Point; readonly punch: number }
  | { readonly type: 'text'; readonly id: string; readonly at: Point; readonly text: string }
  | { readonly type: 'up' | 'grain'; readonly id: string; readonly at: Point; readonly angle: number }
  /** Stamped into the grain: so wide along `angle`, so high. */
  | {
      readonly type: 'stamp'
      readonly id: string
      readonly at: Point
      readonly angle: number
      readonly wide: number
      readonly high: number
      readonly name: string
    }
  /** Lines on the work with words to them: where ends meet, the band of a border. */
  | {
      readonly type: 'lines'
      readonly id: string
      readonly at: Point
      readonly paths: readonly Path[]
      readonly said: string
      /** A border stamped into the grain along this line, so broad. */
      readonly stamped?: { readonly along: Path; readonly broad: number; readonly name: string }
    }
  /** Hardware at true size, with the holes it needs: how far each lies from its centre along `angle`. */
  | {
      readonly type: 'hardware'
      readonly id: string
      readonly at: Point
      readonly angle: number
      readonly round: boolean
      readonly across: number
      readonly high: number
      readonly holes: readonly { readonly along: number; readonly aside: number; readonly punch: number }[]
      readonly slots: readonly { readonly along: number; readonly aside: number; readonly length: number }[]
      readonly name: string
    }
  | {
      readonly type: 'window'
      readonly id: string
      readonly at: Point
      readonly angle: number
      readonly length: number
      readonly width: number
    }

export type HardwareMark = PanelMark & { readonly type: 'hardware' }

/** What a component is to the panel it follows. */
export type LayerSort = 'lining' | 'reinforcement' | 'board' | 'foam' | 'interlining'

/** One piece of the design at finished size, drawn by a kind or by hand, in its own coordinates, mm. */
export interface Panel {
  readonly id: string
  readonly name: string
  /** Which leather it is cut from, by role; `guide` is cut from card and is not part of the work. */
  readonly role: string
  readonly count: number
  /** How many of `count` are cut turned over. */
  readonly flipped: number
  readonly outline: Path
  readonly edges: readonly Edge[]
  readonly folds: readonly Fold[]
  readonly bands: readonly Band[]
  /** Direction of the grain arrow, radians. */
  readonly grain: number
  /** Where its label stands, where the middle would not do. */
  readonly labelAt?: Point
  /** Plain remarks printed on the piece. */
  readonly notes: readonly string[]
  readonly stock?: Stock
  /** The whole piece split to this thickness, mm. */
  readonly split?: number
  readonly skives?: readonly EdgeSkive[]
  readonly marks?: readonly PanelMark[]
  /** Cut first as a block this much bigger all round, mm. */
  readonly block?: number
  /** The panel it follows, where it is a layer behind one, and as what. */
  readonly behind?: { readonly panelId: string; readonly sort: LayerSort }
  /** The panel it was put on: it is held to that one, whichever is larger. */
  readonly on?: string
  /** Thickness of what its turned edges are turned over, mm. */
  readonly core?: number
  /** Which way it is pulled when the thing is used, radians: a strap along its length. */
  readonly pull?: number
  /** Where a drawing was drawn apart for its folds, one after the other: what lies beyond each moved by so much. */
  readonly letIns?: readonly { readonly across: Across; readonly by: number }[]
}

/** The edge of that id; throws where the panel has none. */
export function edgeOf(panel: Panel, id: string): Edge {
  const edge = panel.edges.find((e) => e.id === id)
  if (!edge) throw new RangeError(`panel “${panel.id}” has no edge “${id}”`)
  return edge
}

/** The panel of that id; throws where there is none. */
export function panelOf(panels: readonly Panel[], id: string): Panel {
  const panel = panels.find((p) => p.id === id)
  if (!panel) throw new RangeError(`no panel “${id}”`)
  return panel
}

/** Whether the border of this edge is folded over. */
export const isTurned = (fate: EdgeTreatment): fate is TurnedFate =>
  fate.type === 'turned' || fate.type === 'rolled'

/** Where a place of the drawing lies on the finished panel. */
export const placeOnPanel = (panel: Panel, p: Point): Point =>
  (panel.letIns ?? []).reduce((at, { across, by }) => pointSpread(across, by, at), p)
