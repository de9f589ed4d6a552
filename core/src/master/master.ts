import type { Move, Path, Point } from '../geometry/index.js'
import type { Reckoned } from '../working/index.js'
import type { Clip } from './clip.js'
import type { Corner, Fitting, Hanging, Room, StrapRun, Turning } from './fitting.js'
import type { Panel } from './panel.js'
import type { Standing } from './stand.js'

interface SheetPlace {
  readonly id: string
  readonly name: string
  /** From the sheet's own coordinates to those of the laid-up work. */
  readonly move: Move
  readonly clips: readonly Clip[]
}

/** A panel lying in the work. `grainUp` says which side one sees from above. */
export interface PanelSheet extends SheetPlace {
  readonly type: 'panel'
  readonly panelId: string
  readonly grainUp: boolean
  /** The sheet its turned edges are folded over, where something lies inside them. */
  readonly turnedOver?: string
  /** What is left of it once it was formed and trimmed, in its own coordinates, where it is cut bigger than that. */
  readonly formed?: Path
  /** Pushed up over a block: so high inside an outline, in the coordinates of the work, and down again within so much; below where negative. */
  readonly raised?: { readonly inside: Path; readonly by: number; readonly within: number }
  /** Hangs there free, held elsewhere: nothing is sewn or set through it with what lies under it, and it covers nothing for good. */
  readonly loose?: true
}

/** Something carried (a card, a note) lying in the work; drawn and measured only when it is put in. */
export interface ContentSheet extends SheetPlace {
  readonly type: 'content'
  readonly outline: Path
  readonly thickness: number
}

export type Sheet = PanelSheet | ContentSheet

/** Where sheets of one panel are joined by a bend: at `at` they run off in the direction of `outward`. */
export interface Bend {
  readonly sheets: readonly [string, string]
  readonly at: Point
  /** Unit vector. */
  readonly outward: Point
}

/** The work in one state, from the lowest sheet to the uppermost. */
export interface Layup {
  readonly id: string
  readonly name: string
  /** The panel in whose own coordinates the work lies, so that it can be drawn over that panel's piece. */
  readonly carrier: string
  readonly sheets: readonly Sheet[]
  /** Folds that are closed in this state. */
  readonly bends?: readonly Bend[]
  /** One piece worked on before it is in the work: all that is done there is marked on it. */
  readonly alone?: true
}

/** Where a panel lies in a state: more than once where it lies in parts, or is cut twice. */
export const sheetsOf = ({ sheets }: Layup, panelId: string): PanelSheet[] =>
  sheets.filter((s): s is PanelSheet => s.type === 'panel' && s.panelId === panelId)

/** Whether a panel lies in a state: some lie only in the closed work. */
export const liesIn = ({ sheets }: Layup, panelId: string): boolean =>
  sheets.some((s) => s.type === 'panel' && s.panelId === panelId)

/** Follows edges of a placed panel, `margin` mm in, from the start of the first named edge, less what is trimmed off. */
export interface EdgeCourse {
  readonly type: 'edges'
  readonly sheet: string
  /** Edge ids in the order of the outline. */
  readonly chain: readonly string[]
  readonly margin: Reckoned
  /** Sewn against the order of the outline. */
  readonly backwards: boolean
  readonly startTrim: number
  readonly endTrim: number
}

/** Follows a line drawn on a placed panel, in the panel's coordinates. */
export interface LineCourse {
  readonly type: 'line'
  readonly sheet: string
  readonly line: Path
}

/** Edges of a placed panel that are glued, and how far in from them the glue may come, mm. */
export interface Glue {
  readonly sheet: string
  /** Neighbouring edges in the order of the outline. */
  readonly chain: readonly string[]
  readonly limit: number
  /** Left free of glue at the start and at the end of the chain, mm: a fold has to slide. */
  readonly startFree?: number
  readonly endFree?: number
}

/** What no sheet is and yet is sewn in all along a seam: the tape of a zip. Thickness in mm. */
export interface Tape {
  readonly name: string
  readonly thickness: number
}

/** Edges or inside lines of two or more panels that are sewn together in one run. */
export interface Join {
  readonly id: string
  readonly name: string
  readonly layup: string
  readonly course: EdgeCourse | LineCourse
  /** The same seam on the other panel, where that does not lie edge to edge under the course. */
  readonly mate?: EdgeCourse | LineCourse
  /** Sheets that the thread goes through where they lie under the line, or under that of the mate. */
  readonly through: readonly string[]
  readonly tapes?: readonly Tape[]
  /** Edges glued down before the run is sewn. */
  readonly glue: readonly Glue[]
  readonly backstitches: { readonly start: number; readonly end: number }
  /** A run of the same name on the other half, whose hole count must agree. */
  readonly twin?: string
  /** What the two are called together. */
  readonly pairName?: string
  /** The run whose thread this one is sewn on with: both begin at one hole and go out from it either way. */
  readonly onward?: string
  /** Where the longer of its edges is taken up, as it is made: evenly, or in the corners that it goes round. */
  readonly ease?: 'spread' | 'corners'
  /** By how much the line of the mate is meant to be longer, where it bends further out; mm. */
  readonly extra?: number
  /** The seam whose second row this is, in its allowance, where the edges part again. */
  readonly beside?: string
  /** The sheet it puts on another, where that was put there by the maker, whatever their sizes. */
  readonly puts?: string
  /** Holds nothing: stitches for the look of it. */
  readonly decor?: boolean
  /** Nothing meets its ends: it stops where the iron's last whole step falls, what is left over shared between them. */
  readonly free?: boolean
  /** All that lies over and under its own sheets is folded out of the way while it is sewn. */
  readonly away?: true
  /** Sheets that what it holds goes round, without a hole in them: their own seams come first. */
  readonly round?: readonly string[]
  /** Its stitches end up inside, where nobody sees them. */
  readonly hidden?: boolean
  /** It makes a room of the body: hands and tools reach the inside only through the mouth once it is sewn. */
  readonly closes?: boolean
  /** What it holds together is soaked and formed over a block once it is sewn. */
  readonly formed?: true
  /** Held by glue alone: there is no run of stitches. */
  readonly glueOnly?: boolean
}

/** Two places that come to lie on each other and are ticked on both pieces. */
export interface Match {
  readonly id: string
  readonly sheetA: string
  readonly sheetB: string
  /** In the coordinates of the laid-up work. */
  readonly at: Point
  /** Where it falls on the second sheet, where that lies apart. */
  readonly atB?: Point
}

/** What has to go in or stay inside: what it needs and what there is, mm. */
export interface Fit {
  readonly id: string
  readonly what: string
  readonly panelId: string
  readonly at: Point
  readonly needs: Reckoned
  readonly has: Reckoned
  readonly rank: 'stop' | 'look'
  /** Why it matters at the bench. */
  readonly why: string
  /** Overrides that, given back, would make it fit again. */
  readonly keys: readonly string[]
  /** A setting that would make it fit, by field id. */
  readonly remedy?: { readonly field: string; readonly value: number }
}

/** Something a kind knows that a maker would want to know, whatever the sizes. */
export interface Concern {
  readonly id: string
  readonly rank: 'stop' | 'look' | 'tip'
  readonly panelId: string
  readonly at: Point
  /** A sentence without its full stop; `{name}` stands for a length below. */
  readonly what: string
  readonly why: string
  /** Lengths named in the sentences, mm. */
  readonly lengths?: Readonly<Record<string, number>>
  /** A setting that would mend it, by field id, and how the choice is said. */
  readonly remedy?: {
    readonly field: string
    readonly value: string | number
    readonly said: string
    /** A second setting that has to change with it. */
    readonly and?: { readonly field: string; readonly value: number }
  }
}

/** Something in a drawing that can't be made as it stands; a check says it in words. Lengths mm, angles radians. */
export type Fault = { readonly panelId: string; readonly at: Point } & (
  | { readonly what: 'crosses itself' | 'encloses nothing' }
  | { readonly what: 'no corner to round'; readonly point: number; readonly radius: number }
  | { readonly what: 'nothing left' | 'evened out'; readonly layer: string; readonly inset: number }
  | { readonly what: 'fold misses'; readonly fold: string }
  | { readonly what: 'fold not straight'; readonly edge: string }
  | {
      readonly what: 'groove too narrow'
      readonly fold: string
      readonly turn: number
      readonly opening: number
    }
  | {
      readonly what: 'groove too deep'
      readonly fold: string
      readonly left: number
      readonly min: number
      readonly thickness: number
    }
  | {
      readonly what: 'edges differ'
      readonly tie: string
      readonly first: { readonly name: string; readonly length: number }
      readonly second: { readonly name: string; readonly length: number }
    }
)

/** A number makers ask for, of a panel: of the finished outside, the room inside, its turned edges, else of the panel itself. */
export interface MasterSize {
  readonly panelId: string
  readonly size: Reckoned
  readonly of?: 'outside' | 'inside' | 'edges'
}

/** What a kind makes of its parameters: panels at finished size and how they lie and hold together. */
export interface Master {
  readonly panels: readonly Panel[]
  readonly layups: readonly Layup[]
  readonly joins: readonly Join[]
  readonly matches: readonly Match[]
  readonly fits: readonly Fit[]
  readonly concerns?: readonly Concern[]
  /** What it carries, in words. */
  readonly carries: readonly string[]
  /** The numbers makers ask for, by panel, each with its working. */
  readonly sizes: readonly MasterSize[]
  readonly faults?: readonly Fault[]
  /** The finished work in space, shut (0) to open (1); where there is none, the laid-out work is folded. */
  readonly standing?: (opened: number) => Standing
  readonly fittings?: readonly Fitting[]
  readonly turning?: Turning
  readonly corners?: readonly Corner[]
  readonly room?: Room
  readonly hanging?: readonly Hanging[]
  readonly strapRuns?: readonly StrapRun[]
  /** Outside as it stands, mm. */
  readonly outside?: { readonly wide: Reckoned; readonly high: Reckoned; readonly deep: Reckoned }
}
