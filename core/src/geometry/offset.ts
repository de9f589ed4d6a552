import { boxGrown, boxesTouch, segmentBox } from './box.js'
import { segmentCrossings } from './crossings.js'
import { segmentNearest } from './nearest.js'
import { type Path, pathArea } from './path.js'
import { type Point, pointAdd, pointCross, pointDistance, pointDot, pointScale, pointsMeet } from './point.js'
import { offsetSegment } from './offsetSegment.js'
import { segmentLength } from './length.js'
import { type Segment, arc, line, segmentPart, segmentPoint, segmentTangent } from './segment.js'

/** How a gap at an outward corner is closed: lines run on until they meet, or an arc round the corner. */
export type CornerStyle = 'mitred' | 'rounded'

/** A mitre longer than this many times the offset is cut square: as far as a knife makes sense of a point. */
const MITRE_LIMIT = 6
/** How much nearer than asked a stretch may lie and still belong to the offset, mm: the error of offset cubics. */
const KEEP_TOLERANCE = 0.008

/**
 * The closed path at `distance` mm from a closed one: outwards where positive, inwards where negative. Arcs stay
 * arcs, cubics stay cubics (within 0.005 mm); stretches that would cross are taken out. Gives no path where
 * nothing is left, several where the shape falls apart. One number, or one for each segment.
 * Method: docs/geometry.md.
 */
export function offsetClosed(
  path: Path,
  distance: number | readonly number[],
  style: CornerStyle = 'mitred',
  trace?: Map<Segment, number>,
): Path[] {
  const outward = pathArea(path) >= 0 ? -1 : 1
  const distances = path.segments.map(
    (_, i) => outward * (typeof distance === 'number' ? distance : distance[i]!),
  )
  if (distances.every((d) => d === 0)) return [path]
  const steps = new Map<Segment, readonly [number, number]>()
  const raw = rawOffset(path.segments, distances, true, style, trace, steps)
  const loops = chained(survivors(raw, path.segments, distances, trace, steps), true)
  const turning = Math.sign(pathArea(path))
  return loops
    .map((segments): Path => ({ segments: withoutWhiskers(segments, trace), closed: true }))
    .filter((loop) => Math.sign(pathArea(loop)) === turning && Math.abs(pathArea(loop)) > 1e-6)
    .sort((a, b) => Math.abs(pathArea(b)) - Math.abs(pathArea(a)))
}

/** The largest loop of an offset, for outlines that are known to stay in one piece; undefined where nothing is left. */
export const offsetLargestMaybe = (
  path: Path,
  distance: number | readonly number[],
  style: CornerStyle = 'mitred',
): Path | undefined => offsetClosed(path, distance, style)[0]

/** A path and for each of its segments the index of the one it came from. */
export interface Traced {
  readonly path: Path
  readonly origins: readonly number[]
}

/** The largest loop of an offset, with the segment each part of it came from. */
function offsetTracedMaybe(path: Path, distances: readonly number[]): Traced | undefined {
  const trace = new Map<Segment, number>()
  const loop = offsetClosed(path, distances, 'mitred', trace)[0]
  if (!loop) return undefined
  if (loop === path) return { path, origins: path.segments.map((_, i) => i) }
  return { path: loop, origins: loop.segments.map((s) => trace.get(s) ?? 0) }
}

/**
 * The outline with every side moved out by its own distance (in where negative), the largest loop of it. Where some go
 * out and others in, those that go out go first: a corner between the two then comes out as two straight cuts.
 */
export function offsetSidesMaybe(path: Path, distances: readonly number[]): Traced | undefined {
  const mixed = distances.some((d) => d > 0) && distances.some((d) => d < 0)
  if (!mixed) return offsetTracedMaybe(path, distances)
  const grown = offsetTracedMaybe(
    path,
    distances.map((d) => Math.max(0, d)),
  )
  const inner =
    grown &&
    offsetTracedMaybe(
      grown.path,
      grown.origins.map((i) => Math.min(0, distances[i]!)),
    )
  return inner && { path: inner.path, origins: inner.origins.map((i) => grown.origins[i]!) }
}

/**
 * The line at `distance` mm to the right of an open path (left where negative), seen along it. Stretches that would
 * cross are taken out; the longest unbroken line is given back, undefined where nothing is left.
 */
export function offsetOpenMaybe(
  path: Path,
  distance: number,
  style: CornerStyle = 'mitred',
): Path | undefined {
  if (distance === 0) return path
  const distances = path.segments.map(() => distance)
  const raw = rawOffset(path.segments, distances, false, style)
  const length = (segments: readonly Segment[]): number =>
    segments.reduce((sum, s) => sum + segmentLength(s), 0)
  const lines = chained(survivors(raw, path.segments, distances), false)
  if (lines.length > 1) lines.sort((a, b) => length(b) - length(a))
  return lines[0] && { segments: lines[0], closed: false }
}

/** Every segment moved to its side, and the corners between them closed; may still cross itself. */
function rawOffset(
  segments: readonly Segment[],
  distances: readonly number[],
  closed: boolean,
  style: CornerStyle,
  trace?: Map<Segment, number>,
  steps?: Map<Segment, readonly [number, number]>,
): Segment[] {
  const moved = segments.map((s, i) => offsetSegment(s, distances[i]!))
  const out: Segment[] = []
  const joined: Segment[][] = moved.map((parts) => [...parts])
  const count = segments.length
  for (let i = 0; i < count; i += 1) {
    const next = (i + 1) % count
    out.push(...joined[i]!)
    const closing =
      i < count - 1 || closed
        ? corner(
            segments[i]!,
            segments[next]!,
            distances[i]!,
            distances[next]!,
            joined[i]!,
            joined[next]!,
            style,
          )
        : []
    out.push(...closing)
    for (const s of joined[i]!) trace?.set(s, i)
    // From a side that stays to one that moves the mitre runs nearer to the moving one than that one asks.
    const turning = pointCross(segmentTangent(segments[i]!, 1), segmentTangent(segments[next]!, 0))
    const staysAndGoes = Math.min(Math.abs(distances[i]!), Math.abs(distances[next]!)) === 0
    if (staysAndGoes && (distances[i]! + distances[next]!) * turning < -1e-12)
      for (const s of closing) steps?.set(s, [i, next])
    // A mitre's two legs belong to the sides they carry on.
    const onward = segmentTangent(segments[next]!, 0)
    for (const s of closing)
      trace?.set(s, Math.abs(pointCross(segmentTangent(s, 0), onward)) < 1e-6 ? next : i)
  }
  return out
}

const lastOf = <T>(list: readonly T[]): T => list[list.length - 1]!

/** What closes the corner between two moved neighbours: nothing, a straight run to the mitre and on, or an arc. */
function corner(
  before: Segment,
  after: Segment,
  d0: number,
  d1: number,
  movedBefore: readonly Segment[],
  movedAfter: readonly Segment[],
  style: CornerStyle,
): Segment[] {
  const [from, to] = [lastOf(movedBefore).to, movedAfter[0]!.from]
  if (pointsMeet(from, to, 1e-9)) return []
  const [along, onward] = [segmentTangent(before, 1), segmentTangent(after, 0)]
  const turning = pointCross(along, onward)
  const opens = (d0 + d1) * turning < -1e-12
  if (!opens) return [line(from, to)]
  if (style === 'rounded' && Math.abs(d0 - d1) < 1e-12)
    return [arc(from, to, before.to, Math.atan2(turning, pointDot(along, onward)))]
  const reach = pointCross({ x: to.x - from.x, y: to.y - from.y }, onward) / turning
  const tip = pointAdd(from, pointScale(along, reach))
  if (pointDistance(tip, before.to) > MITRE_LIMIT * Math.max(Math.abs(d0), Math.abs(d1)))
    return [line(from, to)]
  return [line(from, tip), line(tip, to)].filter((s) => segmentLength(s) > 1e-9)
}

/** Straight runs that go out and come back over themselves are taken out: what differing distances leave at a corner. */
function withoutWhiskers(segments: readonly Segment[], trace?: Map<Segment, number>): readonly Segment[] {
  const comesBack = (a: Segment | undefined, b: Segment | undefined): boolean =>
    a?.type === 'line' &&
    b?.type === 'line' &&
    pointDot(segmentTangent(a, 0), segmentTangent(b, 0)) < -1 + 1e-9
  /** What is left of going out along `a` and back along `b`. */
  const left = (a: Segment, b: Segment): Segment[] => {
    if (pointsMeet(a.from, b.to)) return []
    const rest = line(a.from, b.to)
    trace?.set(rest, trace.get(a) ?? 0)
    return [rest]
  }
  const out: Segment[] = []
  for (const s of segments)
    if (comesBack(out[out.length - 1], s)) out.push(...left(out.pop()!, s))
    else out.push(s)
  while (out.length > 2 && comesBack(out[out.length - 1], out[0])) {
    const [last, first] = [out.pop()!, out.shift()!]
    out.unshift(...left(last, first))
  }
  return out
}

/** Cuts the raw offset wherever it crosses itself and keeps the stretches that lie far enough from the original. */
function survivors(
  raw: readonly Segment[],
  original: readonly Segment[],
  distances: readonly number[],
  trace?: Map<Segment, number>,
  steps?: ReadonlyMap<Segment, readonly [number, number]>,
): Segment[] {
  const cuts = crossingCuts(raw)
  const boxes = original.map((s, i) => boxGrown(segmentBox(s), Math.abs(distances[i]!)))
  const count = original.length
  const wanted = (i: number): number => Math.abs(distances[(i + count) % count]!)
  // Round a corner the smaller of the two distances rules: the larger one's side is reached along the smaller's line.
  const atCorner = (i: number, parameter: number): number =>
    parameter <= 0
      ? Math.min(wanted(i), wanted(i - 1))
      : parameter >= 1
        ? Math.min(wanted(i), wanted(i + 1))
        : wanted(i)
  const farEnough = (p: Point, between: readonly number[] | undefined): boolean => {
    for (let i = 0; i < count; i += 1) {
      if (between?.includes(i)) continue
      const box = boxes[i]!
      if (p.x < box.left || p.x > box.right || p.y < box.top || p.y > box.bottom) continue
      const near = segmentNearest(original[i]!, p)
      if (near.distance < atCorner(i, near.parameter) - KEEP_TOLERANCE) return false
    }
    return true
  }
  return raw.flatMap((s, i) => {
    const stops = [0, ...cuts[i]!.sort((a, b) => a - b), 1]
    return stops.slice(1).flatMap((t, k) => {
      if (t - stops[k]! < 1e-12) return []
      const part = segmentPart(s, stops[k]!, t)
      const middle = segmentPoint(part, 0.5)
      const long = pointDistance(part.from, middle) + pointDistance(middle, part.to) > 1e-7
      if (!long || !farEnough(middle, steps?.get(s))) return []
      trace?.set(part, trace.get(s) ?? 0)
      return [part]
    })
  })
}

/** Whether a segment goes forward in the direction `u` all along. */
function goesForward(s: Segment, u: Point): boolean {
  const along = (a: Point, b: Point): boolean => (b.x - a.x) * u.x + (b.y - a.y) * u.y > 0
  if (s.type === 'line') return along(s.from, s.to)
  if (s.type === 'cubic') return along(s.from, s.c1) && along(s.c1, s.c2) && along(s.c2, s.to)
  return (
    Math.abs(s.sweep) < Math.PI / 2 &&
    pointDot(segmentTangent(s, 0), u) > 0 &&
    pointDot(segmentTangent(s, 1), u) > 0
  )
}

/** Two that follow each other and both go forward along the way from one into the other meet nowhere else. */
const onlyMeet = (a: Segment, b: Segment): boolean => {
  if (!pointsMeet(a.to, b.from, 1e-9)) return false
  const u = segmentTangent(a, 1)
  return goesForward(a, u) && goesForward(b, u)
}

/** For every raw segment the parameters where others cross it. */
function crossingCuts(raw: readonly Segment[]): number[][] {
  const cuts: number[][] = raw.map(() => [])
  const boxes = raw.map(segmentBox)
  for (let i = 0; i < raw.length; i += 1)
    for (let j = i + 1; j < raw.length; j += 1) {
      if (!boxesTouch(boxes[i]!, boxes[j]!, 1e-6)) continue
      if (j === i + 1 && onlyMeet(raw[i]!, raw[j]!)) continue
      if (i === 0 && j === raw.length - 1 && onlyMeet(raw[j]!, raw[i]!)) continue
      for (const { on, other } of segmentCrossings(raw[i]!, raw[j]!)) {
        cuts[i]!.push(on)
        cuts[j]!.push(other)
      }
    }
  return cuts
}

/** Stretches put together end to start. Closed asks for loops; otherwise every unbroken line is given. */
function chained(parts: readonly Segment[], closed: boolean): Segment[][] {
  const left = new Set(parts)
  const follow = (end: Point): Segment | undefined => {
    for (const s of left) if (pointsMeet(s.from, end, 1e-4)) return s
    return undefined
  }
  const hasBefore = (s: Segment): boolean =>
    parts.some((other) => other !== s && pointsMeet(other.to, s.from, 1e-4))
  const chains: Segment[][] = []
  while (left.size > 0) {
    const first = (closed ? undefined : [...left].find((s) => !hasBefore(s))) ?? left.values().next().value!
    const chain: Segment[] = []
    for (let next: Segment | undefined = first; next; next = follow(next.to)) {
      left.delete(next)
      chain.push(next)
      if (closed && pointsMeet(next.to, first.from, 1e-4)) break
    }
    if (!closed || pointsMeet(lastOf(chain).to, first.from, 1e-4)) chains.push(chain)
  }
  return chains
}
