import { type Meeting, meetingOf } from './apart.js'
import { BAY, type Convex, convexParts } from './convex.js'
import type { Point } from '../geometry/index.js'

/** A shape that is laid once or more often, and how it may be turned, radians. */
export interface Shape {
  readonly outline: readonly Point[]
  readonly turns: readonly number[]
}

/** Shapes that come no nearer than this are apart: half of what a knife is out, mm. */
export const TOUCH = 0.002

/** How two shapes meet at one turn of the second against the first: all their convex parts together. */
interface Pair {
  /** Half-planes of each meeting, three numbers each (a normal, and how far out along it from the middle of its box), the nearest first. */
  readonly planes: Float64Array
  /** The box of each meeting of parts, four numbers each: left, right, top, bottom. */
  readonly boxes: Float64Array
  /** Where the planes of each meeting of parts begin, in numbers; one more at the end. */
  readonly starts: Int32Array
  /** The plane of each that told them apart last: mostly it does so again. */
  readonly hints: Int32Array
  /** Places at which they just touch, and the box that holds all at which they meet. */
  readonly corners: Float64Array
  readonly left: number
  readonly right: number
  readonly top: number
  readonly bottom: number
}

const same = (a: number, b: number): boolean => Math.abs(Math.sin((a - b) / 2)) < 1e-9

/** Left, right, top and bottom of places given as pairs of numbers. */
function boxOf(places: Float64Array): [number, number, number, number] {
  let [left, right, top, bottom] = [Infinity, -Infinity, Infinity, -Infinity]
  for (let k = 0; k + 1 < places.length; k += 2) {
    const [x = 0, y = 0] = [places[k], places[k + 1]]
    left = Math.min(left, x)
    right = Math.max(right, x)
    top = Math.min(top, y)
    bottom = Math.max(bottom, y)
  }
  return [left, right, top, bottom]
}

/** The planes of a meeting as seen from the middle of its box, those that lie nearest to it first. */
function fromMiddle({ planes }: Meeting, box: readonly number[]): number[] {
  const [left = 0, right = 0, top = 0, bottom = 0] = box
  const [x, y] = [(left + right) / 2, (top + bottom) / 2]
  const seen: [number, number, number][] = []
  for (let i = 0; i + 2 < planes.length; i += 3) {
    const [nx = 0, ny = 0, out = 0] = planes.subarray(i, i + 3)
    seen.push([nx, ny, out - nx * x - ny * y])
  }
  return seen.sort((a, b) => a[2] - b[2]).flat()
}

function gathered(meetings: readonly Meeting[]): Pair {
  const planes = new Float64Array(meetings.reduce((sum, m) => sum + m.planes.length, 0))
  const corners = new Float64Array(meetings.reduce((sum, m) => sum + m.corners.length, 0))
  const starts = new Int32Array(meetings.length + 1)
  const boxes = new Float64Array(4 * meetings.length)
  let [at, on] = [0, 0]
  meetings.forEach((m, k) => {
    const box = boxOf(m.corners)
    planes.set(fromMiddle(m, box), at)
    corners.set(m.corners, on)
    at += m.planes.length
    on += m.corners.length
    starts[k + 1] = at
    boxes.set(box, 4 * k)
  })
  const [left, right, top, bottom] = boxOf(corners)
  return { planes, boxes, starts, hints: starts.slice(0, -1), corners, left, right, top, bottom }
}

const turned = (outline: readonly Point[], angle: number): Point[] => {
  const [c, s] = [Math.cos(angle), Math.sin(angle)]
  return outline.map(({ x, y }) => ({ x: x * c - y * s, y: x * s + y * c }))
}

/** Shapes with how each meets each other, reckoned when it is first asked for. Places are of the outlines’ own origin, mm. */
export class Board {
  readonly cos: Float64Array
  readonly sin: Float64Array
  /** By shape and turn: the box of the turned shape, four numbers each: left, top, right, bottom. */
  readonly boxes: Float64Array
  readonly area: Float64Array
  /** The turns each shape may take, as places in the list of all turns. */
  readonly turnsOf: readonly Int32Array[]
  readonly angles: readonly number[]
  private readonly parts: readonly (readonly Convex[])[]
  /** By turn of one and of another: which turn the second has against the first. */
  private readonly relative: Int32Array
  private readonly relatives: readonly number[]
  private readonly pairs: (Pair | undefined)[]

  constructor(
    readonly shapes: readonly Shape[],
    readonly gap: number,
    bay = BAY,
  ) {
    const angles = [0]
    for (const { turns } of shapes) for (const t of turns) if (!angles.some((a) => same(a, t))) angles.push(t)
    this.angles = angles
    this.cos = Float64Array.from(angles, Math.cos)
    this.sin = Float64Array.from(angles, Math.sin)
    this.turnsOf = shapes.map(({ turns }) =>
      Int32Array.from(new Set(turns.map((t) => angles.findIndex((a) => same(a, t))))),
    )
    this.parts = shapes.map((s) => convexParts(s.outline, bay))
    this.area = Float64Array.from(shapes, ({ outline }) =>
      Math.abs(
        outline.reduce((sum, p, i) => {
          const q = outline[(i + 1) % outline.length] ?? p
          return sum + (p.x * q.y - q.x * p.y) / 2
        }, 0),
      ),
    )
    this.boxes = new Float64Array(shapes.length * angles.length * 4)
    shapes.forEach(({ outline }, s) =>
      angles.forEach((angle, t) => {
        const points = turned(outline, angle)
        const [xs, ys] = [points.map((p) => p.x), points.map((p) => p.y)]
        this.boxes.set(
          [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)],
          4 * (s * angles.length + t),
        )
      }),
    )
    const relatives: number[] = []
    this.relative = new Int32Array(angles.length ** 2)
    angles.forEach((a, i) =>
      angles.forEach((b, k) => {
        let found = relatives.findIndex((r) => same(r, b - a))
        if (found < 0) found = relatives.push(b - a) - 1
        this.relative[i * angles.length + k] = found
      }),
    )
    this.relatives = relatives
    this.pairs = new Array<Pair | undefined>(shapes.length ** 2 * relatives.length)
  }

  /** How `b`, turned by `tb`, meets `a`, turned by `ta`, in coordinates of `a` before it is turned. */
  pair(a: number, ta: number, b: number, tb: number): Pair {
    const relative = this.relative[ta * this.angles.length + tb] ?? 0
    const key = (a * this.shapes.length + b) * this.relatives.length + relative
    const known = this.pairs[key]
    if (known) return known
    const angle = this.relatives[relative] ?? 0
    const theirs = (this.parts[b] ?? []).map((p) => turned(p, angle))
    const made = gathered((this.parts[a] ?? []).flatMap((p) => theirs.map((q) => meetingOf(p, q, this.gap))))
    this.pairs[key] = made
    return made
  }
}

/** What the last measure found: which way the second shape leaves the first soonest, where they overlap deepest. */
export const found = { x: 0, y: 0, depth: 0 }

/** How deep a place lies in what two shapes share, part by part and added up, mm; 0 where they are apart. */
export function depthIn(
  { planes, boxes, starts, hints, left, right, top, bottom }: Pair,
  x: number,
  y: number,
): number {
  found.depth = 0
  if (x <= left || x >= right || y <= top || y >= bottom) return 0
  let sum = 0
  for (let k = 0; k + 1 < starts.length; k += 1) {
    const box = 4 * k
    if (x <= boxes[box]! || x >= boxes[box + 1]! || y <= boxes[box + 2]! || y >= boxes[box + 3]!) continue
    // As seen from the middle of the box.
    const dx = x - (boxes[box]! + boxes[box + 1]!) / 2
    const dy = y - (boxes[box + 2]! + boxes[box + 3]!) / 2
    const hint = hints[k]!
    if (planes[hint + 2]! - planes[hint]! * dx - planes[hint + 1]! * dy <= TOUCH) continue
    const end = starts[k + 1]!
    const away = Math.sqrt(dx * dx + dy * dy)
    let min = Infinity
    let [nx, ny] = [0, 0]
    for (let i = starts[k]!; i < end; i += 3) {
      const out = planes[i + 2]!
      // What lies farther out than that is farther than the nearest so far, and so are all after it.
      if (out - away >= min) break
      const depth = out - planes[i]! * dx - planes[i + 1]! * dy
      if (depth >= min) continue
      min = depth
      nx = planes[i]!
      ny = planes[i + 1]!
      if (min > TOUCH) continue
      hints[k] = i
      break
    }
    if (min <= TOUCH) continue
    sum += min
    if (min > found.depth) {
      found.depth = min
      found.x = nx
      found.y = ny
    }
  }
  return sum
}
