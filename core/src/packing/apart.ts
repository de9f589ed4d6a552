import type { Point } from '../geometry/index.js'
import type { Convex } from './convex.js'

/**
 * Where one convex shape meets another: places of the second against the first at which they overlap or come nearer than the
 * knife needs. Half-planes, three numbers each (a normal, and how far out along it): inside all of them they meet.
 */
export interface Meeting {
  readonly planes: Float64Array
  /** Corners of that region: at each the shapes just touch at two places. */
  readonly corners: Float64Array
}

const edges = (points: Convex): { readonly x: number; readonly y: number; readonly angle: number }[] =>
  points.map((p, i) => {
    const q = points[(i + 1) % points.length] ?? p
    return { x: q.x - p.x, y: q.y - p.y, angle: Math.atan2(q.y - p.y, q.x - p.x) }
  })

const most = (points: readonly Point[], of: (p: Point) => number): number =>
  points.reduce((max, p) => Math.max(max, of(p)), -Infinity)

/** Where the places of `b` against `a` lie at which they overlap: the outline of all a − b. */
function difference(a: Convex, b: Convex): Point[] {
  const away = b.map((p) => ({ x: -p.x, y: -p.y }))
  const turned = [...edges(a), ...edges(away)]
    .filter((e) => Math.hypot(e.x, e.y) > 1e-9)
    .sort((p, q) => p.angle - q.angle)
  const points: Point[] = []
  let at = { x: 0, y: 0 }
  let before = Number.NaN
  for (const e of turned) {
    // Edges that run the same way are one.
    if (!(Math.abs(e.angle - before) < 1e-9)) points.push(at)
    before = e.angle
    at = { x: at.x + e.x, y: at.y + e.y }
  }
  // Wherever one began to go round, its farthest right and farthest up are those of the two together.
  const by = (of: (p: Point) => number): number => most(a, of) + most(away, of) - most(points, of)
  const [dx, dy] = [by((p) => p.x), by((p) => p.y)]
  return points.map((p) => ({ x: p.x + dx, y: p.y + dy }))
}

/** How two convex shapes meet that have to keep `gap` mm apart. */
export function meetingOf(a: Convex, b: Convex, gap: number): Meeting {
  const points = difference(a, b)
  const planes: number[] = []
  points.forEach((p, i) => {
    const q = points[(i + 1) % points.length] ?? p
    const length = Math.hypot(q.x - p.x, q.y - p.y)
    const normal = { x: (q.y - p.y) / length, y: -(q.x - p.x) / length }
    planes.push(normal.x, normal.y, normal.x * p.x + normal.y * p.y + gap)
    if (gap === 0) return
    // Round a corner the knife needs its room only so far: a plane across it.
    const r = points[(i + 2) % points.length] ?? q
    const next = Math.hypot(r.x - q.x, r.y - q.y)
    const [x, y] = [normal.x + (r.y - q.y) / next, normal.y - (r.x - q.x) / next]
    const across = Math.hypot(x, y)
    if (across > 1e-6 && across < 1.9) planes.push(x / across, y / across, (x * q.x + y * q.y) / across + gap)
  })
  return { planes: new Float64Array(planes), corners: cornersOf(planes) }
}

function cornersOf(planes: readonly number[]): Float64Array {
  const corners: number[] = []
  const count = planes.length / 3
  for (let i = 0; i < count; i += 1) {
    const [ax = 0, ay = 0, ac = 0] = planes.slice(3 * i, 3 * i + 3)
    const k = (i + 1) % count
    const [bx = 0, by = 0, bc = 0] = planes.slice(3 * k, 3 * k + 3)
    const cross = ax * by - ay * bx
    if (Math.abs(cross) < 1e-9) continue
    corners.push((ac * by - bc * ay) / cross, (ax * bc - bx * ac) / cross)
  }
  return new Float64Array(corners)
}
