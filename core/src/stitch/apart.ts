import {
  type Path,
  type Point,
  type Segment,
  pathLength,
  pathPlaceAt,
  pointCross,
  pointDot,
  segmentLength,
  segmentTangent,
} from '../geometry/index.js'
import type { LaidUp } from '../layup/index.js'
import { nth } from '../lists/index.js'
import type { Panel } from '../master/index.js'
import type { Ease } from '../sewing/index.js'
import { type SewnLine, mateOf } from './mate.js'
import { type HolePlace, type Side, type Steps, holePlaces } from './places.js'

/** The other side of a run whose sides are holed apart, with holes of its own. In the coordinates of the work. */
export interface OtherSide {
  readonly sheet: string
  readonly path: Path
  readonly length: number
  readonly holes: readonly HolePlace[]
  readonly sides: readonly Side[]
}

/** A run's line with its holes, and what they go through. */
interface HoledLine extends SewnLine {
  readonly holes: readonly (HolePlace & { readonly sheets: readonly string[] })[]
  readonly sides: readonly Side[]
}

/** Turns on this much of a radius or less count as corners where ease is gathered, mm. */
const CORNER_RADIUS = 60
/** A hole nearer to a sharp corner lies in it, mm. */
const SHARP = 1e-4
/** A slight bend is no corner, radians. */
const LEAST_TURN = Math.PI / 12

/** A stretch of a path that turns as a corner does: from and to, mm, and by how much, radians. */
interface Bend {
  readonly from: number
  readonly to: number
  readonly turned: number
}

/** Rounded corners of a path. */
export function bends(path: Path): Bend[] {
  let start = 0
  return path.segments.flatMap((segment) => {
    const from = start
    const length = segmentLength(segment)
    start += length
    const turned = segment.type === 'line' ? 0 : Math.abs(turnOf(segment))
    return turned > LEAST_TURN && length / turned <= CORNER_RADIUS ? [{ from, to: start, turned }] : []
  })
}

/** Sharp corners of a path: bends of no length. */
function sharps(path: Path): Bend[] {
  let at = 0
  return path.segments.slice(0, -1).flatMap((segment, i) => {
    at += segmentLength(segment)
    const turned = Math.abs(
      turnBetween(segmentTangent(segment, 1), segmentTangent(nth(path.segments, i + 1), 0)),
    )
    return turned > LEAST_TURN ? [{ from: at, to: at, turned }] : []
  })
}

const turnBetween = (a: Point, b: Point): number => Math.atan2(pointCross(a, b), pointDot(a, b))

/** How far one turns while walking a segment, radians. */
function turnOf(segment: Segment): number {
  if (segment.type === 'arc') return segment.sweep
  return turnBetween(segmentTangent(segment, 0), segmentTangent(segment, 1))
}

/** Where a place of the run comes to lie on an edge that is longer or shorter: spread evenly, or taken up in the corners. */
export function eased(path: Path, other: number, ease: Ease): (distance: number) => number {
  const length = pathLength(path)
  const corners = ease === 'corners' ? [...bends(path), ...sharps(path)] : []
  const turned = corners.reduce((sum, c) => sum + c.turned, 0)
  if (turned < 1e-6) return (d) => (d * other) / length
  return (d) =>
    d + (other - length) * corners.reduce((sum, c) => sum + (c.turned / turned) * shareDone(c, d), 0)
}

/** How much of a bend lies behind a place, as a share; of a sharp corner half at the corner itself. */
function shareDone({ from, to }: Bend, d: number): number {
  if (to - from > SHARP) return Math.max(0, Math.min(1, (d - from) / (to - from)))
  return Math.abs(d - from) < SHARP ? 0.5 : d > from ? 1 : 0
}

/** Holes that follow those of the run, hole for hole. */
export function following(run: HoledLine, path: Path, ease: Ease) {
  const to = eased(run.path, pathLength(path), ease)
  const holes = run.holes.map((hole): HolePlace => {
    const distance = to(hole.distance)
    const { at, angle } = pathPlaceAt(path, distance)
    return { at, angle, distance }
  })
  const sides = run.sides.map((side): Side => {
    const end = Math.min(side.to, holes.length - 1)
    const length = nth(holes, end).distance - nth(holes, side.from).distance
    return {
      stitches: side.stitches,
      pitch: length / Math.max(1, side.stitches),
      from: side.from,
      to: side.to,
      length,
    }
  })
  return { holes, sides }
}

/**
 * Holes of the other side of a run. Each side is stepped along its own edge, as two pieces lying apart are, unless the
 * maker asked for it to follow the first. Undefined where there is no other edge along the run.
 */
export function otherSideMaybe(
  run: HoledLine,
  work: LaidUp,
  panels: readonly Panel[],
  steps: Steps,
  ease: Ease | undefined,
): OtherSide | undefined {
  const mate = mateOf(run, work, panels)
  if (!mate) return undefined
  const { path, laid } = mate
  // A row that follows no edge is marked on both pieces from one line: its holes are the same on either.
  if (!path) {
    const all = run.holes.every((h) => h.sheets.includes(laid.sheet.id))
    const { path: line, holes, sides } = run
    return all ? { sheet: laid.sheet.id, path: line, length: pathLength(line), holes, sides } : undefined
  }
  return {
    sheet: laid.sheet.id,
    path,
    length: pathLength(path),
    ...(ease === undefined ? holePlaces(path, steps) : following(run, path, ease)),
  }
}
