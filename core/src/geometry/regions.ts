import { EndType, FillRule, JoinType, differenceD, inflatePathsD, intersectD, unionD } from 'clipper2-ts'
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

/** Places as they are everywhere else: the library keeps a third number with them. */
const plain = (region: Region): Point[][] => region.map((ring) => ring.map(({ x, y }) => ({ x, y })))

/** All that lies in a region or in another. */
export const regionUnion = (a: Region, b: Region = []): Region =>
  plain(unionD(plain(a), plain(b), FillRule.NonZero, PRECISION))
/** What of a region lies outside another. */
export const regionWithout = (a: Region, b: Region): Region =>
  a.length === 0 ? [] : plain(differenceD(plain(a), plain(b), FillRule.NonZero, PRECISION))
/** What two regions share. */
export const regionBoth = (a: Region, b: Region): Region =>
  a.length === 0 || b.length === 0 ? [] : plain(intersectD(plain(a), plain(b), FillRule.NonZero, PRECISION))
/** A region with its border moved outwards by so much, mm; inwards where below nothing. Corners go round. */
export const regionGrown = (region: Region, by: number): Region =>
  region.length === 0
    ? []
    : plain(inflatePathsD(plain(region), by, JoinType.Round, EndType.Polygon, 2, PRECISION, CHORDS * 10))

/** All within so many mm of an open line. */
export const regionAlong = (line: readonly Point[], by: number): Region =>
  line.length < 2
    ? []
    : plain(inflatePathsD(plain([line]), by, JoinType.Round, EndType.Butt, 2, PRECISION, CHORDS * 10))

/** Twice the area of a ring, signed. */
const wound = (ring: readonly Point[]): number =>
  ring.reduce((sum, p, i) => sum + cross(p, ring[(i + 1) % ring.length] ?? p), 0)

/** A region as outlines without holes: cut upright through each hole. */
export function regionOutlines(region: Region): readonly (readonly Point[])[] {
  const hole = region.find((ring) => ring.length > 2 && wound(ring) < 0)
  if (!hole) return region.filter((ring) => ring.length > 2)
  const all = region.flat()
  const [left, right] = [Math.min(...all.map((p) => p.x)) - 1, Math.max(...all.map((p) => p.x)) + 1]
  const [top, bottom] = [Math.min(...all.map((p) => p.y)) - 1, Math.max(...all.map((p) => p.y)) + 1]
  const [from, to] = [Math.min(...hole.map((p) => p.x)), Math.max(...hole.map((p) => p.x))]
  const middle = (from + to) / 2
  const half = (a: number, b: number): Region => [
    [
      { x: a, y: top },
      { x: b, y: top },
      { x: b, y: bottom },
      { x: a, y: bottom },
    ],
  ]
  return [half(left, middle), half(middle, right)].flatMap((side) => regionOutlines(regionBoth(region, side)))
}
