import { equalisedStitches } from '../formulas/index.js'
import {
  type Path,
  type Point,
  type Segment,
  openPath,
  pointCross,
  pointDistance,
  pointDot,
  segmentDerivative,
  segmentLength,
  segmentParameterAt,
  segmentPoint,
  segmentTangent,
} from '../geometry/index.js'

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

/** One side of a run between sharp corners, evenly stepped. */
export interface Side {
  readonly stitches: number
  /** The pitch used, mm, measured straight from hole to hole as dividers step it. */
  readonly pitch: number
}

/** A turn sharper than this is a corner, not a curve (about 20 degrees). */
const SHARP = Math.PI / 9

/** The run cut at its sharp corners. */
function sidesOf(path: Path): Path[] {
  const sides: Path['segments'][number][][] = [[]]
  path.segments.forEach((segment, i) => {
    const before = path.segments[i - 1]
    if (before) {
      const [a, b] = [segmentTangent(before, 1), segmentTangent(segment, 0)]
      if (Math.abs(Math.atan2(pointCross(a, b), pointDot(a, b))) > SHARP) sides.push([])
    }
    sides[sides.length - 1]!.push(segment)
  })
  return sides.map((segments) => openPath(segments))
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
  for (const segment of path.segments) starts.push(starts[starts.length - 1]! + segmentLength(segment))
  const straight = path.segments.length === 1 && path.segments[0]!.type === 'line'
  return { path, starts, total: starts[starts.length - 1]!, straight }
}

/** A place reached while stepping: on which segment, where on it, and how far past the end of the path. */
interface Reached {
  readonly segment: number
  readonly parameter: number
  readonly past: number
}

const distanceOf = ({ path, starts }: Measured, { segment, parameter, past }: Reached): number =>
  starts[segment]! + segmentLength(path.segments[segment]!, parameter) + past

function placeAt({ path, starts }: Measured, distance: number): Reached {
  let segment = 0
  while (segment < starts.length - 2 && distance > starts[segment + 1]!) segment += 1
  const parameter = segmentParameterAt(path.segments[segment]!, distance - starts[segment]!)
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

/** The next hole `pitch` mm away in a straight line. Past the end the path counts as running straight on. */
function nextHole({ path }: Measured, { segment, parameter, past }: Reached, pitch: number): Reached {
  const last = path.segments.length - 1
  if (past > 0) return { segment: last, parameter: 1, past: past + pitch }
  const here = segmentPoint(path.segments[segment]!, parameter)
  for (let k = segment; k <= last; k += 1) {
    const one = path.segments[k]!
    if (pointDistance(here, one.to) >= pitch)
      return {
        segment: k,
        parameter: parameterAway(one, here, k === segment ? parameter : 0, pitch),
        past: 0,
      }
  }
  return { segment: last, parameter: 1, past: pitch - pointDistance(here, path.segments[last]!.to) }
}

/** The places of `count` steps of `pitch`, first hole at `start` mm. */
function steps(m: Measured, start: number, count: number, pitch: number): Reached[] {
  const out = [placeAt(m, start)]
  for (let i = 0; i < count; i += 1) out.push(nextHole(m, out[out.length - 1]!, pitch))
  return out
}

/** Steps that end exactly where they should: the pitch is drawn in until the last hole falls on its place. */
function fittedSteps(
  m: Measured,
  count: number,
  startPhase: number,
  endPhase: number,
): { places: Reached[]; pitch: number } {
  let pitch = m.total / (count + startPhase + endPhase)
  if (m.straight)
    return {
      places: Array.from({ length: count + 1 }, (_, i) => ({
        segment: 0,
        parameter: Math.min(1, ((startPhase + i) * pitch) / m.total),
        past: 0,
      })),
      pitch,
    }
  let places = steps(m, startPhase * pitch, count, pitch)
  for (let round = 0; round < 8; round += 1) {
    const miss = m.total - endPhase * pitch - distanceOf(m, places[places.length - 1]!)
    if (Math.abs(miss) < 1e-7) break
    pitch += miss / (count + startPhase + endPhase)
    places = steps(m, startPhase * pitch, count, pitch)
  }
  return { places, pitch }
}

/**
 * Holes along a run at a pitch as near as possible to `pitch`: each side between sharp corners is equalised on its
 * own; a corner gets a hole or is straddled evenly. First and last hole lie on the ends of the run.
 */
export function holePlaces(
  path: Path,
  pitch: number,
  school: CornerSchool,
): { holes: HolePlace[]; sides: Side[] } {
  const parts = sidesOf(path)
  const holes: HolePlace[] = []
  const sides: Side[] = []
  let before = 0
  parts.forEach((part, i) => {
    const m = measured(part)
    const straddle = (has: boolean): number => (has && school === 'straddled' ? 0.5 : 0)
    const [startPhase, endPhase] = [straddle(i > 0), straddle(i < parts.length - 1)]
    const count = equalisedStitches(m.total, pitch, startPhase + endPhase)
    const fitted = fittedSteps(m, count, startPhase, endPhase)
    sides.push({ stitches: count + startPhase + endPhase, pitch: fitted.pitch })
    const sharedCorner = i > 0 && school === 'hole'
    for (const place of sharedCorner ? fitted.places.slice(1) : fitted.places) {
      const segment = part.segments[place.segment]!
      const along = segmentTangent(segment, place.parameter)
      holes.push({
        at: segmentPoint(segment, place.parameter),
        angle: Math.atan2(along.y, along.x),
        distance: before + Math.min(distanceOf(m, place), m.total),
      })
    }
    before += m.total
  })
  return { holes, sides }
}
