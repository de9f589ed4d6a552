import { FillRule, differenceD, intersectD } from 'clipper2-ts'
import { pathPoints } from './flatten.js'
import type { Path } from './path.js'
import type { Point } from './point.js'

/** Curves become chords this close, mm; areas from here are for showing and for measuring waste, never for cutting. */
const CHORDS = 0.01
/** Decimals kept by the library: 3 is a grid of 0.001 mm (its own default of 2 would be 0.01). */
const PRECISION = 3

export type Region = readonly (readonly Point[])[]

const rings = (path: Path): Point[][] => [pathPoints(path, CHORDS).map((p) => ({ ...p }))]

/** What two outlines laid over each other share, and what only one of them covers. The only file that knows clipper2-ts. */
export function overlayRegions(a: Path, b: Path): { both: Region; onlyFirst: Region; onlySecond: Region } {
  const [first, second] = [rings(a), rings(b)]
  return {
    both: intersectD(first, second, FillRule.NonZero, PRECISION),
    onlyFirst: differenceD(first, second, FillRule.NonZero, PRECISION),
    onlySecond: differenceD(second, first, FillRule.NonZero, PRECISION),
  }
}

/** Area of a region in mm². */
export const regionArea = (region: Region): number =>
  Math.abs(
    region.reduce(
      (sum, ring) => sum + ring.reduce((area, p, i) => area + cross(p, ring[(i + 1) % ring.length]!) / 2, 0),
      0,
    ),
  )

const cross = (p: Point, q: Point): number => p.x * q.y - p.y * q.x
