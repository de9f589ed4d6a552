import type { Path, Point } from '../geometry/index.js'
import type { Reckoned } from '../working/index.js'

/** What becomes of an edge. `trim` mm are cut extra and trimmed flush after sewing; 0 where it is cut to size. */
export interface RawFate {
  readonly type: 'raw'
  readonly finish: 'burnished' | 'painted' | 'left'
  readonly trim: number
}
export type Fate = RawFate

/** A named stretch of a panel's outline: segments `first` to `last`, both included. */
export interface Edge {
  readonly id: string
  readonly name: string
  readonly first: number
  readonly last: number
  readonly fate: Fate
}

/** Where a panel is folded. `from` and `to` run across it; `width` is the flat length the bend uses up, mm. */
export interface Fold {
  readonly id: string
  readonly name: string
  readonly from: Point
  readonly to: Point
  readonly width: number
  readonly rises: 'hill' | 'valley'
  /** What this panel is cut longer for the fold: in full, and what is taken of it, where it is the longer one. */
  readonly allowance?: { readonly full: Reckoned; readonly taken: Reckoned }
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
}

export interface BandArea {
  readonly outline: Path
  readonly from: Point
  readonly to: Point
}

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
