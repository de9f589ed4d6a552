import { type Box, segmentBox } from './box.js'
import { segmentStops } from './flatten.js'
import type { Path } from './path.js'
import { type Point, pointDistance, pointDot, pointSubtract } from './point.js'
import {
  type Cubic,
  type Segment,
  arcStart,
  cubicSecondDerivative,
  segmentDerivative,
  segmentPoint,
} from './segment.js'

export interface Nearest {
  readonly at: Point
  readonly distance: number
  readonly segment: number
  readonly parameter: number
}

const clamp = (t: number): number => Math.min(1, Math.max(0, t))

function onLine(p: Point, s: Segment): number {
  const along = pointSubtract(s.to, s.from)
  const squared = pointDot(along, along)
  return squared === 0 ? 0 : clamp(pointDot(pointSubtract(p, s.from), along) / squared)
}

function onArc(p: Point, s: Segment & { type: 'arc' }): number {
  const angle = Math.atan2(p.y - s.centre.y, p.x - s.centre.x) - arcStart(s)
  const around = 2 * Math.PI
  const ahead = s.sweep >= 0 ? ((angle % around) + around) % around : -(((-angle % around) + around) % around)
  const t = ahead / s.sweep
  if (t <= 1) return t
  return pointDistance(p, s.from) <= pointDistance(p, s.to) ? 0 : 1
}

const distanceAt = (s: Segment, t: number, p: Point): number => pointDistance(p, segmentPoint(s, t))

/** Thirds of the stretch round `t` thrown away until it is narrow: slow, but never astray. */
function narrowed(s: Segment, p: Point, t: number, reach: number): number {
  let [low, high] = [clamp(t - reach), clamp(t + reach)]
  for (let step = 0; step < 60; step += 1) {
    const [a, b] = [low + (high - low) / 3, high - (high - low) / 3]
    if (distanceAt(s, a, p) < distanceAt(s, b, p)) high = b
    else low = a
  }
  return (low + high) / 2
}

interface Samples {
  readonly stops: readonly number[]
  readonly places: readonly Point[]
}
const knownSamples = new WeakMap<Cubic, Samples>()

/** Places along a cubic, close enough that the nearest of them is a good start; kept with the cubic. */
function samplesOf(s: Cubic): Samples {
  const before = knownSamples.get(s)
  if (before) return before
  const stops = segmentStops(s, 0.05)
  const dense = stops.length < 13 ? Array.from({ length: 13 }, (_, i) => i / 12) : stops
  const samples = { stops: dense, places: dense.map((t) => segmentPoint(s, t)) }
  knownSamples.set(s, samples)
  return samples
}

/** Newton's steps from `start` to the foot of the perpendicular; undefined where they lead away. */
function footFromMaybe(s: Cubic, p: Point, start: number): number | undefined {
  let best = start
  let miss = pointSubtract(segmentPoint(s, best), p)
  for (let step = 0; step < 10; step += 1) {
    const [d, dd] = [segmentDerivative(s, best), cubicSecondDerivative(s, best)]
    const bend = pointDot(d, d) + pointDot(miss, dd)
    const next = bend > 0 ? clamp(best - pointDot(miss, d) / bend) : NaN
    const nextMiss = pointSubtract(segmentPoint(s, next), p)
    if (!(Math.sqrt(pointDot(nextMiss, nextMiss)) <= Math.sqrt(pointDot(miss, miss)) + 1e-12))
      return undefined
    if (Math.abs(next - best) < 1e-12) return next
    best = next
    miss = nextMiss
  }
  return undefined
}

/** Coarse samples; from the best of them Newton's steps, or a search where those fail. */
function onCubic(p: Point, s: Cubic): number {
  const { stops, places } = samplesOf(s)
  let [sampled, min] = [0, Infinity]
  for (let i = 0; i < places.length; i += 1) {
    const [dx, dy] = [places[i]!.x - p.x, places[i]!.y - p.y]
    const squared = dx * dx + dy * dy
    if (squared < min) [sampled, min] = [stops[i]!, squared]
  }
  return footFromMaybe(s, p, sampled) ?? narrowed(s, p, sampled, 1 / (stops.length - 1))
}

/** How far a cubic passes from p near its parameter `guess`, mm; Infinity where that can't be told from there. */
export function distanceNear(s: Cubic, p: Point, guess: number): number {
  const foot = footFromMaybe(s, p, guess)
  return foot === undefined ? Infinity : distanceAt(s, foot, p)
}

/** The place of a segment nearest to p. */
export function segmentNearest(
  s: Segment,
  p: Point,
): { readonly at: Point; readonly distance: number; readonly parameter: number } {
  const parameter = s.type === 'line' ? onLine(p, s) : s.type === 'arc' ? onArc(p, s) : onCubic(p, s)
  const at = segmentPoint(s, parameter)
  return { at, distance: pointDistance(p, at), parameter }
}

/**
 * The place of a path nearest to p. `guess` is a segment it may well lie on: looked at first, it lets the far ones be
 * passed over.
 */
export function pathNearest(path: Path, p: Point, guess = 0): Nearest {
  const { segments } = path
  const first = segments[guess] ? guess : 0
  if (!segments[first]) throw new RangeError('a path without segments is near to nothing')
  let best: Nearest = { ...segmentNearest(segments[first], p), segment: first }
  for (let i = 0; i < segments.length; i += 1) {
    const segment = segments[i]!
    if (i === first || boxDistance(segmentBox(segment), p) >= best.distance) continue
    const near = segmentNearest(segment, p)
    if (near.distance < best.distance) best = { ...near, segment: i }
  }
  return best
}

/** How far a path passes from p where that is nearer than `reach`, mm; Infinity where it is not, without looking closer. */
export function distanceWithin({ segments }: Path, p: Point, reach: number): number {
  let min = Infinity
  for (const segment of segments)
    if (boxDistance(segmentBox(segment), p) < Math.min(reach, min))
      min = Math.min(min, segmentNearest(segment, p).distance)
  return min < reach ? min : Infinity
}

/** Whether a path passes p nearer than `reach`, mm. */
export const isNear = (path: Path, p: Point, reach: number): boolean =>
  distanceWithin(path, p, reach) < Infinity

/** How far a place lies outside a box; 0 inside it. */
function boxDistance(box: Box, p: Point): number {
  const dx = Math.max(box.left - p.x, 0, p.x - box.right)
  const dy = Math.max(box.top - p.y, 0, p.y - box.bottom)
  return Math.sqrt(dx * dx + dy * dy)
}
