import { firstOf, nth } from '../../lists/index.js'
import { type Point, type Segment, cubic } from '../../geometry/index.js'

/** Knots nearer than this are one. */
const SAME_KNOT = 1e-12

/**
 * A B-spline of degree 2 or 3 as cubics, exactly: knots are inserted (Boehm) until every one stands as often as the
 * degree, and the control points between them are Bézier's. docs/geometry.md.
 */
export function splineCubics(points: readonly Point[], knots: readonly number[], degree: number): Segment[] {
  let [control, vector] = [[...points], [...knots]]
  const [from, to] = [nth(knots, degree), nth(knots, knots.length - degree - 1)]
  const stops = [...new Set(knots)].filter((k) => k >= from - SAME_KNOT && k <= to + SAME_KNOT)
  for (const knot of stops)
    for (let times = vector.filter((k) => Math.abs(k - knot) < SAME_KNOT).length; times < degree; times += 1)
      [control, vector] = inserted(control, vector, degree, knot)
  // Before the first knot of the curve's own range there may be more control points.
  const first = vector.findLastIndex((k) => Math.abs(k - from) < SAME_KNOT) - degree
  return stops
    .slice(1)
    .map((_, i) => bezier(control.slice(first + i * degree, first + (i + 1) * degree + 1), degree))
}

function inserted(
  control: readonly Point[],
  knots: readonly number[],
  degree: number,
  knot: number,
): [Point[], number[]] {
  const k = knots.findLastIndex((one) => one <= knot + 1e-12)
  const out: Point[] = []
  for (let i = 0; i <= control.length; i += 1) {
    if (i <= k - degree) out.push(nth(control, i))
    else if (i > k) out.push(nth(control, i - 1))
    else {
      const span = nth(knots, i + degree) - nth(knots, i)
      const a = span === 0 ? 0 : (knot - nth(knots, i)) / span
      const [p, q] = [nth(control, i - 1), nth(control, Math.min(i, control.length - 1))]
      out.push({ x: p.x * (1 - a) + q.x * a, y: p.y * (1 - a) + q.y * a })
    }
  }
  return [out, [...knots.slice(0, k + 1), knot, ...knots.slice(k + 1)]]
}

function bezier(p: readonly Point[], degree: number): Segment {
  if (degree === 3) return cubic(firstOf(p), nth(p, 1), nth(p, 2), nth(p, 3))
  const two = (end: Point): Point => ({
    x: end.x + (2 / 3) * (nth(p, 1).x - end.x),
    y: end.y + (2 / 3) * (nth(p, 1).y - end.y),
  })
  return cubic(firstOf(p), two(firstOf(p)), two(nth(p, 2)), nth(p, 2))
}
