import { nth, tupleOf } from '../../lists/index.js'
import { point } from '../../geometry/index.js'
import type { Panel } from '../../master/index.js'
import { type Materials, leatherOf } from '../kind.js'
import { foldsOf } from '../parts/folding.js'
import { type Shape, finishedFate, outlineOf, plainPanel, rectangleShape, rimBands } from '../parts/shape.js'
import { stackPanels } from '../pockets/index.js'
import { cornerMarks, gussetCorners } from './flatPanels.js'
import { type CaseParams, isFaced } from './params.js'
import { BENCH, type CaseSizes } from './sizes.js'

/** From the end of the flap to the top of the back, mm. */
export const backTop = (s: CaseSizes): number => nth(s.strips, 1).from
export function casePanels(p: CaseParams, s: CaseSizes, materials: Materials): Panel[] {
  const [w, h] = [s.width.value, s.height.value]
  const [tb, tg] = tupleOf(['body', 'gusset'], (role) => leatherOf(materials, role).thickness)
  const trimmed = s.foot ? ['left', 'right'] : ['left', 'right', 'foot']
  const fate = finishedFate(p.finish, p.trim, (e) => trimmed.includes(e))
  const front = rectangleShape(w, h, {}, fate)
  const back = rectangleShape(w, s.bodyLength.value, { topLeft: p.corner, topRight: p.corner }, fate)
  const gusset = gussetShape(p, s)
  const rims = (id: string, shape: typeof front) =>
    rimBands(`${id}.rim`, `${s.foot ? 'sides' : 'sides and foot'} of the ${id}`, shape, trimmed, tb)
  const snapped = p.closure === 'snap'
  return [
    plainPanel({
      id: 'back',
      name: 'Back and flap',
      role: 'body',
      ...back,
      folds: foldsOf({ strips: s.strips }, 0, w),
      bands: rims('back', back),
      notes: snapped
        ? [
            s.foot
              ? 'set both halves of the snap before the gussets are sewn in'
              : 'set the cap of the snap before the front is sewn on',
          ]
        : [],
      labelAt: point(w / 2, backTop(s) + h / 2),
      ...(s.foot ? { name: 'Front, foot, back and flap' } : {}),
    }),
    ...(s.foot
      ? []
      : [
          plainPanel({
            id: 'front',
            name: 'Front',
            role: 'body',
            ...front,
            bands: rims('front', front),
            notes: snapped ? ['set the stud of the snap before it is sewn'] : [],
          }),
        ]),
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
          from: point(s.gussetHalf.value, 0),
          to: point(s.gussetHalf.value, s.gussetHigh.value),
          width: 0,
          rises: 'valley',
        },
      ],
      bands: rimBands('gusset.rim', 'sides of the gusset', gusset, ['left', 'right'], tg),
      ...(s.foot ? { marks: cornerMarks(p, s, s.foot) } : {}),
      grain: Math.PI / 2,
    }),
    ...(isFaced(p) ? [facing(p, s)] : []),
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

/** A gusset that runs out to a point at the foot, or to a short side. */
function gussetShape(p: CaseParams, s: CaseSizes): Shape {
  const [half, m, high] = [s.gussetHalf.value, s.margin.value, s.gussetHigh.value]
  if (s.foot)
    return outlineOf(
      gussetCorners(s, s.foot),
      finishedFate(p.finish, p.trim, (e) => e !== 'top'),
    )
  const footRise = (m * (half - m)) / high
  return outlineOf(
    [
      { x: 0, y: 0, edge: 'top' },
      { x: 2 * half, y: 0, edge: 'right' },
      { x: half + m, y: high, edge: 'foot' },
      // Folded flat, the foot lies level: its middle is cut a little higher.
      { x: half, y: high - footRise, edge: 'foot-2' },
      { x: half - m, y: high, edge: 'left' },
    ],
    finishedFate(p.finish, p.trim, (e) => e === 'left' || e === 'right'),
  )
}

/** How high the piece behind the flap is: it ends short of the bend, mm. */
export const facingHigh = (p: CaseParams): number => Math.max(10, p.flap - SHORT_OF_BEND)
const SHORT_OF_BEND = 1

function facing(p: CaseParams, s: CaseSizes): Panel {
  const shape = rectangleShape(
    s.width.value,
    facingHigh(p),
    { topLeft: p.corner, topRight: p.corner },
    finishedFate(p.finish, p.trim, (e) => e === 'left' || e === 'right'),
  )
  return plainPanel({
    id: 'facing',
    name: 'Facing of the flap',
    role: 'gusset',
    ...shape,
    notes: ['skive its lower end to nothing: it stops where the flap bends'],
  })
}
