import { equalisedStitches } from '../formulas/index.js'
import {
  type Path,
  type Point,
  openPath,
  pathPlaceAt,
  pointCross,
  pointDistance,
  pointDot,
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

/** A path whose places are found without measuring it anew each time. */
interface Measured {
  readonly path: Path
  /** Distance at which each segment starts, and at last the whole length. */
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

/** The segment a distance falls on. */
function segmentAt({ starts }: Measured, distance: number): number {
  let index = 0
  while (index < starts.length - 2 && distance > starts[index + 1]!) index += 1
  return index
}

function pointAt(m: Measured, distance: number): Point {
  const index = segmentAt(m, distance)
  const segment = m.path.segments[index]!
  return segmentPoint(segment, segmentParameterAt(segment, distance - m.starts[index]!))
}

/** Distance along the path of the next hole `pitch` mm away in a straight line. */
function nextHole(m: Measured, distance: number, pitch: number): number {
  const next = distance + pitch
  if (m.straight) return next
  const index = segmentAt(m, distance + 1e-9)
  if (m.path.segments[index]!.type === 'line' && next <= m.starts[index + 1]!) return next
  const here = pointAt(m, distance)
  let along = next
  for (let step = 0; step < 20; step += 1) {
    // Past the end the path counts as running straight on; a chord is never longer than its arc, so nothing is missed.
    if (along >= m.total) return m.total + pitch - pointDistance(here, pointAt(m, m.total))
    const miss = pitch - pointDistance(here, pointAt(m, along))
    if (Math.abs(miss) < 1e-9) break
    along += miss
  }
  return along
}

/** The distances of `count` steps of `pitch`, first hole at `start`. */
function steps(m: Measured, start: number, count: number, pitch: number): number[] {
  const out = [start]
  for (let i = 0; i < count; i += 1) out.push(nextHole(m, out[out.length - 1]!, pitch))
  return out
}

/** Steps that end exactly where they should: the pitch is drawn in until the last hole falls on its place. */
function fittedSteps(m: Measured, count: number, startPhase: number, endPhase: number) {
  let pitch = m.total / (count + startPhase + endPhase)
  let places = steps(m, startPhase * pitch, count, pitch)
  for (let round = 0; round < 8 && !m.straight; round += 1) {
    const miss = m.total - endPhase * pitch - places[places.length - 1]!
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
    for (const distance of sharedCorner ? fitted.places.slice(1) : fitted.places) {
      const { at, angle } = pathPlaceAt(part, Math.min(distance, m.total))
      holes.push({ at, angle, distance: before + Math.min(distance, m.total) })
    }
    before += m.total
  })
  return { holes, sides }
}
