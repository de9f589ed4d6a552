import type { Path } from './path.js'
import type { Point } from './point.js'
import { type Segment, arcRadius, segmentPoint } from './segment.js'

/** How many equal parameter steps keep the chords within `tolerance` mm of the curve. */
function steps(s: Segment, tolerance: number): number {
  if (s.type === 'line') return 1
  if (s.type === 'arc') {
    const radius = arcRadius(s)
    if (radius <= tolerance) return Math.max(1, Math.ceil(Math.abs(s.sweep) / 2))
    return Math.max(1, Math.ceil(Math.abs(s.sweep) / (2 * Math.acos(1 - tolerance / radius))))
  }
  // Wang's bound: the second differences of the handles limit how far a chord can lie from the curve.
  const bend = Math.max(
    Math.hypot(s.from.x - 2 * s.c1.x + s.c2.x, s.from.y - 2 * s.c1.y + s.c2.y),
    Math.hypot(s.c1.x - 2 * s.c2.x + s.to.x, s.c1.y - 2 * s.c2.y + s.to.y),
  )
  return Math.max(1, Math.ceil(Math.sqrt((0.75 * bend) / tolerance)))
}

/** Parameters 0..1 of a segment whose chords stay within `tolerance` mm of it. */
export function segmentStops(s: Segment, tolerance: number): readonly number[] {
  const count = steps(s, tolerance)
  return Array.from({ length: count + 1 }, (_, i) => i / count)
}

/** The path as points whose chords stay within `tolerance` mm. A closed path does not repeat its first point. */
export function pathPoints(path: Path, tolerance = 0.01): readonly Point[] {
  const points = path.segments.flatMap((s) =>
    segmentStops(s, tolerance)
      .slice(0, -1)
      .map((t) => segmentPoint(s, t)),
  )
  return path.closed ? points : [...points, path.segments[path.segments.length - 1]!.to]
}
