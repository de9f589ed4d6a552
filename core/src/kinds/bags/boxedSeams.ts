import { point, polyline, type Point } from '../../geometry/index.js'
import { type Join } from '../../master/index.js'
import { lineSeam } from '../parts/seams.js'
import { type Bag } from './bag.js'
import { type Box, type Face } from './boxedSizes.js'
import { type Meeting } from './parts.js'
import { TOP_IN } from './seam.js'

export function seams(bag: Bag, box: Box, [front, back]: Face[]): Join[] {
  const { w, m, c, fold, h0, xl, xr } = box
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
  const sides: Join[] = [
    seam(
      'side-right',
      'right side seam',
      [front!, point(w - m, TOP_IN), point(w - m, fold)],
      [back!, point(m, TOP_IN), point(m, fold)],
      { twin: 'side-left', pairName: 'side seams' },
    ),
    seam(
      'side-left',
      'left side seam',
      [front!, point(m, TOP_IN), point(m, fold)],
      [back!, point(w - m, TOP_IN), point(w - m, fold)],
      { twin: 'side-right', pairName: 'side seams' },
    ),
  ]
  const foot =
    bag.p.body === 'boxed'
      ? [
          seam(
            'foot-seam',
            'foot seam',
            [front!, point(xr, h0.value), point(xl, h0.value)],
            [back!, point(xl, h0.value), point(xr, h0.value)],
          ),
        ]
      : []
  const corner = (face: Face, side: 'right' | 'left'): Join => {
    const right = side === 'right'
    const [edge, inner] = right ? [w - m, xr] : [m, xl]
    const [first, then] = [`t-${front!.id}-${side}`, `t-${back!.id}-${side}`]
    // One seam with one thread: from the middle, where side and foot seam end, out to either end.
    const begins = face === front
    return seam(
      begins ? first : then,
      `T seam at the foot, ${side}, ${face.id} half from the middle`,
      [face, point(edge, fold), point(inner, fold)],
      [face, point(inner, fold + c.value), point(inner, fold)],
      { back: [0, 2], ...(begins ? {} : { onward: first }) },
    )
  }
  return [
    ...sides,
    ...foot,
    ...[front!, back!].flatMap((face) => [corner(face, 'right'), corner(face, 'left')]),
  ]
}

/** The ends of the side seams and of the foot, where the T seam meets them. */
export const meetings = ({ w, m, fold, h0, xl, xr }: Box, [front, back]: Face[]): Meeting[] => [
  ...(
    [
      ['right', w - m, m],
      ['left', m, w - m],
    ] as const
  ).map(([id, a, b]) => ({
    id: `side-${id}-half`,
    a: { sheet: front!.sheet, at: front!.place(point(a, fold / 2)) },
    b: { sheet: back!.sheet, at: back!.place(point(b, fold / 2)) },
  })),
  ...(front!.sheet === back!.sheet
    ? []
    : [
        {
          id: 'foot-half',
          a: { sheet: front!.sheet, at: front!.place(point((xl + xr) / 2, h0.value)) },
          b: { sheet: back!.sheet, at: back!.place(point((xl + xr) / 2, h0.value)) },
        },
      ]),
]
