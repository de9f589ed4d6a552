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

/** Sharp corners where a turned edge begins or ends: mitre, snip, or the end cut back to the line it folds onto. */
export function cornerTreatments(
  panel: Panel,
  chains: readonly TurnedChain[],
  stock: CutFrom,
  grow: (segment: number) => number,
  reckon: Reckon,
): Treatment[] {
  const { segments } = panel.outline
  const inward = inwardSide(panel.outline)
  const turnAt = (segment: number): Turn | undefined =>
    chains.find((c) => c.edges.some((e) => segment >= e.first && segment <= e.last))?.turn
  return segments.flatMap((before, i): Treatment[] => {
    const k = (i + 1) % segments.length
    const after = nth(segments, k)
    const [a, b] = [turnAt(i), turnAt(k)]
    if (!a && !b) return []
    const [along, onward] = [segmentTangent(before, 1), segmentTangent(after, 0)]
    const turning = Math.atan2(pointCross(along, onward), pointDot(along, onward)) * inward
    if (Math.abs(turning) < TURNING.sharp || Math.abs(turning) > TURNING.spike) return []
    const id = `${panel.id}.corner-${i + 1}`
    const corner = before.to
    // Directions away from the corner along both edges, and out of the panel.
    const [d1, d2] = [pointScale(along, -1), onward]
    const [n1, n2] = [pointScale(pointRight(along), -inward), pointScale(pointRight(onward), -inward)]
    if (turning < 0)
      return [snipped(id, corner, n1, n2, Math.max(a?.allowance.value ?? 0, b?.allowance.value ?? 0), stock)]
    if (a && b) return [mitred(id, panel, corner, [d1, d2], [n1, n2], Math.PI - turning, a, b, reckon)]
    const [turn, along1, out, side, sideGrow] = a
      ? ([a, d1, n1, d2, grow(k)] as const)
      : ([b!, d2, n2, d1, grow(i)] as const)
    return endCut(id, corner, turn, along1, out, side, a ? n2 : n1, sideGrow)
  })
}

/** One snip into an inward corner, stopped by a small hole. */
function snipped(
  id: string,
  corner: Point,
  n1: Point,
  n2: Point,
  allowance: number,
  stock: CutFrom,
): Treatment {
  const root = Math.max(1, stock.thickness)
  const out = pointUnit(pointAdd(n1, n2))
  const from = pointAdd(corner, pointScale(out, root))
  return {
    id,
    sort: 'snip',
    at: corner,
    count: 1,
    root,
    numbers: [],
    cuts: [openPath([line(from, pointAdd(corner, pointScale(out, Math.max(allowance, root + 1) * 1.2)))])],
    stop: { at: from, across: 1.5 },
  }
}

/** Two turned edges meeting outward: cut so that they meet over the corner; docs/formulas.md §4 [4.07, 4.08]. */
function mitred(
  id: string,
  panel: Panel,
  corner: Point,
  [d1, d2]: readonly [Point, Point],
  [n1, n2]: readonly [Point, Point],
  interior: number,
  a: Turn,
  b: Turn,
  reckon: Reckon,
): Treatment {
  const core = panel.core ?? 0
  const least = reckon(
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
          ? '{times} × ({core} core + {t}), no nearer than {least} + {clear}'
          : '{times} × {t}, no nearer than {least} + {clear}',
      source: '§4',
    },
    {
      times: given('times', core > 0 ? TURNING.mitreOverCore : TURNING.mitreBare, 'share'),
      core: given('core', core, 'thickness'),
      t: a.atFold,
      least,
      clear: given('clear', TURNING.mitreClear),
    },
  )
  const out = pointUnit(pointAdd(n1, n2))
  const root = pointAdd(corner, pointScale(out, cut.value))
  const half = Math.tan(interior / 2)
  const leg = (d: Point, n: Point, turn: Turn): Point => {
    const direction = pointAdd(n, pointScale(d, 1 / half))
    const outward = pointDot(pointScale(out, cut.value), n)
    return pointAdd(root, pointScale(direction, Math.max(0, turn.allowance.value - outward)))
  }
  return {
    id,
    sort: 'mitre',
    at: corner,
    count: 1,
    root: cut.value,
    numbers: [least, cut],
    cuts: [],
    cutOff: [leg(d1, n1, a), root, leg(d2, n2, b)],
  }
}

/** Where a turned edge ends at one that is not: its end is the neighbour's line folded over, so that nothing stands out. */
function endCut(
  id: string,
  corner: Point,
  turn: Turn,
  along: Point,
  out: Point,
  side: Point,
  sideOut: Point,
  sideGrow: number,
): Treatment[] {
  // The neighbour's cut line meets the finished edge here.
  const shift = sideGrow / Math.max(1e-6, Math.abs(pointDot(sideOut, along)))
  const root = pointAdd(corner, pointScale(along, -shift))
  const mirrored = pointAdd(side, pointScale(out, -2 * pointDot(side, out)))
  const rise = pointDot(mirrored, out)
  if (rise <= 0.05 || pointDot(mirrored, along) <= 1e-6) return []
  const tip = pointAdd(root, pointScale(mirrored, turn.allowance.value / rise))
  return [{ id, sort: 'end', at: corner, count: 1, root: 0, numbers: [], cuts: [], cutOff: [root, tip] }]
}
