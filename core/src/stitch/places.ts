import { equalisedStitches } from '../formulas/index.js'
import {
  type Path,
  type Point,
  type Segment,
  arcRadius,
  openPath,
  pathEnd,
  pathLength,
  pathStart,
  pointCross,
  pointDistance,
  pointDot,
  segmentDerivative,
  segmentLength,
  segmentParameterAt,
  segmentPoint,
  segmentTangent,
} from '../geometry/index.js'
import { firstOf, lastOf, nth, required } from '../lists/index.js'

/** A hole's place on its run. */
export interface HolePlace {
  readonly at: Point
  /** Direction of the run there, radians. */
  readonly angle: number
  /** Distance along the run, mm. */
  readonly distance: number
}

/** How holes meet a sharp corner of the stitch line. */
export type CornerSchool = 'hole' | 'straddled'

/** One side of a run between sharp corners. */
export interface Side {
  readonly stitches: number
  /** The pitch used, mm, measured straight from hole to hole as dividers step it. */
  readonly pitch: number
  /** The pitch of its last stitches, where those alone were evened out; and how many they are. */
  readonly last?: { readonly pitch: number; readonly stitches: number }
  /** Which holes of the run are its first and last. */
  readonly from: number
  readonly to: number
  /** How long it is, mm. */
  readonly length: number
}

/** How a side is brought to a whole number of stitches. */
export interface Steps {
  readonly pitch: number
  readonly corners: CornerSchool
  /** Stepped at the pitch itself until so many stitches are left, which are evened out; evened over all where left out. */
  readonly evenOver?: number
  /** Steps from the first hole to the last of each side, where another edge decides them. */
  readonly counts?: readonly number[]
}

/** A side shorter than this is none, mm. */
const NOTHING = 1e-6

/** A turn sharper than this is a corner, not a curve (about 20 degrees). */
const SHARP = Math.PI / 9

/**
 * The run cut at its sharp corners. A side shorter than half a pitch is no side: corners that near to each other are one,
 * and its length goes to the side before it.
 */
function sidesOf(path: Path, pitch: number): Path[] {
  const sides: Path['segments'][number][][] = [[]]
  let own = 0
  let rest = pathLength(path)
  path.segments.forEach((segment, i) => {
    const before = path.segments[i - 1]
    if (before) {
      const [a, b] = [segmentTangent(before, 1), segmentTangent(segment, 0)]
      const sharp = Math.abs(Math.atan2(pointCross(a, b), pointDot(a, b))) > SHARP
      if (sharp && own >= pitch / 2 && rest >= pitch / 2) {
        sides.push([])
        own = 0
      }
    }
    lastOf(sides).push(segment)
    own += segmentLength(segment)
    rest -= segmentLength(segment)
  })
  return sides.map((segments) => openPath(segments))
}

/** Which way a segment runs at a place, radians. */
function headingAt(segment: Segment, parameter: number): number {
  const along = segmentTangent(segment, parameter)
  return Math.atan2(along.y, along.x)
}

/** A path with the distance at which each segment starts, and at last its whole length. */
interface Measured {
  readonly path: Path
  readonly starts: readonly number[]
  readonly total: number
  readonly straight: boolean
}

function measured(path: Path): Measured {
  const starts = [0]
  for (const segment of path.segments) starts.push(lastOf(starts) + segmentLength(segment))
  const straight = path.segments.length === 1 && firstOf(path.segments).type === 'line'
  return { path, starts, total: lastOf(starts), straight }
}

/** A place reached while stepping: on which segment, where on it, and how far past the end of the path. */
interface Reached {
  readonly segment: number
  readonly parameter: number
  readonly past: number
}

const distanceOf = ({ path, starts }: Measured, { segment, parameter, past }: Reached): number =>
  nth(starts, segment) + segmentLength(nth(path.segments, segment), parameter) + past

function placeAt({ path, starts }: Measured, distance: number): Reached {
  let segment = 0
  while (segment < starts.length - 2 && distance > nth(starts, segment + 1)) segment += 1
  const parameter = segmentParameterAt(nth(path.segments, segment), distance - nth(starts, segment))
  return { segment, parameter, past: 0 }
}

/** The parameter beyond `from` at which a segment is `pitch` mm away from a place, straight; it is by its end. */
function parameterAway(segment: Segment, here: Point, from: number, pitch: number): number {
  let [low, high] = [from, 1]
  let t = Math.min(1, from + (1 - from) / 2)
  for (let step = 0; step < 60; step += 1) {
    const p = segmentPoint(segment, t)
    const apart = pointDistance(here, p)
    const miss = apart - pitch
    if (Math.abs(miss) < 1e-9) return t
    if (miss > 0) high = t
    else low = t
    const d = segmentDerivative(segment, t)
    const speed = apart > 0 ? ((p.x - here.x) * d.x + (p.y - here.y) * d.y) / apart : 0
    const next = t - miss / speed
    t = next > low && next < high ? next : (low + high) / 2
  }
  return t
}

/** How far a hole `pitch` mm on lies along a line, as its parameter: where a circle round `here` leaves it. */
function alongLine(segment: Segment & { type: 'line' }, here: Point, pitch: number): number {
  const { from, to } = segment
  const [dx, dy, ex, ey] = [to.x - from.x, to.y - from.y, from.x - here.x, from.y - here.y]
  const a = dx * dx + dy * dy
  const half = ex * dx + ey * dy
  return (-half + Math.sqrt(Math.max(0, half * half - a * (ex * ex + ey * ey - pitch * pitch)))) / a
}

/** The same on an arc from a place on it: by the angle its chord spans. */
const alongArc = (segment: Segment & { type: 'arc' }, parameter: number, pitch: number): number =>
  parameter + (2 * Math.asin(pitch / (2 * arcRadius(segment)))) / Math.abs(segment.sweep)

function nextParameter(
  segment: Segment,
  here: Point,
  from: number,
  fromHere: boolean,
  pitch: number,
): number {
  if (segment.type === 'line') return Math.min(1, alongLine(segment, here, pitch))
  if (segment.type === 'arc' && fromHere) return Math.min(1, alongArc(segment, from, pitch))
  return parameterAway(segment, here, from, pitch)
}

/** The next hole `pitch` mm away in a straight line. Past the end the path counts as running straight on. */
function nextHole({ path }: Measured, { segment, parameter, past }: Reached, pitch: number): Reached {
  const last = path.segments.length - 1
  if (past > 0) return { segment: last, parameter: 1, past: past + pitch }
  const here = segmentPoint(nth(path.segments, segment), parameter)
  for (let k = segment; k <= last; k += 1) {
    const one = nth(path.segments, k)
    if (pointDistance(here, one.to) >= pitch) {
      const first = k === segment
      return {
        segment: k,
        parameter: nextParameter(one, here, first ? parameter : 0, first, pitch),
        past: 0,
      }
    }
  }
  return { segment: last, parameter: 1, past: pitch - pointDistance(here, nth(path.segments, last).to) }
}

/** The places of `count` steps of `pitch` after the first. */
function steps(m: Measured, first: Reached, count: number, pitch: number): Reached[] {
  const out = [first]
  for (let i = 0; i < count; i += 1) out.push(nextHole(m, lastOf(out), pitch))
  return out
}

/** Where `count` steps of `pitch` lead, without stopping at each: along a line they are taken at once. */
function walked(m: Measured, first: Reached, count: number, pitch: number): Reached {
  let at = first
  let left = count
  while (left > 0) {
    const segment = nth(m.path.segments, at.segment)
    const length = segment.type === 'line' && at.past === 0 ? pointDistance(segment.from, segment.to) : 0
    const stride = Math.min(left, Math.floor(((1 - at.parameter) * length) / pitch))
    if (stride > 0) {
      at = {
        segment: at.segment,
        parameter: Math.min(1, at.parameter + (stride * pitch) / length),
        past: 0,
      }
      left -= stride
    } else {
      at = nextHole(m, at, pitch)
      left -= 1
    }
  }
  return at
}

interface Fitted {
  readonly places: Reached[]
  readonly pitch: number
}

/**
 * `count` equal steps that end exactly where they should: the pitch is drawn in until the last hole falls on its place.
 * `phases` are the parts of a pitch left free before the first hole and after the last.
 */
function fittedSteps(m: Measured, from: number, count: number, phases: readonly [number, number]): Fitted {
  const [before, after] = phases
  const whole = count + before + after
  let pitch = (m.total - from) / whole
  if (m.straight) {
    const at = (i: number): number => Math.min(1, (from + (before + i) * pitch) / m.total)
    return {
      places: Array.from({ length: count + 1 }, (_, i) => ({ segment: 0, parameter: at(i), past: 0 })),
      pitch,
    }
  }
  const first = (): Reached => placeAt(m, from + before * pitch)
  for (let round = 0; round < 8; round += 1) {
    const miss = m.total - after * pitch - distanceOf(m, walked(m, first(), count, pitch))
    if (Math.abs(miss) < 1e-7) break
    pitch += miss / whole
  }
  const places = steps(m, first(), count, pitch)
  return { places, pitch }
}

/** Stepped at the pitch itself, and only the last stitches evened out. */
function steppedSide(
  m: Measured,
  count: number,
  phases: readonly [number, number],
  ways: Steps,
): Fitted & { last: Side['last'] } {
  const over = Math.min(count, required(ways.evenOver, 'evenOver'))
  const exact = steps(m, placeAt(m, phases[0] * ways.pitch), count - over, ways.pitch)
  const rest = fittedSteps(m, distanceOf(m, lastOf(exact)), over, [0, phases[1]])
  return {
    places: [...exact.slice(0, -1), ...rest.places],
    pitch: over === count ? rest.pitch : ways.pitch,
    last: { pitch: rest.pitch, stitches: over },
  }
}

/** Whether a path comes back to where it began. */
export const isRound = (path: Path): boolean => pointDistance(pathStart(path), pathEnd(path)) < 1e-6

/**
 * Holes along a run at a pitch as near as possible to the one wished for: each side between sharp corners is brought to
 * a whole number on its own; a corner gets a hole or is straddled evenly. First and last hole lie on the ends of the
 * run; one that comes back to its beginning has a single hole there.
 */
export function holePlaces(path: Path, ways: Steps): { holes: HolePlace[]; sides: Side[] } {
  const parts = sidesOf(path, ways.pitch)
  const holes: HolePlace[] = []
  const sides: Side[] = []
  let before = 0
  parts.forEach((part, i) => {
    const m = measured(part)
    if (m.total < NOTHING) return
    const heading = headingAt(firstOf(part.segments), 0)
    const straddle = (has: boolean): number => (has && ways.corners === 'straddled' ? 0.5 : 0)
    const phases = [straddle(i > 0), straddle(i < parts.length - 1)] as const
    const count = ways.counts?.[sides.length] ?? equalisedStitches(m.total, ways.pitch, phases[0] + phases[1])
    const fitted: Fitted & { readonly last?: Side['last'] } =
      ways.evenOver === undefined ? fittedSteps(m, 0, count, phases) : steppedSide(m, count, phases, ways)
    const shared = holes.length > 0 && ways.corners === 'hole'
    const from = holes.length - (shared ? 1 : 0)
    for (let k = shared ? 1 : 0; k < fitted.places.length; k += 1) {
      const place = nth(fitted.places, k)
      const segment = nth(part.segments, place.segment)
      holes.push({
        at: segmentPoint(segment, place.parameter),
        angle: m.straight ? heading : headingAt(segment, place.parameter),
        distance: before + Math.min(distanceOf(m, place), m.total),
      })
    }
    sides.push({
      stitches: count + phases[0] + phases[1],
      pitch: fitted.pitch,
      ...(fitted.last ? { last: fitted.last } : {}),
      from,
      to: holes.length - 1,
      length: m.total,
    })
    before += m.total
  })
  return { holes: isRound(path) && holes.length > 2 ? holes.slice(0, -1) : holes, sides }
}
