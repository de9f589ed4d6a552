import { firstOf, nth, required } from '../lists/index.js'
import {
  type Path,
  type Point,
  pathArea,
  pointDistance,
  pointInside,
  segmentPoint,
} from '../geometry/index.js'
import { type Edge, type Panel, chainsOf, edgeChain, insetChainMaybe, isTurned } from '../master/index.js'
import type { Leather } from '../stores/index.js'
import type { Reckon } from '../working/index.js'
import { cornerTreatments } from './corners.js'
import { curveTreatments } from './curves.js'
import { growOf, grownOutline, withCornerCut } from './cut.js'
import { type EdgeProfile, edgeProfile } from './profile.js'
import { type CutFrom, stockOf } from './stock.js'
import type { Treatment, TurnedChain } from './treatment.js'
import { type Turn, turnOf, turnThickness } from './turn.js'

/** One turned chain, worked out. */
export interface TurnedWork extends TurnedChain {
  readonly finished: Path
  /** Where the cut edge lands: the fold-to line. Undefined where the panel is too narrow for the turn. */
  readonly landing: Path | undefined
  /** Thickness of the panel itself by the distance from the finished edge, and of what is turned over it. */
  readonly body: EdgeProfile
  readonly flap: EdgeProfile
  /** Thickness by the distance from the cut edge, as it is skived before turning. */
  readonly skive: EdgeProfile
}

/** What becomes of a panel's edges, worked out: everything to cut and where it folds. */
export interface EdgeWork {
  readonly panel: Panel
  readonly stock: CutFrom | undefined
  readonly cut: Path
  readonly turned: readonly TurnedWork[]
  readonly treatments: readonly Treatment[]
  /** Thickness along skived edges, by the distance from the finished edge. */
  readonly skived: readonly EdgeProfile[]
  /** What can't be cut as asked. */
  readonly faults: readonly {
    readonly edge: string
    readonly what: 'no outline left' | 'turn wider than the panel'
  }[]
}

const sameTurn = (a: Edge, b: Edge): boolean => JSON.stringify(a.fate) === JSON.stringify(b.fate)

/** Into how many steps a sloping thickness is parted. */
const SLOPE_STEPS = 8

function turnedWork(panel: Panel, edges: readonly Edge[], turn: Turn, thickness: number): TurnedWork {
  const ids = edges.map((e) => e.id)
  const finished = edgeChain(panel, ids)
  const [w, e] = [turn.fate.width, turn.allowance.value]
  const levels = (s: (x: number) => number, reach = w) =>
    Array.from({ length: SLOPE_STEPS + 1 }, (_, i) => {
      const from = (reach * i) / SLOPE_STEPS
      return { from, thickness: turnThickness(turn, thickness, s(from)) }
    })
  return {
    edges,
    turn,
    finished,
    landing: insetChainMaybe(panel, ids, turn.foldTo.value - e),
    body: edgeProfile(
      finished,
      levels((x) => e + x),
    ),
    flap: edgeProfile(
      finished,
      levels((x) => w - x),
    ),
    skive: edgeProfile(
      finished,
      levels((s) => s, e + w),
    ),
  }
}

/** Works out what becomes of every edge of a panel. A guide, which has no leather, keeps its outline. */
export function workEdges(
  panel: Panel,
  leathers: Readonly<Record<string, Leather>>,
  reckon: Reckon,
): EdgeWork {
  const stock = stockOf(panel, leathers)
  const chains = stock ? chainsOf(panel, (e) => isTurned(e.fate), sameTurn) : []
  const turns = new Map<string, Turn>()
  const turned = chains.map((edges) => {
    const first = firstOf(edges)
    const turn = turnOf(panel, first, first.fate as Turn['fate'], required(stock, 'stock'), reckon)
    for (const edge of edges) turns.set(edge.id, turn)
    return turnedWork(panel, edges, turn, required(stock, 'stock').thickness)
  })
  const growAt = panel.outline.segments.map((_, i) => {
    const edge = panel.edges.find((e) => i >= e.first && i <= e.last)
    return edge ? growOf(edge.fate, turns.get(edge.id)) : 0
  })
  const grow = (segment: number): number => growAt[segment] ?? 0
  const grown = grownOutline(panel, grow)
  const treatments = [
    ...turned.flatMap((t) => curveTreatments(panel, t, reckon)),
    ...(stock && turned.length > 0 ? cornerTreatments(panel, turned, stock, grow, reckon) : []),
  ]
  const cut = treatments.reduce(
    (path, t) => (t.cutOff ? withCornerCut(path, t.cutOff) : path),
    grown ?? panel.outline,
  )
  return {
    panel,
    stock,
    cut,
    turned,
    treatments,
    skived: stock ? skivesOf(panel, stock) : [],
    faults: faultsOf(panel, grown, turned),
  }
}

const skivesOf = (panel: Panel, stock: CutFrom): EdgeProfile[] =>
  (panel.skives ?? []).map((s) =>
    edgeProfile(edgeChain(panel, s.chain), [
      { from: 0, thickness: Math.min(s.start, stock.thickness) },
      { from: s.width, thickness: Math.min(s.end, stock.thickness) },
    ]),
  )

/** Length by the chords of the segments: near enough to tell a landing that has collapsed. */
const chordLength = (path: Path): number =>
  path.segments.reduce((sum, s) => sum + pointDistance(s.from, s.to), 0)

/** The middle of the middle segment: away from the ends, which may lie on another edge. */
function middleOf(path: Path): Point {
  const segment = nth(path.segments, Math.floor(path.segments.length / 2))
  return segmentPoint(segment, 0.5)
}

/** How much shorter than the finished edge a landing may honestly be: a bend all the way round takes 2π widths. */
function landsBadly(panel: Panel, { finished, landing, turn }: TurnedWork): boolean {
  if (!landing || !pointInside(middleOf(landing), panel.outline)) return true
  return chordLength(landing) < chordLength(finished) - 4 * Math.PI * turn.fate.width
}

function faultsOf(panel: Panel, grown: Path | undefined, turned: readonly TurnedWork[]): EdgeWork['faults'] {
  const none =
    !grown || Math.abs(pathArea(grown)) < 1
      ? [{ edge: panel.edges[0]?.id ?? '', what: 'no outline left' as const }]
      : []
  const wide = turned
    .filter((t) => landsBadly(panel, t))
    .map((t) => ({ edge: firstOf(t.edges).id, what: 'turn wider than the panel' as const }))
  return [...none, ...wide]
}
