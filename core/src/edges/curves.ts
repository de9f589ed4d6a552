import { firstOf } from '../lists/index.js'
import { BUNCHING, EDGE_EXCESS, bunching, snipRoot } from '../formulas/index.js'
import { type Path, circlePoint, inwardSide, line, openPath, pathPlaceAt } from '../geometry/index.js'
import { type Panel, edgeChain } from '../master/index.js'
import { type Reckon, type Reckoned, given } from '../working/index.js'
import { TURNING } from './bench.js'
import { bentStretches } from './stretches.js'
import { type Treatment, type TurnedChain } from './treatment.js'

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
    const place = pathPlaceAt(path, (bend.from + bend.to) / 2)
    const outOf = (distance: number, from: number, to: number, aside = 0): Path => {
      const { at, angle } = pathPlaceAt(path, distance)
      const out = angle - (inward * Math.PI) / 2
      const foot = circlePoint(at, aside, angle)
      return openPath([line(circlePoint(at, from, out), circlePoint(foot, to, out))])
    }
    const spread = (n: number): number[] =>
      Array.from({ length: n }, (_, k) => bend.from + ((k + 0.5) * (bend.to - bend.from)) / n)
    const excess = reckon(
      {
        key: `${key}.excess`,
        label: bend.convex ? 'edge too much on the curve' : 'edge missing on the curve',
        formula: EDGE_EXCESS,
        source: '§4',
      },
      { angle: given('angle', bend.angle, 'angle'), allowance: turn.allowance, width: given('turn', w) },
    )
    const count = (label: string, each: number): Reckoned =>
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
    const base = { id: key, at: place.at }
    if (!bend.convex) {
      const strain = (e + w) / (bend.radius - e)
      if (bend.radius > e && strain <= TURNING.strain) return []
      const n = count('snips', TURNING.gap)
      const root = Math.min(e / 2, snipRoot(bend.radius, TURNING.strain))
      return [
        {
          ...base,
          sort: 'snips',
          count: n.value,
          root,
          numbers: [excess, n],
          cuts: spread(n.value).map((s) => outOf(s, root, e)),
        },
      ]
    }
    const layered = bend.radius > w ? bunching(bend.radius, e, w) : Infinity
    if (layered <= 1 + TURNING.strain) return []
    const layers =
      layered === Infinity
        ? []
        : [
            reckon(
              {
                key: `${key}.bunching`,
                label: 'layers where there was one',
                formula: BUNCHING,
                source: '§4',
                quantity: 'share' as const,
                measured: true,
              },
              { radius: given('radius', bend.radius), allowance: turn.allowance, width: given('turn', w) },
            ),
          ]
    if (layered <= 2) {
      const n = count('pleats', TURNING.pleat)
      return [
        {
          ...base,
          sort: 'pleats',
          count: n.value,
          root: 0,
          numbers: [excess, ...layers, n],
          cuts: spread(n.value).map((s) => outOf(s, 0.6 * e, e)),
        },
      ]
    }
    const n = count('V cuts', 2 * TURNING.pleat)
    const root = Math.min(e / 2, TURNING.mitreBare * turn.atFold.value)
    const half = excess.value / n.value / 2
    // The mouth is measured at the cut edge, which is longer than the finished one there.
    return [
      {
        ...base,
        sort: 'v-cuts',
        count: n.value,
        root,
        numbers: [excess, ...layers, n],
        cuts: spread(n.value).flatMap((s) => [outOf(s, root, e, -half), outOf(s, root, e, half)]),
      },
    ]
  })
}
