import { nth, required } from '../../../lists/index.js'
import { Unreadable, coordinate, quoted, strictNumber } from '../../outlines/index.js'
import { type Group, type Thing, placeOf, valueOf } from './groups.js'

/** Lines of DXF text. */
export type Written = readonly string[]

/** What is said of codes that a sentence has to name. */
const NAMES: Readonly<Record<number, string>> = {
  10: 'x',
  20: 'y',
  11: 'second x',
  21: 'second y',
  40: 'radius or ratio',
  41: 'start or scale',
  42: 'end, bulge or scale',
  50: 'angle',
  51: 'end angle',
}
const nameOf = (code: number): string => NAMES[code] ?? `group ${code}`

/** A number of a thing. Throws `Unreadable` where there is none, or none that is wanted. */
function numberOf(thing: Thing, code: number): number {
  const group = valueOf(thing, code)
  if (!group) throw new Unreadable(`${placeOf(thing)}: it has no ${nameOf(code)}.`)
  return numberIn(thing, group)
}
const numberIn = (thing: Thing, { code, value, line }: Group): number =>
  coordinate(value, `the ${nameOf(code)} of the ${thing.type}`, `Line ${line}`)

const maybe = (thing: Thing, code: number, otherwise: number): number =>
  valueOf(thing, code) ? numberOf(thing, code) : otherwise

/** A whole number of flags or counts. */
function wholeOf(thing: Thing, code: number, otherwise: number): number {
  const group = valueOf(thing, code)
  if (!group) return otherwise
  const value = strictNumber(group.value)
  if (value === undefined || !Number.isInteger(value))
    throw new Unreadable(
      `Line ${group.line}: ${quoted(group.value)} should be a whole number in the ${thing.type}.`,
    )
  return value
}

const pair = (code: number, value: number | string): string[] => [String(code), String(value)]

/** Which way up the plane is drawn; leaning ones can't be laid flat rightly. */
function plane(thing: Thing): string[] {
  const [x, y, z] = [maybe(thing, 210, 0), maybe(thing, 220, 0), maybe(thing, 230, 1)]
  if (x === 0 && y === 0 && z > 0) return []
  if (x === 0 && y === 0 && z < 0) return [...pair(210, 0), ...pair(220, 0), ...pair(230, -1)]
  throw new Unreadable(
    `${placeOf(thing)}: it is drawn in a plane that leans. Draw it flat and save it again.`,
  )
}

function round(thing: Thing): void {
  if (!(numberOf(thing, 40) > 0)) throw new Unreadable(`${placeOf(thing)}: its radius has to be above 0.`)
}

const plainly = (thing: Thing, codes: readonly number[]): string[] => [
  ...pair(0, thing.type),
  ...pair(8, '0'),
  ...codes.flatMap((code) => pair(code, numberOf(thing, code))),
  ...plane(thing),
]

/** What a reader can take wrongly of vertices: an order of groups, names among them, a count that is not true. */
function lightPolyline(thing: Thing): Written {
  const vertices: { x: number; y?: number; bulge?: number }[] = []
  for (const g of thing.groups) {
    const last = vertices[vertices.length - 1]
    if (g.code === 10) vertices.push({ x: numberIn(thing, g) })
    else if (g.code === 20 && last) last.y = numberIn(thing, g)
    else if (g.code === 42 && last) last.bulge = numberIn(thing, g)
  }
  if (vertices.some((v) => v.y === undefined))
    throw new Unreadable(`${placeOf(thing)}: a corner of it has no y.`)
  const told = wholeOf(thing, 90, vertices.length)
  if (told !== vertices.length)
    throw new Unreadable(
      `${placeOf(thing)}: it says that it has ${told} corners and has ${vertices.length}. Save it again.`,
    )
  if (vertices.length === 0) return []
  return [
    ...pair(0, thing.type),
    ...pair(8, '0'),
    ...pair(90, vertices.length),
    ...pair(70, wholeOf(thing, 70, 0) & 1),
    ...plane(thing),
    ...vertices.flatMap((v) => [
      ...pair(10, v.x),
      ...pair(20, required(v.y, 'y')),
      ...(v.bulge ? pair(42, v.bulge) : []),
    ]),
  ]
}

const MESHES = 16 | 64
const FRAME_POINT = 16

function heavyPolyline(thing: Thing, vertices: readonly Thing[], notes: Set<string>): Written {
  const flags = wholeOf(thing, 70, 0)
  if ((flags & MESHES) !== 0) {
    notes.add('A mesh was left out.')
    return []
  }
  const corners = vertices.filter((v) => (wholeOf(v, 70, 0) & FRAME_POINT) === 0)
  if (corners.length === 0) return []
  return [
    ...pair(0, thing.type),
    ...pair(8, '0'),
    ...pair(70, flags & 1),
    ...plane(thing),
    ...corners.flatMap((v) => [
      ...pair(0, 'VERTEX'),
      ...pair(10, numberOf(v, 10)),
      ...pair(20, numberOf(v, 20)),
      ...pair(42, maybe(v, 42, 0)),
    ]),
    ...pair(0, 'SEQEND'),
  ]
}

const TURN = 2 * Math.PI

function ellipse(thing: Thing): Written {
  const [from, to] = [maybe(thing, 41, 0), maybe(thing, 42, TURN)]
  const ratio = numberOf(thing, 40)
  if (!(ratio > 0) || ratio > 1e3) throw new Unreadable(`${placeOf(thing)}: its ratio has to be above 0.`)
  if (numberOf(thing, 11) === 0 && numberOf(thing, 21) === 0)
    throw new Unreadable(`${placeOf(thing)}: its long half has no length.`)
  const whole = Math.abs(to - from) >= TURN - 1e-9
  const start = ((from % TURN) + TURN) % TURN
  const sweep = whole ? TURN : (((to - from) % TURN) + TURN) % TURN || TURN
  return [...plainly(thing, [10, 20, 11, 21, 40]), ...pair(41, start), ...pair(42, start + sweep)]
}

function spline(thing: Thing, notes: Set<string>): Written {
  const degree = wholeOf(thing, 71, 3)
  const many = (code: number): number[] =>
    thing.groups.filter((g) => g.code === code).map((g) => numberIn(thing, g))
  const [xs, ys, knots, weights] = [many(10), many(20), many(40), many(41)]
  if (degree < 2 || degree > 3 || xs.length < 2) {
    notes.add('A curve without control points, or of a degree other than 2 or 3, was left out.')
    return []
  }
  if (weights.some((w) => w !== weights[0])) {
    notes.add('A weighted curve was left out; draw it as arcs or plain curves.')
    return []
  }
  if (xs.length !== ys.length) throw new Unreadable(`${placeOf(thing)}: a control point of it has no y.`)
  if (knots.length !== xs.length + degree + 1 || knots.some((k, i) => i > 0 && k < nth(knots, i - 1)))
    throw new Unreadable(
      `${placeOf(thing)}: ${xs.length} control points of degree ${degree} need ${xs.length + degree + 1} knots that don’t fall; it has ${knots.length}.`,
    )
  return [
    ...pair(0, thing.type),
    ...pair(8, '0'),
    ...plane(thing),
    ...pair(70, wholeOf(thing, 70, 0)),
    ...pair(71, degree),
    ...pair(72, knots.length),
    ...pair(73, xs.length),
    ...knots.flatMap((k) => pair(40, k)),
    ...xs.flatMap((x, i) => [...pair(10, x), ...pair(20, nth(ys, i)), ...pair(30, 0)]),
  ]
}

/** How blocks are called inside, so that no name of a file can mean anything else. */
export type BlockNames = ReadonlyMap<string, string>

function insert(thing: Thing, blocks: BlockNames): Written {
  const name = valueOf(thing, 2)?.value ?? ''
  const inner = blocks.get(name)
  if (inner === undefined)
    throw new Unreadable(`${placeOf(thing)}: the block ${quoted(name)} is not in the file.`)
  if (wholeOf(thing, 70, 1) > 1 || wholeOf(thing, 71, 1) > 1)
    throw new Unreadable(
      `${placeOf(thing)}: ${quoted(name)} is put down in rows and columns. Explode it and save it again.`,
    )
  const [sx, sy] = [maybe(thing, 41, 1), maybe(thing, 42, 1)]
  if (sx === 0 || sy === 0)
    throw new Unreadable(`${placeOf(thing)}: ${quoted(name)} is drawn at a scale of 0.`)
  return [
    ...pair(0, 'INSERT'),
    ...pair(8, '0'),
    ...pair(2, inner),
    ...pair(10, numberOf(thing, 10)),
    ...pair(20, numberOf(thing, 20)),
    ...pair(41, sx),
    ...pair(42, sy),
    ...pair(50, maybe(thing, 50, 0)),
    ...plane(thing),
  ]
}

/** An entity as the reader takes it rightly; nothing where it is left out, which is noted. Throws `Unreadable`. */
export function entityLines(
  thing: Thing,
  vertices: readonly Thing[],
  blocks: BlockNames,
  notes: Set<string>,
): Written {
  switch (thing.type) {
    case 'LINE':
      return plainly(thing, [10, 20, 11, 21])
    case 'ARC':
      round(thing)
      return plainly(thing, [10, 20, 40, 50, 51])
    case 'CIRCLE':
      round(thing)
      return plainly(thing, [10, 20, 40])
    case 'LWPOLYLINE':
      return lightPolyline(thing)
    case 'POLYLINE':
      return heavyPolyline(thing, vertices, notes)
    case 'ELLIPSE':
      return ellipse(thing)
    case 'SPLINE':
      return spline(thing, notes)
    case 'INSERT':
      return insert(thing, blocks)
    default:
      notes.add(`${quoted(thing.type, 20).slice(1, -1)} was left out.`)
      return []
  }
}
