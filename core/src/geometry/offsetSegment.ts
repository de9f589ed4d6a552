import { pointAdd, pointRight, pointScale } from './point.js'
import {
  type Arc,
  type Cubic,
  type Segment,
  arc,
  arcRadius,
  cubic,
  line,
  segmentCurvature,
  segmentDerivative,
  segmentPart,
  segmentPoint,
  segmentTangent,
} from './segment.js'
import { distanceNear } from './nearest.js'

/** How far an offset cubic may lie from the true parallel, mm: a fifth of a fine pencil line's thickness would be 0.06. */
const OFFSET_TOLERANCE = 0.004
const DEEPEST = 8

/** One segment moved `distance` mm to its right (left where negative). Always at least one segment. */
export function offsetSegment(s: Segment, distance: number): readonly Segment[] {
  if (distance === 0) return [s]
  if (s.type === 'line') {
    const aside = pointScale(pointRight(segmentTangent(s, 0)), distance)
    return [line(pointAdd(s.from, aside), pointAdd(s.to, aside))]
  }
  return s.type === 'arc' ? [offsetArc(s, distance)] : offsetCubic(s, distance, 0)
}

/** A clockwise arc has its centre on the right, so it shrinks by the distance; past its centre it becomes a chord. */
function offsetArc(s: Arc, distance: number): Segment {
  const before = arcRadius(s)
  const after = before - Math.sign(s.sweep) * distance
  const place = (p: { x: number; y: number }): { x: number; y: number } => ({
    x: s.centre.x + ((p.x - s.centre.x) * after) / before,
    y: s.centre.y + ((p.y - s.centre.y) * after) / before,
  })
  const [from, to] = [place(s.from), place(s.to)]
  return after <= 1e-9 ? line(from, to) : arc(from, to, s.centre, s.sweep)
}

const sidePoint = (s: Segment, t: number, distance: number) =>
  pointAdd(segmentPoint(s, t), pointScale(pointRight(segmentTangent(s, t)), distance))

/** The Hermite cubic with the true parallel's end points and end derivatives C'(1 - κd). */
function hermite(s: Cubic, distance: number): Cubic {
  const [from, to] = [sidePoint(s, 0, distance), sidePoint(s, 1, distance)]
  const handle = (t: number) =>
    pointScale(segmentDerivative(s, t), (1 - segmentCurvature(s, t) * distance) / 3)
  return cubic(from, pointAdd(from, handle(0)), pointAdd(to, pointScale(handle(1), -1)), to)
}

const worstMiss = (s: Cubic, candidate: Cubic, distance: number): number =>
  Math.max(...[0.15, 0.3, 0.5, 0.7, 0.85].map((t) => distanceNear(candidate, sidePoint(s, t, distance), t)))

function offsetCubic(s: Cubic, distance: number, depth: number): readonly Segment[] {
  const candidate = hermite(s, distance)
  if (depth >= DEEPEST || worstMiss(s, candidate, distance) <= OFFSET_TOLERANCE) return [candidate]
  return [0, 0.5].flatMap((t) => offsetCubic(segmentPart(s, t, t + 0.5) as Cubic, distance, depth + 1))
}
