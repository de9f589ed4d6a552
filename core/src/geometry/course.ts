import { nth } from '../lists/index.js'
import { segmentLength, segmentParameterAt } from './length.js'
import { type Path, openPath, polyline } from './path.js'
import { type Point, point } from './point.js'
import { type Segment, arc, line, segmentPoint, segmentTangent } from './segment.js'

/** A stretch of a course: `length` mm of leather, turned by `turn` radians on the way, towards the flesh where positive. */
export interface Stretch {
  readonly length: number
  readonly turn?: number
}

/**
 * A course out of straight stretches and bends, from (0, 0) to the right; up is out of the grain side. The length of a
 * bend is what the leather's neutral layer uses up in it. A stretch of no length that turns is a sharp fold.
 */
export function courseOf(stretches: readonly Stretch[]): Path {
  let at: Point = point(0, 0)
  let heading = 0
  const segments: Segment[] = []
  for (const { length, turn = 0 } of stretches) {
    if (length > 1e-9) {
      const to = bentTo(at, heading, length, turn)
      segments.push(
        Math.abs(turn) < 1e-9 ? line(at, to) : arc(at, to, centreOf(at, heading, length / turn), -turn),
      )
      at = to
    }
    heading -= turn
  }
  return segments.length > 0 ? openPath(segments) : polyline([point(0, 0), point(1, 0)])
}

const centreOf = (at: Point, heading: number, radius: number): Point =>
  point(at.x + radius * Math.sin(heading), at.y - radius * Math.cos(heading))

function bentTo(at: Point, heading: number, length: number, turn: number): Point {
  if (Math.abs(turn) < 1e-9)
    return point(at.x + length * Math.cos(heading), at.y + length * Math.sin(heading))
  const radius = length / turn
  const centre = centreOf(at, heading, radius)
  const after = heading - turn
  return point(centre.x - radius * Math.sin(after), centre.y + radius * Math.cos(after))
}

/** A course ready to be asked for many places. */
export interface Coursed {
  readonly segments: readonly Segment[]
  /** Where each segment begins, and where the last ends, mm. */
  readonly starts: readonly number[]
}

export function coursed(path: Path): Coursed {
  const starts = [0]
  for (const s of path.segments) starts.push(nth(starts, starts.length - 1) + segmentLength(s))
  return { segments: path.segments, starts }
}

/** A place on a course and the unit vector one walks along there; beyond its ends it goes on straight. */
export function courseAt({ segments, starts }: Coursed, s: number): { at: Point; way: Point } {
  const length = nth(starts, starts.length - 1)
  let i = 0
  while (i < segments.length - 1 && nth(starts, i + 1) < s) i += 1
  const segment = nth(segments, i)
  const inside = Math.min(Math.max(s, 0), length) - nth(starts, i)
  const t = segment.type === 'line' ? inside / segmentLength(segment) : segmentParameterAt(segment, inside)
  const way = segmentTangent(segment, t)
  const at = segmentPoint(segment, t)
  const past = s < 0 ? s : Math.max(0, s - length)
  return { at: point(at.x + way.x * past, at.y + way.y * past), way }
}

/** No facet of a bend turns further, radians. */
const FACET = Math.PI / 18

/** Distances at which a course has to be broken so that its facets lie near it. */
export function courseBreaks({ segments, starts }: Coursed): number[] {
  return segments.flatMap((s, i) => {
    const [from, to] = [nth(starts, i), nth(starts, i + 1)]
    if (s.type === 'line') return [from, to]
    const count = s.type === 'arc' ? Math.max(1, Math.ceil(Math.abs(s.sweep) / FACET)) : 12
    return Array.from({ length: count + 1 }, (_, k) => from + ((to - from) * k) / count)
  })
}
