import { pathNearest } from './nearest.js'
import { type Path, pathLength, pathPlaceAt } from './path.js'
import type { Point } from './point.js'
import { segmentLength, segmentParameterAt } from './length.js'
import { segmentPoint } from './segment.js'

/** How far two outlines laid over each other lie apart at worst, and where. */
export interface Overlay {
  readonly distance: number
  readonly on: Point
  readonly other: Point
}

/** Distance between places looked at along the outlines, mm. */
const STEP = 1

function placesOf(path: Path, step: number): Point[] {
  return path.segments.flatMap((s) => {
    const length = segmentLength(s)
    const count = Math.max(s.type === 'line' ? 2 : 8, Math.ceil(length / step))
    return Array.from({ length: count }, (_, i) =>
      segmentPoint(s, segmentParameterAt(s, (length * i) / count)),
    )
  })
}

function farthest(from: Path, to: Path, step: number): Overlay {
  let worst: Overlay | undefined
  let guess = 0
  for (const on of placesOf(from, step)) {
    const near = pathNearest(to, on, guess)
    guess = near.segment
    if (!worst || near.distance > worst.distance) worst = { distance: near.distance, on, other: near.at }
  }
  return worst ?? { distance: 0, on: pathPlaceAt(from, 0).at, other: pathPlaceAt(to, 0).at }
}

/**
 * The largest distance between two outlines, either way round (Hausdorff), found at places `step` mm apart and at
 * all corners; for lines and gentle curves within step²/8R of the true one.
 */
export function overlay(a: Path, b: Path, step = STEP): Overlay {
  if (pathLength(a) === 0 || pathLength(b) === 0)
    throw new RangeError('a path of no length cannot be laid over another')
  const [forth, back] = [farthest(a, b, step), farthest(b, a, step)]
  return forth.distance >= back.distance ? forth : { distance: back.distance, on: back.other, other: back.on }
}
