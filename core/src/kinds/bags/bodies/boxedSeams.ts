import { SNIPPED } from '../../../formulas/index.js'
import { point, polyline, type Point } from '../../../geometry/index.js'
import { tupleOf } from '../../../lists/index.js'
import { type Join } from '../../../master/index.js'
import { lineSeam } from '../../parts/seams.js'
import { type Bag } from '../bag.js'
import type { Box, Face } from './boxedTypes.js'
import { type Meeting } from '../assembly.js'
import { TOP_IN } from '../seam.js'

export function seams(bag: Bag, box: Box, [front, back]: readonly [Face, Face]): Join[] {
  const { w, m, c, fold, h0, xl, xr, base } = box
  /** The foot of a face: on the same panel, or on the base panel that the face ends in. */
  const footOf = (face: Face): Face =>
    base ? { ...face, sheet: base.panel.id, place: (q) => base.onFoot(face.id, q) } : face
  const line = (face: Face, ...points: Point[]) => points.map(face.place)
  const seam = (
    id: string,
    name: string,
    on: readonly [Face, Point, Point],
    to: readonly [Face, Point, Point],
    more: {
      readonly twin?: string
      readonly pairName?: string
      readonly back?: readonly [number, number]
      readonly onward?: string
      readonly beside?: string
    } = {},
  ): Join => ({
    ...lineSeam({
      id,
      name,
      sheet: on[0].sheet,
      points: line(on[0], on[1], on[2]),
      through: [...new Set([on[0].sheet, to[0].sheet])],
      ...more,
    }),
    mate: { type: 'line', sheet: to[0].sheet, line: polyline(line(to[0], to[1], to[2])) },
  })
  const pair = { right: 'left', left: 'right' } as const
  /** All of it `by` out in the allowances; the rows nearest to a snip stop short of it. */
  const rowsAt = (by: number, suffix: string, words: string): Join[] => {
    // At a face that ends in a base panel the corner is an edge of both.
    const clear = Math.max(by > 0 ? by + SNIPPED.root : 0, base ? bag.p.margin : 0)
    const of = (id: string) => (by > 0 ? { beside: id } : {})
    const side = (way: 'right' | 'left'): Join => {
      const [x, mate] = way === 'right' ? [w - m + by, m - by] : [m - by, w - m + by]
      return seam(
        `side-${way}${suffix}`,
        `${way} side seam${words}`,
        [front, point(x, TOP_IN), point(x, fold)],
        [back, point(mate, TOP_IN), point(mate, fold)],
        { twin: `side-${pair[way]}${suffix}`, pairName: `side seams${words}`, ...of(`side-${way}`) },
      )
    }
    const foot = (): Join =>
      seam(
        `foot-seam${suffix}`,
        `foot seam${words}`,
        [front, point(xr, h0.value + by), point(xl, h0.value + by)],
        [back, point(xl, h0.value + by), point(xr, h0.value + by)],
        of('foot-seam'),
      )
    const corner = (face: Face, way: 'right' | 'left'): Join => {
      const [edge, inner, out] = way === 'right' ? [w - m, xr, 1] : [m, xl, -1]
      const [first, then] = tupleOf([front, back], (f) => `t-${f.id}-${way}${suffix}`)
      // One seam with one thread: from the middle, where side and foot seam end, out to either end.
      const begins = face === front
      return seam(
        begins ? first : then,
        `T seam at the foot, ${way}, ${face.id} half from the middle${words}`,
        [face, point(edge, fold + by), point(inner + out * clear, fold + by)],
        [footOf(face), point(inner + out * by, fold + c.value), point(inner + out * by, fold + clear)],
        { back: [0, 2], ...(begins ? {} : { onward: first }), ...of(`t-${face.id}-${way}`) },
      )
    }
    return [
      side('right'),
      side('left'),
      ...(bag.p.body === 'boxed' && !base ? [foot()] : []),
      ...[front, back].flatMap((face) => [corner(face, 'right'), corner(face, 'left')]),
    ]
  }
  return [
    ...rowsAt(0, '', ''),
    ...(bag.second === undefined || bag.second + SNIPPED.root >= c.value
      ? []
      : rowsAt(bag.second, '-second', ', second row')),
  ]
}

/** The ends of the side seams and of the foot, where the T seam meets them. */
export const meetings = (
  { w, m, fold, h0, xl, xr, base }: Box,
  [front, back]: readonly [Face, Face],
): Meeting[] => [
  ...(
    [
      ['right', w - m, m],
      ['left', m, w - m],
    ] as const
  ).map(([id, a, b]) => ({
    id: `side-${id}-half`,
    a: { sheet: front.sheet, at: front.place(point(a, fold / 2)) },
    b: { sheet: back.sheet, at: back.place(point(b, fold / 2)) },
  })),
  ...(front.sheet === back.sheet || base
    ? []
    : [
        {
          id: 'foot-half',
          a: { sheet: front.sheet, at: front.place(point((xl + xr) / 2, h0.value)) },
          b: { sheet: back.sheet, at: back.place(point((xl + xr) / 2, h0.value)) },
        },
      ]),
]
