import { segmentCrossings } from './crossings.js'
import { segmentLength } from './length.js'
import { offsetSegment } from './offsetSegment.js'
import { type Point, pointAdd, pointCross, pointDistance, pointDot, pointScale, pointsMeet } from './point.js'
import { type Segment, arc, line, segmentPart, segmentTangent } from './segment.js'

/** How a gap at an outward corner is closed: lines run on until they meet, or an arc round the corner. */
export type CornerStyle = 'mitred' | 'rounded'

/** A mitre longer than this many times the offset is cut square: as far as a knife makes sense of a point. */
const MITRE_LIMIT = 6
/** Ends nearer than this meet, mm. */
export const MEETS = 1e-4

/** What is offset, and what is to be said of the result. */
export interface RawAsked {
  readonly segments: readonly Segment[]
  /** For each segment how far to its right it goes, mm. */
  readonly distances: readonly number[]
  readonly closed: boolean
  readonly style: CornerStyle
  /** Filled with the index of the side each stretch came from. */
  readonly trace?: Map<Segment, number> | undefined
  /** Filled with the sides a stretch may lie nearer to than they ask. */
  readonly near?: Map<Segment, readonly number[]> | undefined
}

const lastOf = <T>(list: readonly T[]): T => list[list.length - 1]!

/** Every segment moved to its side, and the corners between them closed; may still cross itself. */
export function rawOffset(asked: RawAsked): Segment[] {
  const { segments, distances, closed, style, trace } = asked
  const moved = segments.map((s, i) => [...offsetSegment(s, distances[i]!)])
  const uneven = distances.some((d) => d !== distances[0])
  const live = trimmedAtCrossings(asked, moved)
  const out: Segment[] = []
  live.forEach((i, k) => {
    const last = k === live.length - 1
    const next = live[(k + 1) % live.length]!
    out.push(...moved[i]!)
    for (const s of moved[i]!) trace?.set(s, i)
    if (last && !closed) {
      if (uneven) sayNear(asked, moved[i]!, [], i, next)
      return
    }
    const gap = { before: segments[i]!, after: segments[next]!, d0: distances[i]!, d1: distances[next]! }
    const closing = corner(gap, moved[i]!, moved[next]!, style)
    out.push(...closing)
    if (uneven) sayNear(asked, moved[i]!, closing, i, next)
    // A mitre's two legs belong to the sides they carry on.
    const onward = segmentTangent(segments[next]!, 0)
    for (const s of closing)
      trace?.set(s, Math.abs(pointCross(segmentTangent(s, 0), onward)) < 1e-6 ? next : i)
  })
  return out
}

/**
 * Neighbours that cross where they met are cut there at once: what runs on beyond would be found too near and dropped.
 * Arcs smaller than their distance vanish where the sides beyond them cross. Gives the sides that are left.
 */
function trimmedAtCrossings({ segments, closed }: RawAsked, moved: Segment[][]): number[] {
  const count = segments.length
  const vanished = segments.map((s, i) => s.type === 'arc' && moved[i]![0]!.type === 'line')
  const gone = (i: number): boolean => vanished[i]!
  for (let i = 0; i < count; i += 1) {
    if (gone(i)) continue
    let next = i + 1
    while (next < i + count && gone(next % count)) next += 1
    if (!closed && next >= count) break
    if (next === i + 1) cutAtCrossing(moved[i]!, moved[next % count]!)
    else if (cutAtCrossing(moved[i]!, moved[next % count]!))
      for (let k = i + 1; k < next; k += 1) moved[k % count] = []
  }
  return segments.flatMap((_, i) => (moved[i]!.length > 0 ? [i] : []))
}

/** Says which sides the stretches of one, and what closes the corner after it, may lie nearer to than those ask. */
function sayNear(
  asked: RawAsked,
  own: readonly Segment[],
  closing: readonly Segment[],
  i: number,
  next: number,
): void {
  const { distances, near } = asked
  if (!near) return
  const goes = (k: number): number => Math.abs(distances[k]!)
  // A side is not too near to those it meets at its ends because they go farther out than it.
  const farther = [...nearby(asked, i, -1), ...nearby(asked, i, 1)].filter((k) => goes(k) > goes(i) + 1e-9)
  if (farther.length > 0) for (const s of own) near.set(s, farther)
  // Nor is the step from one to another that goes farther or less far.
  if (Math.abs(goes(i) - goes(next)) > 1e-9)
    for (const s of closing) near.set(s, [i, next, ...nearby(asked, i, 1), ...nearby(asked, next, -1)])
}

/** Sides that follow one (or come before it) within the farthest that any goes: round a short side its next one too. */
function nearby({ segments, distances, closed }: RawAsked, i: number, way: 1 | -1): number[] {
  const count = segments.length
  const reach = Math.max(...distances.map(Math.abs))
  const found: number[] = []
  for (let k = i + way, gone = 0; found.length < count - 1 && gone < reach; k += way) {
    if (!closed && (k < 0 || k >= count)) break
    const at = (k + count) % count
    found.push(at)
    gone += segmentLength(segments[at]!)
  }
  return found
}

/** Cuts the end of one stretch and the start of the next where they cross; says whether it did. */
function cutAtCrossing(before: Segment[], after: Segment[]): boolean {
  const [last, first] = [lastOf(before), after[0]!]
  if (before === after || pointsMeet(last.to, first.from, 1e-9)) return false
  const crossings = segmentCrossings(last, first)
  const [crossing] = crossings
  if (crossings.length !== 1 || !crossing || crossing.on < 1e-9 || crossing.other > 1 - 1e-9) return false
  if (crossing.on < 1)
    before[before.length - 1] = endedAt(segmentPart(last, 0, crossing.on), crossing.at, false)
  if (crossing.other > 0) after[0] = endedAt(segmentPart(first, crossing.other, 1), crossing.at, true)
  return true
}

/** The segment with its start or its end on a place it all but has already. */
const endedAt = (s: Segment, at: Point, start: boolean): Segment =>
  start ? { ...s, from: at } : { ...s, to: at }

/** What closes the corner between two moved neighbours: nothing, a straight run to the mitre and on, or an arc. */
function corner(
  { before, after, d0, d1 }: { before: Segment; after: Segment; d0: number; d1: number },
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
  const legs = [line(from, tip), line(tip, to)].filter((s) => segmentLength(s) > 1e-9)
  // Stretches too short to be told from a gap are left out later; two in a row would leave one.
  return legs.every((s) => segmentLength(s) <= MEETS) ? [line(from, to)] : legs
}
