import { BUNCHING, EDGE_EXCESS, bunching, snipRoot } from '../formulas/index.js'
import { type Path, circlePoint, inwardSide, line, openPath, pathPlaceAt } from '../geometry/index.js'
import { firstOf } from '../lists/index.js'
import { type Panel, edgeChain } from '../master/index.js'
import { type Reckon, type Reckoned, given } from '../working/index.js'
import { TURNING } from './bench.js'
import { type BentStretch, bentStretches } from './stretches.js'
import { type Treatment, type TurnedChain } from './treatment.js'

/** Pleats are laid from this share of the allowance outward: nearer the fold leather gives. */
const PLEATS_FROM = 0.6

/** One curve of a turned chain, and what is turned over there. */
interface Curve {
  readonly key: string
  readonly path: Path
  readonly bend: BentStretch
  /** Which side of the path the panel lies on. */
  readonly inward: 1 | -1
  readonly turn: TurnedChain['turn']
  readonly reckon: Reckon
}

/** Pleats, V cuts or snips along the curves of one turned chain; docs/formulas.md §4 [4.05, 4.06]. */
export function curveTreatments(panel: Panel, { edges, turn }: TurnedChain, reckon: Reckon): Treatment[] {
  const chain = edgeChain(
    panel,
    edges.map((e) => e.id),
  )
  const path = { ...chain, closed: chain.segments.length === panel.outline.segments.length }
  const inward = inwardSide(panel.outline)
  const [e, w] = [turn.allowance.value, turn.fate.width]
  const widest = (e + w) / TURNING.strain + Math.max(e, w)
  return bentStretches(path, inward, widest).flatMap((bend, i): Treatment[] => {
    if (bend.angle < TURNING.leastAngle) return []
    const key = `${panel.id}.${firstOf(edges).id}.curve-${i + 1}`
    const curve: Curve = { key, path, bend, inward, turn, reckon }
    return bend.convex ? gathered(curve) : snipped(curve)
  })
}

/** Round an inner curve the edge is too short: snips let it open, where the leather does not stretch that far. */
function snipped(curve: Curve): Treatment[] {
  const { bend, turn } = curve
  const [e, w] = [turn.allowance.value, turn.fate.width]
  const strain = (e + w) / (bend.radius - e)
  if (bend.radius > e && strain <= TURNING.strain) return []
  const excess = excessOn(curve)
  const n = countOf(curve, 'snips', excess, TURNING.gap)
  const root = Math.min(e / 2, snipRoot(bend.radius, TURNING.strain))
  const cuts = spread(bend, n.value).map((s) => outOf(curve, s, root, e))
  return [{ ...placed(curve), sort: 'snips', count: n.value, root, numbers: [excess, n], cuts }]
}

/** Round an outer curve the edge is too long: pleats take it in, or V cuts where it would lie in more than two layers. */
function gathered(curve: Curve): Treatment[] {
  const { bend, turn } = curve
  const [e, w] = [turn.allowance.value, turn.fate.width]
  const layered = bend.radius > w ? bunching(bend.radius, e, w) : Infinity
  if (layered <= 1 + TURNING.strain) return []
  const excess = excessOn(curve)
  const numbers = layered === Infinity ? [excess] : [excess, layersOn(curve)]
  if (layered <= 2) {
    const n = countOf(curve, 'pleats', excess, TURNING.pleat)
    const cuts = spread(bend, n.value).map((s) => outOf(curve, s, PLEATS_FROM * e, e))
    return [{ ...placed(curve), sort: 'pleats', count: n.value, root: 0, numbers: [...numbers, n], cuts }]
  }
  const n = countOf(curve, 'V cuts', excess, 2 * TURNING.pleat)
  const root = Math.min(e / 2, TURNING.mitreBare * turn.atFold.value)
  // The mouth is measured at the cut edge, which is longer than the finished one there.
  const half = excess.value / n.value / 2
  const cuts = spread(bend, n.value).flatMap((s) => [
    outOf(curve, s, root, e, -half),
    outOf(curve, s, root, e, half),
  ])
  return [{ ...placed(curve), sort: 'v-cuts', count: n.value, root, numbers: [...numbers, n], cuts }]
}

const placed = ({ key, path, bend }: Curve) => ({
  id: key,
  at: pathPlaceAt(path, (bend.from + bend.to) / 2).at,
})

/** Places of so many cuts along a curve, evenly. */
const spread = (bend: BentStretch, n: number): number[] =>
  Array.from({ length: n }, (_, k) => bend.from + ((k + 0.5) * (bend.to - bend.from)) / n)

/** A cut at a place of the path, from one distance outside it to another, where it ends so far aside; mm. */
function outOf({ path, inward }: Curve, place: number, from: number, to: number, aside = 0): Path {
  const { at, angle } = pathPlaceAt(path, place)
  const out = angle - (inward * Math.PI) / 2
  const foot = circlePoint(at, aside, angle)
  return openPath([line(circlePoint(at, from, out), circlePoint(foot, to, out))])
}

const excessOn = ({ key, bend, turn, reckon }: Curve): Reckoned =>
  reckon(
    {
      key: `${key}.excess`,
      label: bend.convex ? 'edge too much on the curve' : 'edge missing on the curve',
      formula: EDGE_EXCESS,
      source: '§4',
    },
    {
      angle: given('angle', bend.angle, 'angle'),
      allowance: turn.allowance,
      width: given('turn', turn.fate.width),
    },
  )

const layersOn = ({ key, bend, turn, reckon }: Curve): Reckoned =>
  reckon(
    {
      key: `${key}.bunching`,
      label: 'layers where there was one',
      formula: BUNCHING,
      source: '§4',
      quantity: 'share',
      measured: true,
    },
    {
      radius: given('radius', bend.radius),
      allowance: turn.allowance,
      width: given('turn', turn.fate.width),
    },
  )

const countOf = ({ key, reckon }: Curve, label: string, excess: Reckoned, each: number): Reckoned =>
  reckon(
    {
      key: `${key}.count`,
      label,
      formula: '{excess} / {each} each, rounded up, at least 1',
      source: '§4',
      quantity: 'count',
    },
    { excess, each: given('each', each) },
  )
