import { firstOf } from '../../../lists/index.js'
import { point, point3 } from '../../../geometry/index.js'
import type { Concern, Panel } from '../../../master/index.js'
import { X, Y, Z, minus } from '../axes.js'
import { type Bag, outsideSizes } from '../bag.js'
import { panelOf, wholePanel } from './boxedPanels.js'
import { meetings, seams } from './boxedSeams.js'
import { boxOf, facesOf } from './boxedSizes.js'
import type { Box, Face, LappedBase } from './boxedTypes.js'
import { standing } from './boxedStand.js'
import { onPanel } from '../parts/onFace.js'
import { alone, part, type Body, type Face as Place, type Foot } from '../assembly.js'

/** Where what is wrong with the base panel is shown, mm from its corner. */
const AT_LAP = { x: 20, y: 4 } as const

/** Two panels, or one folded at the foot, with a square cut out of each foot corner. */
export function boxedBody(bag: Bag): Body {
  const box = boxOf(bag)
  const faces = facesOf(bag, box)
  const panels =
    bag.p.body === 'boxed'
      ? [panelOf(bag, box, 'front'), panelOf(bag, box, 'back'), ...(box.base ? [box.base.panel] : [])]
      : [wholePanel(bag, box)]
  const { s } = bag
  const made = part({
    panels,
    piles: panels.map((q) => alone(q)),
    joins: seams(bag, box, faces),
    meetings: meetings(box, faces),
    concerns: box.base ? rowsOnLap(bag, box.base) : [],
    sizes: [
      ...[s.wide, s.high, s.deep, box.c, box.w0, box.h0].map((size) => ({
        panelId: firstOf(panels).id,
        size,
      })),
      ...outsideSizes(s, firstOf(panels).id),
      ...(box.base ? [{ panelId: box.base.panel.id, size: box.base.high }] : []),
      ...(box.flap ? [{ panelId: (panels[1] ?? firstOf(panels)).id, size: box.flap.over }] : []),
    ],
    stood: (opened) => [...standing(bag, box, faces, 1 - opened), ...(box.base ? [box.base.stood()] : [])],
  })
  const neutral = bag.body.neutral * bag.body.thickness
  const z = neutral + box.c.value - box.bend / 2
  const top = box.fold - box.bend / 2 + neutral
  const place = (at: Face): Place => {
    const way = at.id === 'front' ? 1 : -1
    const [o, x, y] = [at.place(point(box.w / 2, 0)), at.way(point(1, 0)), at.way(point(0, 1))]
    return {
      sheet: at.sheet,
      move: { a: x.x, b: x.y, c: y.x, d: y.y, e: o.x, f: o.y },
      wide: box.xr - box.xl,
      high: box.fold,
      edges: () => [-box.w / 2, box.w / 2],
      seamOffset: bag.seamOffset.flat,
      frame: () => ({
        origin: point3(0, top, way * z),
        right: way > 0 ? X : minus(X),
        down: minus(Y),
        grain: way > 0 ? Z : minus(Z),
      }),
    }
  }
  const [front, back] = faces.map(place) as [Place, Place]
  // The side seam runs down the middle of a side: things are put beside it, on the back's half.
  const side = (way: 1 | -1): Place => ({
    sheet: back.sheet,
    high: back.high,
    seamOffset: back.seamOffset,
    move: { ...back.move, e: back.move.e - way * back.move.a * (box.w / 2 - box.m - box.c.value / 2) },
    wide: box.c.value - 2 * box.m,
    frame: () => ({
      origin: point3(way * ((box.xr - box.xl) / 2), top, -box.c.value / 2),
      right: way > 0 ? minus(Z) : Z,
      down: minus(Y),
      grain: way > 0 ? X : minus(X),
    }),
  })
  return {
    ...made,
    front,
    back,
    right: side(1),
    left: side(-1),
    flap: box.flap,
    apart: 2 * z,
    lean: 0,
    ...(box.base ? { flat: box.base.rows(faces) } : {}),
    foot: {
      wide: (box.xr - box.xl) / 2,
      deep: box.c.value / 2,
      at: box.base ? onBase(box.base.panel, box.base.high.value, box) : footAt(front, back, box.c.value / 2),
    },
  }
}

/** A lap that is too short for the two rows it should have. */
const rowsOnLap = ({ p }: Bag, { oneRow, panel }: LappedBase): Concern[] =>
  oneRow === undefined
    ? []
    : [
        {
          id: 'base-one-row',
          rank: 'look',
          panelId: panel.id,
          at: point(AT_LAP.x, AT_LAP.y),
          what: 'The lap of the base panel, {lap}, has room for one row only',
          lengths: { lap: p.baseLap },
          why: 'One row lets its edge lift where it is set down. A longer lap takes two.',
          remedy: { field: 'baseLap', value: oneRow, said: 'a longer lap' },
        },
      ]

/** Places of a foot that is a panel of its own. */
const onBase =
  ({ id }: Panel, high: number, { xl, xr, m }: Box): Foot['at'] =>
  (x, z) => ({ sheet: id, at: point((xr - xl) / 2 + m + x, high / 2 - z) })

/** Places of the foot: in the middle of a body folded there, else on the half of it that each of the two panels has. */
const footAt =
  (front: Place, back: Place, half: number): Foot['at'] =>
  (x, z) => {
    const [a, b] = [onPanel(front, 0, front.high), onPanel(back, 0, back.high)]
    if (front.sheet === back.sheet)
      return { sheet: front.sheet, at: point((a.x + b.x) / 2 + x, (a.y + b.y) / 2 + z) }
    const side = z > 0 ? front : back
    return { sheet: side.sheet, at: onPanel(side, x, side.high + half - Math.abs(z)) }
  }
