import earcut from 'earcut'
import {
  type Box,
  type Path,
  type Point,
  type Point3,
  pathBox,
  pathPoints,
  point3Along,
  pointMoved,
  polygonHalved,
  moveBack,
  type Move,
  courseBreaks,
} from '../geometry/index.js'
import type { Clip } from '../master/index.js'
import { type ReadyPart, onCourse, placeOnPart } from './place.js'
import { SHADE } from './shade.js'
import { cells } from './slabs.js'
import { acrossBreaks, rampBreaks } from './wound.js'
import { required, nth } from '../lists/index.js'

/** Faces of a piece of leather in space: three numbers a corner, three corners a face. Lengths mm. */
export interface Mesh {
  readonly positions: Float32Array
  readonly normals: Float32Array
  /** How dark each corner is drawn, as a share of the swatch. */
  readonly shades: Float32Array
  /** The first so many corners are the grain side; the flesh side and the cut edges follow. */
  readonly grain: number
  /** Its outline as pairs of places, on both faces. */
  readonly outline: Float32Array
}

/** Chords of an outline lie this near to it, mm. */
const CHORDS = 0.25
/** A piece that lies on others is broken into so many cells at most each way, so that it can follow what lies below. */
const MOST_CELLS = 24
const CELL = 5

/** What is drawn: an outline in coordinates of the panel that stands, and how thick and how far out it lies there. */
export interface Covered {
  readonly outline: Path
  /** From the outline's coordinates to those of the standing panel. */
  readonly move: Move
  readonly clips: readonly Clip[]
  /** Thickness, and how far its middle lies out of the grain side, at a place of the standing panel, mm. */
  readonly thickness: (p: Point) => number
  readonly off: (p: Point) => number
  /** How dark a cut edge is drawn, at a place of the outline. */
  readonly edge: (p: Point) => number
  /** It follows what lies under it, so it has to be broken up. */
  readonly follows: boolean
}

interface Corner3 {
  readonly at: Point3
  readonly grain: Point3
  readonly half: number
}

class Faces {
  readonly positions: number[] = []
  readonly normals: number[] = []
  readonly shades: number[] = []
  add(corners: readonly Point3[], shade: number, normal: (i: number) => Point3): void {
    corners.forEach((p, i) => {
      const n = normal(i)
      this.positions.push(p.x, p.y, p.z)
      this.normals.push(n.x, n.y, n.z)
      this.shades.push(shade)
    })
  }
}

/** Levels that differ less than this are one, mm. */
const LEVEL = 0.01

const evenBreaks = (from: number, to: number): number[] => {
  const count = Math.max(1, Math.min(MOST_CELLS, Math.floor((to - from) / CELL)))
  return Array.from({ length: count + 1 }, (_, i) => from + (i * (to - from)) / count)
}

/** Where a piece has to be broken up to follow what lies under it: at even lines, but for those where nothing bends. */
function followingBreaks(
  { left, right, top, bottom }: Box,
  levels: (s: number, r: number) => readonly [number, number],
): [number[], number[]] {
  const [ss, rs] = [evenBreaks(left, right), evenBreaks(top, bottom)]
  const grid = ss.map((s) => rs.map((r) => levels(s, r)))
  const bends = (a: readonly number[], b: readonly number[], c: readonly number[]): boolean =>
    b.some((level, k) => Math.abs(nth(a, k) - 2 * level + nth(c, k)) > LEVEL)
  const inner = (lines: readonly number[], bent: (i: number) => boolean): number[] =>
    lines.filter((_, i) => i > 0 && i < lines.length - 1 && bent(i))
  const rises = (a: readonly number[], b: readonly number[]): boolean =>
    Math.abs(nth(a, 0) - nth(b, 0)) > STEEP
  return [
    [
      ...inner(ss, (i) =>
        rs.some((_, j) => bends(nth(nth(grid, i - 1), j), nth(nth(grid, i), j), nth(nth(grid, i + 1), j))),
      ),
      ...finer(ss, (i) => rs.some((_, j) => rises(nth(nth(grid, i), j), nth(nth(grid, i + 1), j)))),
    ],
    [
      ...inner(rs, (j) =>
        ss.some((_, i) => bends(nth(nth(grid, i), j - 1), nth(nth(grid, i), j), nth(nth(grid, i), j + 1))),
      ),
      ...finer(rs, (j) => ss.some((_, i) => rises(nth(nth(grid, i), j), nth(nth(grid, i), j + 1)))),
    ],
  ]
}

/** A piece rises by a wall where it rises by more than this from one line to the next, mm; there it is broken into so many. */
const STEEP = 2.5
const FINER = 6

/** More lines between those where it rises steeply. */
const finer = (lines: readonly number[], steep: (i: number) => boolean): number[] =>
  lines.slice(0, -1).flatMap((from, i) => {
    if (!steep(i)) return []
    const to = nth(lines, i + 1)
    return Array.from({ length: FINER + 1 }, (_, k) => from + (k * (to - from)) / FINER)
  })

/** Which points of a polygon lie on the outline it was cut from, so that its cut edge shows there. */
function onOutline(points: readonly Point[]): (a: Point, b: Point) => boolean {
  const key = (p: Point): string => `${Math.round(p.x * 1e4)},${Math.round(p.y * 1e4)}`
  const edges = points.map((p, i) => [p, nth(points, (i + 1) % points.length)] as const)
  const ends = new Map<string, number[]>()
  edges.forEach(([p], i) => {
    const k = key(p)
    ends.set(k, [...(ends.get(k) ?? []), i, (i + points.length - 1) % points.length])
  })
  const near = (p: Point, [a, b]: readonly [Point, Point]): boolean => {
    const [ux, uy] = [b.x - a.x, b.y - a.y]
    const length = Math.hypot(ux, uy)
    if (length < 1e-9) return false
    const along = ((p.x - a.x) * ux + (p.y - a.y) * uy) / length
    return (
      Math.abs((p.x - a.x) * uy - (p.y - a.y) * ux) / length < 1e-3 && along > -1e-3 && along < length + 1e-3
    )
  }
  return (a, b) => {
    const known = ends.get(key(a)) ?? ends.get(key(b))
    const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }
    return known ? known.some((i) => near(middle, nth(edges, i))) : edges.some((e) => near(middle, e))
  }
}

/** A piece of leather in space, laid over the parts of a standing panel. */
export function meshOf(parts: readonly ReadyPart[], covered: Covered): Mesh {
  const [grainSide, rest, outline] = [new Faces(), new Faces(), [] as number[]]
  const whole = covered.clips.reduce<Point[]>(
    (polygon, { at, inward }) => polygonHalved(polygon, at, inward),
    pathPoints(covered.outline, CHORDS).map((p) => pointMoved(p, covered.move)),
  )
  if (whole.length > 2) for (const part of parts) addPart(part, whole, covered, { grainSide, rest, outline })
  return {
    positions: new Float32Array([...grainSide.positions, ...rest.positions]),
    normals: new Float32Array([...grainSide.normals, ...rest.normals]),
    shades: new Float32Array([...grainSide.shades, ...rest.shades]),
    grain: grainSide.positions.length / 3,
    outline: new Float32Array(outline),
  }
}

const endBreaks = ({ wound, twisted }: ReadyPart): number[] =>
  [wound?.ends, twisted].flatMap((e) => (e ? rampBreaks(e) : []))

function addPart(
  part: ReadyPart,
  whole: readonly Point[],
  covered: Covered,
  to: { grainSide: Faces; rest: Faces; outline: number[] },
): void {
  const polygon = part.clips.reduce<Point[]>((p, { at, inward }) => polygonHalved(p, at, inward), [...whole])
  if (polygon.length < 3) return
  const back = (s: number, r: number): Point => ({
    x: part.from.x + part.along.x * s - part.along.y * r,
    y: part.from.y + part.along.y * s + part.along.x * r,
  })
  const toOutline = moveBack(covered.move)
  const unrolled = polygon.map((p) => {
    const { s, r } = onCourse(part, p)
    return { x: s, y: r }
  })
  const shown = onOutline(whole.map((p) => ({ x: onCourse(part, p).s, y: onCourse(part, p).r })))
  const box = pathBox({
    closed: true,
    segments: unrolled.map((from, i) => ({
      type: 'line',
      from,
      to: nth(unrolled, (i + 1) % unrolled.length),
    })),
  })
  const [even, evenAcross] = covered.follows
    ? followingBreaks(box, (s, r) => {
        const flat = back(s, r)
        return [covered.off(flat), covered.thickness(flat)]
      })
    : [[], []]
  const along = [...courseBreaks(part.walk), ...even, ...endBreaks(part)]
  const across = [
    ...(part.flanges ? [part.flanges.from, part.flanges.to] : []),
    ...evenAcross,
    ...(part.wound ? acrossBreaks(part.wound) : []),
  ]
  const known = new Map<string, Corner3>()
  const corner = (p: Point): Corner3 => {
    const key = `${p.x.toFixed(4)} ${p.y.toFixed(4)}`
    const before = known.get(key)
    if (before) return before
    const flat = back(p.x, p.y)
    const { at, grain } = placeOnPart(part, { s: p.x, r: p.y }, covered.off(flat))
    const made = { at, grain, half: covered.thickness(flat) / 2 }
    known.set(key, made)
    return made
  }
  for (const cell of cells(unrolled, along, across))
    addCell(
      cell.map((p) => ({ p, c: corner(p) })),
      (a, b) =>
        shown(a, b) ? covered.edge(pointMoved(back((a.x + b.x) / 2, (a.y + b.y) / 2), toOutline)) : undefined,
      to,
    )
}

function addCell(
  cell: readonly { p: Point; c: Corner3 }[],
  /** How dark the cut edge is between two places; undefined where none shows. */
  edge: (a: Point, b: Point) => number | undefined,
  { grainSide, rest, outline }: { grainSide: Faces; rest: Faces; outline: number[] },
): void {
  const up = ({ at, grain, half }: Corner3): Point3 => point3Along(at, grain, half)
  const down = ({ at, grain, half }: Corner3): Point3 => point3Along(at, grain, -half)
  const faces = earcut(cell.flatMap(({ p }) => [p.x, p.y]))
  for (let i = 0; i < faces.length; i += 3) {
    const three = [nth(faces, i), nth(faces, i + 1), nth(faces, i + 2)].map((k) => nth(cell, k).c)
    const looks = outOf(three.map(up), nth(three, 0).grain)
    grainSide.add(three.map(up), SHADE.grain, (k) => looks ?? nth(three, k).grain)
    rest.add(three.toReversed().map(down), SHADE.flesh, (k) => {
      const { x, y, z } = looks ?? nth(three, 2 - k).grain
      return { x: -x, y: -y, z: -z }
    })
  }
  cell.forEach((a, i) => {
    const b = nth(cell, (i + 1) % cell.length)
    const shade = edge(a.p, b.p)
    if (shade === undefined) return
    const [a1, a2, b1, b2] = [up(a.c), down(a.c), up(b.c), down(b.c)]
    const normal = squareTo(a1, b1, a2)
    rest.add([a1, a2, b1, b1, a2, b2], shade, () => normal)
    for (const [from, till] of [
      [a1, b1],
      [a2, b2],
    ] as const)
      outline.push(from.x, from.y, from.z, till.x, till.y, till.z)
  })
}

/** Leather that leans further than this from the part it lies on is lit as it leans: the cosine. */
const LEANS = 0.9

/** Where a face looks that leans much; undefined where it follows the bend of its part. */
function outOf([a, b, c]: readonly Point3[], grain: Point3): Point3 | undefined {
  const n = squareTo(required(a, 'a'), required(b, 'b'), required(c, 'c'))
  const way = n.x * grain.x + n.y * grain.y + n.z * grain.z
  if (Math.abs(way) > LEANS) return undefined
  return way < 0 ? { x: -n.x, y: -n.y, z: -n.z } : n
}

function squareTo(a: Point3, b: Point3, c: Point3): Point3 {
  const [u, v] = [
    { x: b.x - a.x, y: b.y - a.y, z: b.z - a.z },
    { x: c.x - a.x, y: c.y - a.y, z: c.z - a.z },
  ]
  const n = { x: u.y * v.z - u.z * v.y, y: u.z * v.x - u.x * v.z, z: u.x * v.y - u.y * v.x }
  const length = Math.hypot(n.x, n.y, n.z) || 1
  return { x: n.x / length, y: n.y / length, z: n.z / length }
}
