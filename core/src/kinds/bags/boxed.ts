import {
  type Point,
  type Point3,
  courseOf,
  point,
  point3,
  point3Along,
  polyline,
} from '../../geometry/index.js'
import type { Join, Panel, Stood, StoodPart } from '../../master/index.js'
import type { Reckoned } from '../../working/index.js'
import { lineSeam } from '../parts/seams.js'
import { type Named, outlineOf, plainPanel } from '../parts/shape.js'
import { X, Y, Z, minus } from './axes.js'
import { type Bag } from './bag.js'
import { type Flap, flapCorners, flapFolds, flapOf, flapPart, isFlapEdge } from './flap.js'
import { type Body, type Face as Place, type Meeting, alone, part } from './parts.js'
import { cutMarks } from './profile.js'
import { TOP_IN } from './seam.js'

/** A boxed corner between stitch lines: the flat panel, and the square that is cut out of its foot, mm. */
interface Box {
  readonly w0: Reckoned
  readonly h0: Reckoned
  readonly c: Reckoned
  readonly m: number
  /** The whole panel with its allowances. */
  readonly w: number
  /** Where the sides and the base are folded. */
  readonly xl: number
  readonly xr: number
  readonly fold: number
  readonly bend: number
  readonly flap: Flap | undefined
}

function boxOf(bag: Bag): Box {
  const { s, size, margin, body, p } = bag
  const c = size(
    'boxed.square',
    'square at the foot corners, between stitch lines',
    '{deep} / 2',
    '§20',
    { deep: s.deep },
    (v) => v.deep / 2,
  )
  const w0 = size(
    'boxed.wide',
    'panel between the side seams',
    '{wide} + 2 × {square}',
    '§20',
    { wide: s.wide, square: c },
    (v) => v.wide + 2 * v.square,
  )
  const h0 = size(
    'boxed.high',
    'panel from the top edge to the foot seam',
    '{high} + {square}',
    '§20',
    { high: s.high, square: c },
    (v) => v.high + v.square,
  )
  const m = margin.value
  const w = w0.value + 2 * m
  const bend = (Math.PI / 2) * body.neutral * body.thickness
  const apart = 2 * (body.neutral * body.thickness + c.value - bend / 2)
  return {
    w0,
    h0,
    c,
    m,
    w,
    xl: m + c.value,
    xr: w - m - c.value,
    fold: h0.value - c.value,
    bend,
    flap: p.flap === 'one' ? flapOf(bag, apart, w) : undefined,
  }
}

/** A face of the bag and how its own coordinates lie on its sheet: the back of a one-piece bag is turned round. */
interface Face {
  readonly id: 'front' | 'back'
  readonly sheet: string
  readonly place: (p: Point) => Point
  readonly way: (v: Point) => Point
}

function facesOf(bag: Bag, { w, h0 }: Box): Face[] {
  const same = { place: (p: Point) => p, way: (v: Point) => v }
  if (bag.p.body === 'boxed')
    return [
      { id: 'front', sheet: 'front', ...same },
      { id: 'back', sheet: 'back', ...same },
    ]
  return [
    { id: 'front', sheet: 'body', ...same },
    {
      id: 'back',
      sheet: 'body',
      place: (p) => point(w - p.x, 2 * h0.value - p.y),
      way: (v) => point(-v.x, -v.y),
    },
  ]
}

/** Two panels, or one folded at the foot, with a square cut out of each foot corner. */
export function boxedBody(bag: Bag): Body {
  const box = boxOf(bag)
  const faces = facesOf(bag, box)
  const panels =
    bag.p.body === 'boxed' ? [panelOf(bag, box, 'front'), panelOf(bag, box, 'back')] : [wholePanel(bag, box)]
  const { s } = bag
  const made = part({
    panels,
    piles: panels.map((q) => alone(q)),
    joins: seams(bag, box, faces),
    meetings: meetings(box, faces),
    sizes: [
      ...[s.wide, s.high, s.deep, box.c, box.w0, box.h0, s.outWide, s.outHigh, s.outDeep].map((size) => ({
        panelId: panels[0]!.id,
        size,
      })),
      ...(box.flap ? [{ panelId: panels.at(-1)!.id, size: box.flap.over }] : []),
    ],
    stood: (opened) => standing(bag, box, faces, 1 - opened),
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
      proud: bag.proud.flat,
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
    ...back,
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
  }
}

/** The corner points of one face below its top edge, from its right end to its left. */
const footCorners = ({ w, c, m, fold, h0 }: Box, foot: number): Named[] =>
  [
    { x: w, y: fold + m, edge: 'foot-right-side' },
    { x: w - c.value, y: fold + m, edge: 'foot-right-base' },
    { x: w - c.value, y: foot, edge: 'foot' },
    { x: c.value, y: foot, edge: 'foot-left-base' },
    { x: c.value, y: fold + m, edge: 'foot-left-side' },
    { x: 0, y: fold + m, edge: 'left' },
  ].filter((q) => q.y <= Math.max(foot, h0.value + m))

function panelOf(bag: Bag, box: Box, id: 'front' | 'back'): Panel {
  const { flap, w, h0, m } = box
  const flapped = id === 'back' ? flap : undefined
  const top: Named[] = flapped
    ? flapCorners(flapped, w)
    : [
        { x: 0, y: 0, edge: 'top' },
        { x: w, y: 0, edge: 'right' },
      ]
  return plainPanel({
    id,
    name: id === 'front' ? 'Front' : 'Back',
    role: 'body',
    ...outlineOf([...top, ...footCorners(box, h0.value + m)], (edge) => fateOf(bag, edge)),
    folds: [...(flapped ? flapFolds(flapped, w) : [])],
    marks: cutMarks('snips', innerSnips(box)),
    labelAt: point(w / 2, box.fold * 0.4),
  })
}

const fateOf = (bag: Bag, edge: string) =>
  isFlapEdge(edge) ? bag.plain : edge.startsWith('top') ? bag.topFate : bag.seamed

/** From the inner corners of the squares towards the stitch lines' corner, stopping short of it. */
const innerSnips = ({ w, c, m, fold }: Box) => {
  const stop = Math.min(1.5, m / 3)
  return [
    polyline([point(w - c.value, fold + m), point(w - c.value - m + stop, fold + stop)]),
    polyline([point(c.value, fold + m), point(c.value + m - stop, fold + stop)]),
  ]
}

/** Front, foot and back in one piece: no allowance at the foot, where it is folded. */
function wholePanel(bag: Bag, box: Box): Panel {
  const { w, h0, c, m, fold } = box
  const high = 2 * h0.value
  return plainPanel({
    id: 'body',
    name: 'Front, foot and back',
    role: 'body',
    ...outlineOf(
      [
        { x: 0, y: 0, edge: 'top' },
        { x: w, y: 0, edge: 'right' },
        { x: w, y: fold + m, edge: 'foot-right-side' },
        { x: w - c.value, y: fold + m, edge: 'foot-right-base' },
        { x: w - c.value, y: high - fold - m, edge: 'back-right-side' },
        { x: w, y: high - fold - m, edge: 'back-right' },
        { x: w, y: high, edge: 'top-back' },
        { x: 0, y: high, edge: 'back-left' },
        { x: 0, y: high - fold - m, edge: 'back-left-side' },
        { x: c.value, y: high - fold - m, edge: 'foot-left-base' },
        { x: c.value, y: fold + m, edge: 'foot-left-side' },
        { x: 0, y: fold + m, edge: 'left' },
      ],
      (edge) => fateOf(bag, edge),
    ),
    folds: [
      {
        id: 'foot',
        name: 'middle of the foot',
        from: point(c.value + m, h0.value),
        to: point(w - c.value - m, h0.value),
        width: 0,
        rises: 'hill',
        angle: 0,
        note: 'middle of the foot',
      },
    ],
    marks: cutMarks('snips', [
      ...innerSnips(box),
      ...innerSnips(box).map((path) =>
        polyline([path.segments[0]!.from, path.segments[0]!.to].map((q) => point(q.x, high - q.y))),
      ),
    ]),
    labelAt: point(w / 2, fold * 0.4),
  })
}

function seams(bag: Bag, box: Box, [front, back]: Face[]): Join[] {
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
      { twin: 'side-left', pairName: 'the side seams' },
    ),
    seam(
      'side-left',
      'left side seam',
      [front!, point(m, TOP_IN), point(m, fold)],
      [back!, point(w - m, TOP_IN), point(w - m, fold)],
      { twin: 'side-right', pairName: 'the side seams' },
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
    return seam(
      `t-${face.id}-${side}`,
      `T seam at the foot, ${side} half of the ${face.id}`,
      [face, point(edge, fold), point(inner, fold)],
      [face, point(inner, fold + c.value), point(inner, fold)],
      { back: [1, 1] },
    )
  }
  return [
    ...sides,
    ...foot,
    ...[front!, back!].flatMap((face) => [corner(face, 'right'), corner(face, 'left')]),
  ]
}

/** The ends of the side seams and of the foot, where the T seam meets them. */
const meetings = ({ w, m, fold, h0, xl, xr }: Box, [front, back]: Face[]): Meeting[] => [
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

function standing(bag: Bag, box: Box, faces: readonly Face[], shut: number): Stood[] {
  const { body, proud } = bag
  const { w, c, fold, bend, flap, xl, xr } = box
  const neutral = body.neutral * body.thickness
  const top = fold - bend / 2 + neutral
  const z = neutral + c.value - bend / 2
  const parts = (face: Face): StoodPart[] => {
    const out = face.id === 'front' ? 1 : -1
    const [right, grain] = [out > 0 ? X : minus(X), out > 0 ? Z : minus(Z)]
    const at = (x: number): Point3 => point3Along(point3(0, top, out * z), right, x - w / 2)
    const clip = (x: number, y: number, vx: number, vy: number) => ({
      at: face.place(point(x, y)),
      inward: face.way(point(vx, vy)),
    })
    const side = (x: number, way: 1 | -1): StoodPart => ({
      clips: [clip(x - (way * bend) / 2, 0, way, 0), clip(0, fold + 1e-6, 0, -1)],
      from: face.place(point(x - (way * bend) / 2, 0)),
      along: face.way(point(way, 0)),
      course: courseOf([{ length: bend, turn: Math.PI / 2 }, { length: c.value }]),
      frame: { origin: at(x - (way * bend) / 2), along: way > 0 ? right : minus(right), rise: grain },
    })
    return [
      {
        clips: [
          clip(xl - 1e-6, 0, 1, 0),
          clip(xr + 1e-6, 0, -1, 0),
          clip(0, fold - bend / 2 - 1e-6, 0, 1),
          ...(face.sheet === 'body' ? [clip(0, fold + c.value, 0, -1)] : []),
        ],
        from: face.place(point(0, 0)),
        along: face.way(point(0, 1)),
        course: courseOf([
          { length: fold - bend / 2 },
          { length: bend, turn: Math.PI / 2 },
          { length: c.value - bend / 2 },
        ]),
        frame: { origin: at(0), along: minus(Y), rise: grain },
      },
      {
        clips: [
          clip(xl + bend / 2, 0, 1, 0),
          clip(xr - bend / 2, 0, -1, 0),
          clip(0, fold - bend / 2, 0, -1),
          ...(flap && face.id === 'back' ? [clip(0, 0, 0, 1)] : []),
        ],
        from: face.place(point(0, 0)),
        along: face.way(point(1, 0)),
        course: courseOf([]),
        frame: { origin: at(0), along: right, rise: grain },
      },
      side(xr, 1),
      side(xl, -1),
      ...(flap && face.id === 'back' ? [flapPart(flap, shut, at(0), Y, grain)] : []),
    ]
  }
  const sheets = [...new Set(faces.map((f) => f.sheet))]
  return sheets.map((sheet) => ({
    sheet,
    proud: proud.flat,
    parts: faces.filter((f) => f.sheet === sheet).flatMap(parts),
  }))
}
