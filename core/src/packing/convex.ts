import earcut from 'earcut'
import type { Point } from '../geometry/index.js'

/** A convex outline, counter to the clock where y points up. */
export type Convex = readonly Point[]

/** A corner that juts out by less is left out: a shape is made smaller by no more than half of what a knife is out, mm. */
const JUTS = 0.004
/** A bay less deep is filled where nobody says otherwise: a shape may be taken a little larger, never smaller, mm. */
export const BAY = 0.25

const cross = (o: Point, a: Point, b: Point): number => (a.x - o.x) * (b.y - o.y) - (a.y - o.y) * (b.x - o.x)
const areaOf = (points: readonly Point[]): number =>
  points.reduce((sum, p, i) => {
    const q = points[(i + 1) % points.length] ?? p
    return sum + p.x * q.y - q.x * p.y
  }, 0) / 2

/** The outline round its area to the left, without corners that say nothing. */
export function simplified(outline: readonly Point[], bay = BAY): Point[] {
  let points = areaOf(outline) < 0 ? outline.toReversed() : [...outline]
  for (let again = true; again && points.length > 3;) {
    again = false
    for (let i = 0; i < points.length && points.length > 3; i += 1) {
      const [a, p, b] = [
        points[(i + points.length - 1) % points.length],
        points[i],
        points[(i + 1) % points.length],
      ]
      if (!a || !p || !b) continue
      const chord = Math.hypot(b.x - a.x, b.y - a.y)
      // How far the corner lies to the right of its chord: out of the shape where that is above nothing.
      const out = chord < 1e-9 ? 0 : -cross(a, b, p) / chord
      if (out > JUTS || out < -bay) continue
      points = points.filter((_, k) => k !== i)
      again = true
    }
  }
  return points
}

const isConvexAt = (points: readonly Point[], i: number): boolean => {
  const n = points.length
  const [a, p, b] = [points[(i + n - 1) % n], points[i], points[(i + 1) % n]]
  return !a || !p || !b || cross(a, p, b) >= -1e-9
}

/** Whether the straight line between two corners runs inside the outline and meets none of its edges. */
function sees(points: readonly Point[], i: number, k: number): boolean {
  const n = points.length
  const [p, q] = [points[i], points[k]]
  if (!p || !q || !opens(points, i, q) || !opens(points, k, p)) return false
  for (let a = 0; a < n; a += 1) {
    const b = (a + 1) % n
    if (a === i || b === i || a === k || b === k) continue
    const [c, d] = [points[a], points[b]]
    if (c && d && cross(p, q, c) * cross(p, q, d) <= 0 && cross(c, d, p) * cross(c, d, q) <= 0) return false
  }
  return true
}

/** Whether a place lies in the angle of a corner. */
function opens(points: readonly Point[], i: number, q: Point): boolean {
  const n = points.length
  const [a, p, b] = [points[(i + n - 1) % n], points[i], points[(i + 1) % n]]
  if (!a || !p || !b) return false
  return isConvexAt(points, i)
    ? cross(p, b, q) > 1e-9 && cross(a, p, q) > 1e-9
    : cross(p, b, q) > 1e-9 || cross(a, p, q) > 1e-9
}

/** The cut from a hollow corner that leaves the fewest hollow corners, and of those the shortest. */
function cutOf(points: readonly Point[]): readonly [number, number] | undefined {
  const n = points.length
  const hollow = points.map((_, i) => !isConvexAt(points, i))
  let [best, least] = [undefined as readonly [number, number] | undefined, Infinity]
  const whole = Math.hypot(
    Math.max(...points.map((p) => p.x)) - Math.min(...points.map((p) => p.x)),
    Math.max(...points.map((p) => p.y)) - Math.min(...points.map((p) => p.y)),
  )
  for (let i = 0; i < n; i += 1) {
    if (!hollow[i]) continue
    for (let k = 0; k < n; k += 1) {
      if (k === i || (k + 1) % n === i || (i + 1) % n === k) continue
      const [p, q] = [points[i], points[k]]
      if (!p || !q) continue
      // Two hollow corners at once are worth going farther for.
      const cost =
        Math.hypot(p.x - q.x, p.y - q.y) + (hollow[k] ? 0 : whole) + (heals(points, i, q) ? 0 : whole)
      if (cost < least && sees(points, i, k)) [best, least] = [[i, k], cost]
    }
  }
  return best
}

/** Whether a cut from a hollow corner to a place leaves it convex on both sides. */
function heals(points: readonly Point[], i: number, q: Point): boolean {
  const n = points.length
  const [a, p, b] = [points[(i + n - 1) % n], points[i], points[(i + 1) % n]]
  return !a || !p || !b || (cross(a, p, q) >= -1e-9 && cross(q, p, b) >= -1e-9)
}

function parted(points: readonly Point[]): Convex[] {
  if (points.length < 4 || points.every((_, i) => isConvexAt(points, i))) return [points]
  const cut = cutOf(points)
  if (!cut) return triangles(points)
  const [i, k] = cut[0] < cut[1] ? cut : [cut[1], cut[0]]
  return [...parted(points.slice(i, k + 1)), ...parted([...points.slice(k), ...points.slice(0, i + 1)])]
}

/** Where no cut is to be had, as of an outline that touches itself. */
function triangles(points: readonly Point[]): Convex[] {
  const corners = earcut(points.flatMap((p) => [p.x, p.y]))
  const parts: Convex[] = []
  for (let i = 0; i + 2 < corners.length; i += 3) {
    const three = [0, 1, 2].flatMap((k) => points[corners[i + k] ?? -1] ?? [])
    if (Math.abs(areaOf(three)) > 1e-9) parts.push(areaOf(three) < 0 ? three.toReversed() : three)
  }
  return parts
}

/** A shape as convex parts that together cover it, with few of them and none longer than it need be. */
export const convexParts = (outline: readonly Point[], bay = BAY): Convex[] =>
  parted(simplified(outline, bay))
