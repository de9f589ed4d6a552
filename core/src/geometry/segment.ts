import { type Point, pointBetween, pointDistance, pointLength } from './point.js'

export interface Line {
  readonly type: 'line'
  readonly from: Point
  readonly to: Point
}
/** A true arc. `sweep` is signed, radians, positive clockwise on the screen, never more than a full turn. */
export interface Arc {
  readonly type: 'arc'
  readonly from: Point
  readonly to: Point
  readonly centre: Point
  readonly sweep: number
}
export interface Cubic {
  readonly type: 'cubic'
  readonly from: Point
  readonly c1: Point
  readonly c2: Point
  readonly to: Point
}
export type Segment = Line | Arc | Cubic

export const line = (from: Point, to: Point): Line => ({ type: 'line', from, to })
export const arc = (from: Point, to: Point, centre: Point, sweep: number): Arc => ({
  type: 'arc',
  from,
  to,
  centre,
  sweep,
})
export const cubic = (from: Point, c1: Point, c2: Point, to: Point): Cubic => ({
  type: 'cubic',
  from,
  c1,
  c2,
  to,
})

export const arcRadius = (a: Arc): number => pointDistance(a.from, a.centre)
export const arcStart = (a: Arc): number => Math.atan2(a.from.y - a.centre.y, a.from.x - a.centre.x)
/** The point of the arc's circle at `angle` radians from the x axis. */
export const circlePoint = (centre: Point, radius: number, angle: number): Point => ({
  x: centre.x + radius * Math.cos(angle),
  y: centre.y + radius * Math.sin(angle),
})

const cubicPoint = ({ from: p, c1, c2, to: q }: Cubic, t: number): Point => {
  const u = 1 - t
  const [a, b, c, d] = [u * u * u, 3 * u * u * t, 3 * u * t * t, t * t * t]
  return { x: a * p.x + b * c1.x + c * c2.x + d * q.x, y: a * p.y + b * c1.y + c * c2.y + d * q.y }
}

const cubicDerivative = ({ from: p, c1, c2, to: q }: Cubic, t: number): Point => {
  const u = 1 - t
  const [a, b, c] = [3 * u * u, 6 * u * t, 3 * t * t]
  return {
    x: a * (c1.x - p.x) + b * (c2.x - c1.x) + c * (q.x - c2.x),
    y: a * (c1.y - p.y) + b * (c2.y - c1.y) + c * (q.y - c2.y),
  }
}

/** The second derivative of a cubic by its parameter. */
export const cubicSecondDerivative = ({ from: p, c1, c2, to: q }: Cubic, t: number): Point => ({
  x: 6 * (1 - t) * (c2.x - 2 * c1.x + p.x) + 6 * t * (q.x - 2 * c2.x + c1.x),
  y: 6 * (1 - t) * (c2.y - 2 * c1.y + p.y) + 6 * t * (q.y - 2 * c2.y + c1.y),
})

/** The place at parameter t, 0 to 1; the ends are given back exactly. */
export function segmentPoint(s: Segment, t: number): Point {
  if (t <= 0) return s.from
  if (t >= 1) return s.to
  if (s.type === 'line') return pointBetween(s.from, s.to, t)
  if (s.type === 'arc') return circlePoint(s.centre, arcRadius(s), arcStart(s) + s.sweep * t)
  return cubicPoint(s, t)
}

/** The derivative by the parameter at t. A cubic whose handle lies on its end borrows the direction nearby. */
export function segmentDerivative(s: Segment, t: number): Point {
  if (s.type === 'line') return { x: s.to.x - s.from.x, y: s.to.y - s.from.y }
  if (s.type === 'arc') {
    const angle = arcStart(s) + s.sweep * t
    const radius = arcRadius(s)
    return { x: -radius * s.sweep * Math.sin(angle), y: radius * s.sweep * Math.cos(angle) }
  }
  const d = cubicDerivative(s, t)
  if (d.x !== 0 || d.y !== 0) return d
  const near = t < 0.5 ? 1e-6 : -1e-6
  const second = cubicDerivative(s, t + near)
  return second
}

/** Unit direction of travel at t. */
export function segmentTangent(s: Segment, t: number): Point {
  const d = segmentDerivative(s, t)
  const length = pointLength(d)
  return length === 0 ? { x: 1, y: 0 } : { x: d.x / length, y: d.y / length }
}

/** Signed curvature in 1/mm at t, positive where the path turns clockwise on the screen. */
export function segmentCurvature(s: Segment, t: number): number {
  if (s.type === 'line') return 0
  if (s.type === 'arc') return Math.sign(s.sweep) / arcRadius(s)
  const d = cubicDerivative(s, t)
  const dd = cubicSecondDerivative(s, t)
  const speed = pointLength(d)
  return speed === 0 ? 0 : (d.x * dd.y - d.y * dd.x) / speed ** 3
}

/** The same stretch walked the other way. */
export function segmentReversed(s: Segment): Segment {
  if (s.type === 'line') return line(s.to, s.from)
  if (s.type === 'arc') return arc(s.to, s.from, s.centre, -s.sweep)
  return cubic(s.to, s.c2, s.c1, s.from)
}

function cubicHead(s: Cubic, t: number): Cubic {
  const a = pointBetween(s.from, s.c1, t)
  const b = pointBetween(s.c1, s.c2, t)
  const c = pointBetween(s.c2, s.to, t)
  const ab = pointBetween(a, b, t)
  const bc = pointBetween(b, c, t)
  return cubic(s.from, a, ab, pointBetween(ab, bc, t))
}

/** The part of a segment from parameter t0 to t1, 0 <= t0 < t1 <= 1. */
export function segmentPart(s: Segment, t0: number, t1: number): Segment {
  if (t0 <= 0 && t1 >= 1) return s
  if (s.type === 'line') return line(segmentPoint(s, t0), segmentPoint(s, t1))
  if (s.type === 'arc') return arc(segmentPoint(s, t0), segmentPoint(s, t1), s.centre, s.sweep * (t1 - t0))
  const head = t1 >= 1 ? s : cubicHead(s, t1)
  if (t0 <= 0) return head
  const tail = cubicHead(segmentReversed(head) as Cubic, 1 - t0 / t1)
  return segmentReversed(tail)
}
