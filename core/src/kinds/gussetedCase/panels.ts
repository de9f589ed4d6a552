import { nth } from '../../lists/index.js'
import { point } from '../../geometry/index.js'
import type { Panel } from '../../master/index.js'
import { type Materials, leatherOf } from '../kind.js'
import { foldsOf } from '../parts/folding.js'
import { finishedFate, outlineOf, plainPanel, rectangleShape, rimBands } from '../parts/shape.js'
import { stackPanels } from '../pockets/index.js'
import type { CaseParams } from './params.js'
import { BENCH, type CaseSizes } from './sizes.js'

/** From the end of the flap to the top of the back, mm. */
export const backTop = (s: CaseSizes): number => nth(s.strips, 1).from
export function casePanels(p: CaseParams, s: CaseSizes, materials: Materials): Panel[] {
  const [w, h] = [s.width.value, s.height.value]
  const [tb, tg] = ['body', 'gusset'].map((role) => leatherOf(materials, role).thickness)
  const fate = finishedFate(p.finish, p.trim, (e) => ['left', 'right', 'foot'].includes(e))
  const front = rectangleShape(w, h, {}, fate)
  const back = rectangleShape(w, s.bodyLength.value, { topLeft: p.corner, topRight: p.corner }, fate)
  const half = s.gussetHalf.value
  const footRise = (s.margin.value * (half - s.margin.value)) / s.gussetHigh.value
  const gusset = outlineOf(
    [
      { x: 0, y: 0, edge: 'top' },
      { x: 2 * half, y: 0, edge: 'right' },
      { x: half + s.margin.value, y: s.gussetHigh.value, edge: 'foot' },
      // Folded flat, the foot lies level: its middle is cut a little higher.
      { x: half, y: s.gussetHigh.value - footRise, edge: 'foot-2' },
      { x: half - s.margin.value, y: s.gussetHigh.value, edge: 'left' },
    ],
    finishedFate(p.finish, p.trim, (e) => e === 'left' || e === 'right'),
  )
  const sides = ['left', 'right', 'foot']
  const rims = (id: string, shape: typeof front) =>
    rimBands(`${id}.rim`, `sides and foot of the ${id}`, shape, sides, tb!)
  const snapped = p.closure === 'snap'
  return [
    plainPanel({
      id: 'back',
      name: 'Back and flap',
      role: 'body',
      ...back,
      folds: foldsOf({ strips: s.strips }, 0, w, 'valley'),
      bands: rims('back', back),
      notes: snapped ? ['set the cap of the snap before the front is sewn on'] : [],
      labelAt: point(w / 2, backTop(s) + h / 2),
    }),
    plainPanel({
      id: 'front',
      name: 'Front',
      role: 'body',
      ...front,
      bands: rims('front', front),
      notes: snapped ? ['set the stud of the snap before it is sewn'] : [],
    }),
    plainPanel({
      id: 'gusset',
      name: 'Side gusset',
      role: 'gusset',
      count: 2,
      ...gusset,
      folds: [
        {
          id: 'fold',
          name: 'fold',
          from: point(half, 0),
          to: point(half, s.gussetHigh.value),
          width: 0,
          rises: 'valley',
        },
      ],
      bands: rimBands('gusset.rim', 'sides of the gusset', gusset, ['left', 'right'], tg!),
      grain: Math.PI / 2,
    }),
    ...(p.bridge === 'bridge'
      ? [
          plainPanel({
            id: 'bridge',
            name: 'Bridge support',
            role: 'gusset',
            ...rectangleShape(
              s.bridge.value,
              BENCH.bridgeWide,
              {},
              finishedFate(p.finish, 0, () => false),
            ),
            notes: ['finish its edges before it is sewn in; it stands as an arch between its tabs'],
          }),
        ]
      : []),
    ...(s.stack ? stackPanels(s.stack) : []),
  ]
}
