import { nth } from '../lists/index.js'
import { segmentLength, segmentParameterAt } from './length.js'
import { type Point, pointCross } from './point.js'
import { type Segment, line, segmentPart, segmentPoint, segmentReversed, segmentTangent } from './segment.js'

/** One unbroken line of segments, end to start. A closed path ends where it begins. */
export interface Path {
  readonly segments: readonly Segment[]
  readonly closed: boolean
}

/** A place on a path: where, which way one walks there (radians from the x axis, clockwise), on which segment. */
export interface PathPlace {
  readonly at: Point
  readonly angle: number
  readonly segment: number
  readonly parameter: number
}

export const openPath = (segments: readonly Segment[]): Path => ({ segments, closed: false })
export const closedPath = (segments: readonly Segment[]): Path => ({ segments, closed: true })
/** A closed path of straight lines through the points. */
export const polygon = (points: readonly Point[]): Path =>
  closedPath(points.map((from, i) => line(from, nth(points, (i + 1) % points.length))))
/** An open path of straight lines through the points. */
export const polyline = (points: readonly Point[]): Path =>
  openPath(points.slice(1).map((to, i) => line(nth(points, i), to)))

export function pathLength(path: Path): number {
  let sum = 0
  for (const segment of path.segments) sum += segmentLength(segment)
  return sum
}

export const pathReversed = (path: Path): Path => ({
  ...path,
  segments: path.segments.map(segmentReversed).reverse(),
})

export const pathStart = (path: Path): Point => firstOf(path).from
export const pathEnd = (path: Path): Point => nth(path.segments, path.segments.length - 1).to

function firstOf(path: Path): Segment {
  const first = path.segments[0]
  if (!first) throw new RangeError('a path without segments has no start')
  return first
}

function placeOn(segment: Segment, index: number, parameter: number): PathPlace {
  const tangent = segmentTangent(segment, parameter)
  return {
    at: segmentPoint(segment, parameter),
    angle: Math.atan2(tangent.y, tangent.x),
    segment: index,
    parameter,
  }
}

/** The place at `distance` mm along the path. A closed path goes round; an open one stops at its ends. */
export function pathPlaceAt(path: Path, distance: number): PathPlace {
  firstOf(path)
  let left = path.closed ? wrapped(distance, pathLength(path)) : distance
  const last = path.segments.length - 1
  for (let index = 0; index <= last; index += 1) {
    const segment = nth(path.segments, index)
    const length = segmentLength(segment)
    if (left <= length || index === last) return placeOn(segment, index, segmentParameterAt(segment, left))
    left -= length
  }
  throw new RangeError('unreachable: the last segment always answers')
}

const wrapped = (distance: number, length: number): number => ((distance % length) + length) % length

/** The stretch of a path between two distances; 0 <= from < to <= its length. Throws where nothing would be left. */
export function pathPart(path: Path, from: number, to: number): Path {
  if (!(to > from)) throw new RangeError(`a stretch needs to end after it starts, got ${from} to ${to}`)
  const parts: Segment[] = []
  let start = 0
  for (const segment of path.segments) {
    const length = segmentLength(segment)
    const [a, b] = [Math.max(from - start, 0), Math.min(to - start, length)]
    if (b - a > 1e-9)
      parts.push(segmentPart(segment, segmentParameterAt(segment, a), segmentParameterAt(segment, b)))
    start += length
  }
  return openPath(parts)
}

/** The stretch of a path that closes on itself from one distance on to another, past its start where need be. */
export function pathStretch(path: Path, from: number, to: number): Path {
  if (to > from + 1e-9) return pathPart(path, from, to)
  const head = to > 1e-9 ? pathPart(path, 0, to).segments : []
  const total = pathLength(path)
  const tail = total - from > 1e-9 ? pathPart(path, from, total).segments : []
  return openPath([...tail, ...head])
}

/** How far along a path a place of it lies, mm. */
export function pathDistanceOf(path: Path, place: Pick<PathPlace, 'segment' | 'parameter'>): number {
  let before = 0
  for (let i = 0; i < place.segment; i += 1) before += segmentLength(nth(path.segments, i))
  return before + segmentLength(nth(path.segments, place.segment), place.parameter)
}

/** Signed area in mm², positive for an outline walked clockwise on the screen. Exact for lines, arcs and cubics. */
export const pathArea = (path: Path): number => path.segments.reduce((sum, s) => sum + segmentArea(s), 0)

/** Which side of one who walks along a closed outline its inside lies on: 1 on the right, −1 on the left. */
export const inwardSide = (outline: Path): 1 | -1 => (pathArea(outline) >= 0 ? 1 : -1)

/** The area between two paths that run the same way. */
export function stripBetween(outer: Path, inner: Path): Path {
  const back = pathReversed(inner)
  const across = line(pathEnd(outer), pathStart(back))
  return closedPath([...outer.segments, across, ...back.segments, line(pathEnd(back), pathStart(outer))])
}

/** The share of ∮(x dy − y dx)/2 that a segment adds. */
function segmentArea(s: Segment): number {
  const chord = pointCross(s.from, s.to) / 2
  if (s.type === 'line') return chord
  if (s.type === 'arc') {
    const squared = (s.from.x - s.centre.x) ** 2 + (s.from.y - s.centre.y) ** 2
    return chord + (squared * (s.sweep - Math.sin(s.sweep))) / 2
  }
  const { from: p, c1: a, c2: b, to: q } = s
  return (
    (6 * pointCross(p, a) +
      3 * pointCross(p, b) +
      pointCross(p, q) +
      3 * pointCross(a, b) +
      3 * pointCross(a, q) +
      6 * pointCross(b, q)) /
    20
  )
}
