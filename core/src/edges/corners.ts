import { nth } from '../lists/index.js'
import { MITRE } from '../formulas/index.js'
import {
  type Point,
  inwardSide,
  line,
  openPath,
  pointAdd,
  pointCross,
  pointDot,
  pointRight,
  pointScale,
  pointUnit,
  segmentTangent,
} from '../geometry/index.js'
import type { Panel } from '../master/index.js'
import { type Reckon, given } from '../working/index.js'
import { TURNING } from './bench.js'
import type { CutFrom } from './stock.js'
import { type Treatment, type TurnedChain } from './treatment.js'
import type { Turn } from './turn.js'

/** A snip goes out past the edge by this share of the allowance; the stroke that ends it is this wide, mm. */
const SNIP = { out: 1.2, across: 1.5 } as const
/** An end that rises less over its own edge than this share is left as it is. */
const LEAST_RISE = 0.05

/** A sharp corner between two edges, seen from inside the panel. */
interface Sharp {
  readonly id: string
  readonly at: Point
  /** Away from the corner along the edge before it and the one after it, and out of the panel across each. */
  readonly along: readonly [Point, Point]
  readonly out: readonly [Point, Point]
  /** How far the outline turns there, radians; negative where it turns inwards. */
  readonly turning: number
  readonly turns: readonly [Turn | undefined, Turn | undefined]
}

function sharpAt(panel: Panel, i: number, turns: Sharp['turns']): Sharp | undefined {
  const { segments } = panel.outline
  const inward = inwardSide(panel.outline)
  const [before, after] = [nth(segments, i), nth(segments, (i + 1) % segments.length)]
  const [along, onward] = [segmentTangent(before, 1), segmentTangent(after, 0)]
  const turning = Math.atan2(pointCross(along, onward), pointDot(along, onward)) * inward
  if (Math.abs(turning) < TURNING.sharp || Math.abs(turning) > TURNING.spike) return undefined
  return {
    id: `${panel.id}.corner-${i + 1}`,
    at: before.to,
    along: [pointScale(along, -1), onward],
    out: [pointScale(pointRight(along), -inward), pointScale(pointRight(onward), -inward)],
    turning,
    turns,
  }
}

/** Sharp corners where a turned edge begins or ends: mitre, snip, or the end cut back to the line it folds onto. */
export function cornerTreatments(
  panel: Panel,
  chains: readonly TurnedChain[],
  stock: CutFrom,
  grow: (segment: number) => number,
  reckon: Reckon,
): Treatment[] {
  const { segments } = panel.outline
  const turnAt = (segment: number): Turn | undefined =>
    chains.find((c) => c.edges.some((e) => segment >= e.first && segment <= e.last))?.turn
  return segments.flatMap((_, i): Treatment[] => {
    const after = (i + 1) % segments.length
    const [a, b] = [turnAt(i), turnAt(after)]
    const corner = a || b ? sharpAt(panel, i, [a, b]) : undefined
    if (!corner) return []
    if (corner.turning < 0) return [snipped(corner, stock)]
    if (a && b) return [mitred(corner, [a, b], panel.core ?? 0, reckon)]
    return endCut(corner, a ? grow(after) : grow(i))
  })
}

/** One snip into an inward corner, stopped by a small hole. */
function snipped({ id, at, out: [n1, n2], turns }: Sharp, stock: CutFrom): Treatment {
  const allowance = Math.max(...turns.map((turn) => turn?.allowance.value ?? 0))
  const root = Math.max(1, stock.thickness)
  const out = pointUnit(pointAdd(n1, n2))
  const from = pointAdd(at, pointScale(out, root))
  return {
    id,
    sort: 'snip',
    at,
    count: 1,
    root,
    numbers: [],
    cuts: [openPath([line(from, pointAdd(at, pointScale(out, Math.max(allowance, root + 1) * SNIP.out)))])],
    stop: { at: from, across: SNIP.across },
  }
}

/** How far from the finished corner two turned edges are cut off; docs/formulas.md §4 [4.07, 4.08]. */
function mitreNumbers(
  { id }: Sharp,
  interior: number,
  [a, b]: readonly [Turn, Turn],
  core: number,
  reckon: Reckon,
) {
  const min = reckon(
    {
      key: `${id}.none`,
      label: 'cut with no overlap, from the corner',
      formula: MITRE,
      source: '§4',
      measured: true,
    },
    // Of two turns that cost unlike the dearer one decides.
    {
      cost: a.cost.value >= b.cost.value ? a.cost : b.cost,
      half: given('half the corner', interior / 2, 'angle'),
    },
  )
  const cut = reckon(
    {
      key: `${id}.cut`,
      label: 'corner cut off, from the finished corner',
      formula:
        core > 0
          ? '{times} × ({core} core + {t}), no nearer than {min} + {clear}'
          : '{times} × {t}, no nearer than {min} + {clear}',
      source: '§4',
    },
    {
      times: given('times', core > 0 ? TURNING.mitreOverCore : TURNING.mitreBare, 'share'),
      core: given('core', core, 'thickness'),
      t: a.atFold,
      min,
      clear: given('clear', TURNING.mitreClear),
    },
  )
  return { min, cut }
}

/** Two turned edges meeting outward: cut so that they meet over the corner. */
function mitred(corner: Sharp, turns: readonly [Turn, Turn], core: number, reckon: Reckon): Treatment {
  const { id, at, along, out: across, turning } = corner
  const interior = Math.PI - turning
  const { min, cut } = mitreNumbers(corner, interior, turns, core, reckon)
  const out = pointUnit(pointAdd(...across))
  const root = pointAdd(at, pointScale(out, cut.value))
  const half = Math.tan(interior / 2)
  const leg = (edge: 0 | 1): Point => {
    const direction = pointAdd(across[edge], pointScale(along[edge], 1 / half))
    const outward = pointDot(pointScale(out, cut.value), across[edge])
    return pointAdd(root, pointScale(direction, Math.max(0, turns[edge].allowance.value - outward)))
  }
  return {
    id,
    sort: 'mitre',
    at,
    count: 1,
    root: cut.value,
    numbers: [min, cut],
    cuts: [],
    cutOff: [leg(0), root, leg(1)],
  }
}

/**
 * Where a turned edge ends at one that is not: its end is the neighbour's line folded over, so that nothing stands out.
 * The neighbour is cut `grow` mm outside its finished edge.
 */
function endCut({ id, at, along: both, out: across, turns }: Sharp, grow: number): Treatment[] {
  const own = turns[0] ? 0 : 1
  const turn = turns[own]
  if (!turn) return []
  const [along, side] = [both[own], both[own === 0 ? 1 : 0]]
  const [out, sideOut] = [across[own], across[own === 0 ? 1 : 0]]
  // The neighbour's cut line meets the finished edge here.
  const shift = grow / Math.max(1e-6, Math.abs(pointDot(sideOut, along)))
  const root = pointAdd(at, pointScale(along, -shift))
  const mirrored = pointAdd(side, pointScale(out, -2 * pointDot(side, out)))
  const rise = pointDot(mirrored, out)
  if (rise <= LEAST_RISE || pointDot(mirrored, along) <= 1e-6) return []
  const tip = pointAdd(root, pointScale(mirrored, turn.allowance.value / rise))
  return [{ id, sort: 'end', at, count: 1, root: 0, numbers: [], cuts: [], cutOff: [root, tip] }]
}
