import { required } from '../lists/index.js'
import type { HoleSchool, RunWish, Sewing, Stepping } from '../sewing/index.js'
import type { Iron, Machine, Thread } from '../stores/index.js'
import type { CornerSchool, Steps } from './places.js'

/** An edge of a panel. */
export interface TiedEdge {
  readonly panel: string
  readonly edge: string
}
/** Two edges that the drawing ties to each other: they are sewn hole to hole. */
export interface EdgeTie {
  readonly first: TiedEdge
  readonly second: TiedEdge
}

/** What the runs of a design follow: tools, the workshop's own ways, and what the maker decided for each. */
export interface SewingWays {
  readonly iron: Iron
  readonly thread: Thread
  readonly machine: Machine
  readonly lengths: Readonly<Record<string, number>>
  readonly sewing: Sewing
  readonly ties: readonly EdgeTie[]
  readonly habits: {
    readonly play: number
    readonly cornerSchool: CornerSchool
    readonly tail: number
    readonly waste: number
    readonly comfortable: number
    readonly evenOver: number
    readonly stepClearance: number
  }
}

/** How one run is sewn. Lengths in mm. */
export interface RunWays {
  readonly holes: HoleSchool
  readonly stepping: Stepping
  readonly iron: Iron
  /** Wanted from hole to hole. */
  readonly pitch: number
  /** Sewn through every hole, or every other one. */
  readonly every: 1 | 2
  readonly over: { readonly start: number; readonly end: number }
  readonly wish: RunWish
}

const NO_LOOPS = { start: 0, end: 0 } as const
const NO_WISH: RunWish = {}

/** What was asked of a run; nothing where the maker left it as proposed. */
export const wishOf = (sewing: Sewing, id: string): RunWish =>
  Object.hasOwn(sewing.runs, id) ? required(sewing.runs[id], id) : NO_WISH

/** How a run is sewn, by its wish and the ways of the whole work. */
export function runWays(id: string, ways: SewingWays): RunWays {
  const wish = wishOf(ways.sewing, id)
  const holes = wish.holes ?? ways.sewing.holes
  const iron = wish.iron ?? ways.iron
  const every = wish.every ?? 1
  return {
    holes,
    // A machine keeps its stitch by feeding evenly.
    stepping: holes === 'machine' ? 'evened' : (wish.stepping ?? ways.sewing.stepping),
    iron,
    pitch: (wish.pitch ?? (holes === 'machine' ? ways.machine.stitch : iron.pitch)) * every,
    every,
    over: wish.over ?? NO_LOOPS,
    wish,
  }
}

/** How the holes of a run are stepped. */
export const stepsFor = (ways: RunWays, { habits }: SewingWays): Steps => ({
  pitch: ways.pitch,
  corners: habits.cornerSchool,
  ...(ways.stepping === 'stepped' ? { evenOver: habits.evenOver } : {}),
})
