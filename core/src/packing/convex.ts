import earcut from 'earcut'
import type { Point } from '../geometry/index.js'

/** A convex outline, counter to the clock where y points up. */
export type Convex = readonly Point[]

/** A corner that juts out by less is left out: a shape is made smaller by no more than half of what a knife is out, mm. */
const JUTS = 0.004
/** A bay less deep is filled: a shape may be taken a little larger, never smaller, mm. */
const BAY = 0.25

const cross = (o: Point, a: Point, b: Point): number => (a.x - o.x) * (b.y - o.y) - (a.y - o.y) * (b.x - o.x)
const areaOf = (points: readonly Point[]): number =>
  points.reduce((sum, p, i) => {
    const q = points[(i + 1) % points.length] ?? p
    return sum + p.x * q.y - q.x * p.y
  }, 0) / 2

/** The outline round its area to the left, without corners that say nothing. */
export function simplified(outline: readonly Point[]): Point[] {
  let points = areaOf(outline) < 0 ? outline.toReversed() : [...outline]
  for (let again = true; again && points.length > 3; ) {
    again = false
    for (let i = 0; i < points.length && points.length > 3; i += 1) {
      const [a, p, b] = [points[(i + points.length - 1) % points.length], points[i], points[(i + 1) % points.length]]
      if (!a || !p || !b) continue
      const chord = Math.hypot(b.x - a.x, b.y - a.y)
      // How far the corner lies to the right of its chord: out of the shape where that is above nothing.
      const out = chord < 1e-9 ? 0 : -cross(a, b, p) / chord
      if (out > JUTS || out < -BAY) continue
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

/** Two convex outlines that share an edge as one, where that is convex too. */
function joined(a: Convex, b: Convex): Convex | undefined {
  for (let i = 0; i < a.length; i += 1) {
    const [from, to] = [a[i], a[(i + 1) % a.length]]
    const k = b.findIndex((p, j) => p === to && b[(j + 1) % b.length] === from)
    if (k < 0) continue
    const around = (list: Convex, start: number): Point[] =>
      Array.from({ length: list.length - 1 }, (_, s) => list[(start + s) % list.length]).flatMap((p) => p ?? [])
    // From the end of the shared edge round a to its start, then round b.
    const both = [...around(a, i + 1), ...around(b, k + 1)]
    return both.every((_, j) => isConvexAt(both, j)) ? both : undefined
  }
  return undefined
}

/** A shape as convex parts that together cover it: triangles, joined as long as they stay convex. */
export function convexParts(outline: readonly Point[]): Convex[] {
  const points = simplified(outline)
  if (points.every((_, i) => isConvexAt(points, i))) return [points]
  const corners = earcut(points.flatMap((p) => [p.x, p.y]))
  const parts: Convex[] = []
  for (let i = 0; i + 2 < corners.length; i += 3) {
    const three = [0, 1, 2].flatMap((k) => points[corners[i + k] ?? -1] ?? [])
    if (Math.abs(areaOf(three)) > 1e-9) parts.push(areaOf(three) < 0 ? three.toReversed() : three)
  }
  for (let i = 0; i < parts.length; i += 1)
    for (let j = i + 1; j < parts.length; j += 1) {
      const [a, b] = [parts[i], parts[j]]
      const one = a && b && joined(a, b)
      if (!one) continue
      parts.splice(j, 1)
      parts[i] = one
      j = i
    }
  return parts
}
