import { boxGrown, segmentBox } from './box.js'
import { segmentCrossings } from './crossings.js'
import { segmentNearest } from './nearest.js'
import { type Path, pathArea } from './path.js'
import { type Point, pointCross, pointDistance, pointDot, pointsMeet } from './point.js'
import { Ends } from './ends.js'
import { segmentsNear } from './strips.js'
import { type CornerStyle, MEETS, rawOffset } from './offsetRaw.js'
import { tidied } from './offsetTidy.js'
import { segmentLength } from './length.js'
import { type Segment, segmentPart, segmentPoint, segmentTangent } from './segment.js'

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
  const near = new Map<Segment, readonly number[]>()
  const raw = rawOffset({ segments: path.segments, distances, closed: true, style, trace, near })
  const loops = chained(survivors(raw, path.segments, distances, trace, near), true)
  const turning = Math.sign(pathArea(path))
  return loops
    .map((segments): Path => ({ segments: tidied(segments, true, trace), closed: true }))
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
  const raw = rawOffset({ segments: path.segments, distances, closed: false, style })
  const length = (segments: readonly Segment[]): number =>
    segments.reduce((sum, s) => sum + segmentLength(s), 0)
  const lines = chained(survivors(raw, path.segments, distances), false)
  if (lines.length > 1) lines.sort((a, b) => length(b) - length(a))
  return lines[0] && { segments: tidied(lines[0], false), closed: false }
}

const lastOf = <T>(list: readonly T[]): T => list[list.length - 1]!

/** Cuts the raw offset wherever it crosses itself and keeps the stretches that lie far enough from the original. */
function survivors(
  raw: readonly Segment[],
  original: readonly Segment[],
  distances: readonly number[],
  trace?: Map<Segment, number>,
  near?: ReadonlyMap<Segment, readonly number[]>,
): Segment[] {
  const cuts = crossingCuts(raw)
  const boxes = original.map((s, i) => boxGrown(segmentBox(s), Math.abs(distances[i]!)))
  const count = original.length
  const whole: Path = { segments: original, closed: false }
  const farthest = distances.reduce((max, d) => Math.max(max, Math.abs(d)), 0)
  const wanted = (i: number): number => Math.abs(distances[(i + count) % count]!)
  // Round a corner the smaller of the two distances rules: the larger one's side is reached along the smaller's line.
  const atCorner = (i: number, parameter: number): number =>
    parameter <= 0
      ? Math.min(wanted(i), wanted(i - 1))
      : parameter >= 1
        ? Math.min(wanted(i), wanted(i + 1))
        : wanted(i)
  const farEnough = (p: Point, between: readonly number[] | undefined): boolean => {
    for (const i of segmentsNear(whole, { left: p.x, right: p.x, top: p.y, bottom: p.y }, farthest)) {
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
      // What is shorter than ends may lie apart is bridged when the rest is put together.
      const long = pointDistance(part.from, middle) + pointDistance(middle, part.to) > MEETS
      if (!long || !farEnough(middle, near?.get(s))) return []
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

/** Where the ends of one straight run lie inside another on the same line, as parameters of that. */
function stopsOn(s: Segment, other: Segment): number[] {
  if (s.type !== 'line' || other.type !== 'line') return []
  const [along, length] = [segmentTangent(s, 0), pointDistance(s.from, s.to)]
  if (Math.abs(pointCross(along, segmentTangent(other, 0))) > 1e-9) return []
  return [other.from, other.to].flatMap((p) => {
    const d = { x: p.x - s.from.x, y: p.y - s.from.y }
    const t = pointDot(d, along) / length
    return Math.abs(pointCross(along, d)) < 1e-7 && t > 1e-9 && t < 1 - 1e-9 ? [t] : []
  })
}

/** For every raw segment the parameters where others cross it. */
function crossingCuts(raw: readonly Segment[]): number[][] {
  const cuts: number[][] = raw.map(() => [])
  const boxes = raw.map(segmentBox)
  const all: Path = { segments: raw, closed: false }
  for (let i = 0; i < raw.length; i += 1)
    for (const j of segmentsNear(all, boxes[i]!, 1e-6)) {
      if (j <= i) continue
      if (j === i + 1 && onlyMeet(raw[i]!, raw[j]!)) continue
      if (i === 0 && j === raw.length - 1 && onlyMeet(raw[j]!, raw[i]!)) continue
      for (const { on, other } of segmentCrossings(raw[i]!, raw[j]!)) {
        cuts[i]!.push(on)
        cuts[j]!.push(other)
      }
      // Straight runs that lie on each other cross nowhere: each is cut where the other begins and ends.
      cuts[i]!.push(...stopsOn(raw[i]!, raw[j]!))
      cuts[j]!.push(...stopsOn(raw[j]!, raw[i]!))
    }
  return cuts
}

const ANY = (): boolean => true

/** Stretches that something leads to and that lead to something: the others are on no loop. */
function withoutLooseEnds(parts: readonly Segment[]): readonly Segment[] {
  const [from, to] = [new Ends(parts, 'from', MEETS), new Ends(parts, 'to', MEETS)]
  const kept = parts.filter((s) => to.find(s.from, ANY) && from.find(s.to, ANY))
  return kept.length === parts.length ? parts : withoutLooseEnds(kept)
}

/** Stretches put together end to start. Closed asks for loops; otherwise every unbroken line is given. */
function chained(all: readonly Segment[], closed: boolean): Segment[][] {
  const parts = closed ? withoutLooseEnds(all) : all
  const left = new Set(parts)
  const [from, to] = [new Ends(parts, 'from', MEETS), new Ends(parts, 'to', MEETS)]
  const follow = (end: Point): Segment | undefined => from.find(end, (s) => left.has(s))
  const hasBefore = (s: Segment): boolean => to.find(s.from, (other) => other !== s) !== undefined
  const chains: Segment[][] = []
  while (left.size > 0) {
    const first = (closed ? undefined : [...left].find((s) => !hasBefore(s))) ?? left.values().next().value!
    const chain: Segment[] = []
    for (let next: Segment | undefined = first; next; next = follow(next.to)) {
      left.delete(next)
      chain.push(next)
      if (closed && pointsMeet(next.to, first.from, MEETS)) break
    }
    if (!closed || pointsMeet(lastOf(chain).to, first.from, MEETS)) chains.push(chain)
  }
  return chains
}
