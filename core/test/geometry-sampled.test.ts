import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  type Path,
  type Point,
  type Segment,
  arc,
  closedPath,
  cubic,
  distanceWithin,
  flipAbout,
  isNear,
  line,
  moveThen,
  openPath,
  pathCrossings,
  pathLength,
  pathNearest,
  pathPlaceAt,
  pathPoints,
  pathStretch,
  point,
  pointDistance,
  pointInside,
  pointMoved,
  polygonHalved,
  polyline,
  regionBoth,
  regionUnion,
  regionWithout,
  segmentLength,
  segmentPoint,
  shift,
  turn,
} from '../src/geometry/index.js'
import { segmentBox } from '../src/geometry/box.js'

/** What the geometry answers, asked again by walking along in many small steps. */
const MANY = 4000
const walk = (s: Segment): Point[] => Array.from({ length: MANY + 1 }, (_, i) => segmentPoint(s, i / MANY))

const ordinate = fc.integer({ min: -1000, max: 1000 }).map((n) => n / 10)
const place = fc.record({ x: ordinate, y: ordinate }).map(({ x, y }) => point(x, y))
const anyCubic = fc.tuple(place, place, place, place).map(([a, b, c, d]) => cubic(a, b, c, d))
const circleAt = (centre: Point, radius: number, angle: number): Point =>
  point(centre.x + radius * Math.cos(angle), centre.y + radius * Math.sin(angle))
const anyArc = fc
  .record({
    centre: place,
    radius: fc.integer({ min: 5, max: 600 }).map((n) => n / 10),
    start: fc.integer({ min: -31, max: 31 }).map((n) => n / 10),
    sweep: fc.integer({ min: -60, max: 60 }).map((n) => (n === 0 ? 1 : n / 10)),
  })
  .map(({ centre, radius, start, sweep }) =>
    arc(circleAt(centre, radius, start), circleAt(centre, radius, start + sweep), centre, sweep),
  )
const anySegment = fc.oneof(anyCubic, anyArc)
const RUNS = { numRuns: 150, seed: 4 }

describe('asked again by walking along', () => {
  test('the box of a segment touches it on all four sides and holds it', () => {
    fc.assert(
      fc.property(anySegment, (s) => {
        const [xs, ys] = [walk(s).map((p) => p.x), walk(s).map((p) => p.y)]
        const { left, right, top, bottom } = segmentBox(s)
        expect(left).toBeCloseTo(Math.min(...xs), 2)
        expect(right).toBeCloseTo(Math.max(...xs), 2)
        expect(top).toBeCloseTo(Math.min(...ys), 2)
        expect(bottom).toBeCloseTo(Math.max(...ys), 2)
      }),
      RUNS,
    )
  })
  test('chords lie no farther off than was allowed', () => {
    fc.assert(
      fc.property(anySegment, fc.constantFrom(0.01, 0.1, 1), (s, tolerance) => {
        const chords = polyline(pathPoints(openPath([s]), tolerance))
        const off = Math.max(...walk(s).map((p) => pathNearest(chords, p).distance))
        expect(off).toBeLessThanOrEqual(tolerance + 1e-6)
      }),
      { numRuns: 40, seed: 4 },
    )
  })
  test('a flat cubic is two chords at most, a gentle one a few', () => {
    const flat = cubic(point(0, 0), point(10, 0), point(20, 0), point(30, 0))
    expect(pathPoints(openPath([flat]), 0.01)).toHaveLength(2)
    // Handles 1 and 1 off a chord of 30: bends of 1, Wang's √(0.75 × 1 / 0.01) = 8.7 steps.
    const gentle = cubic(point(0, 0), point(10, 1), point(20, 1), point(30, 0))
    expect(pathPoints(openPath([gentle]), 0.01)).toHaveLength(10)
  })
  test('a segment is as long as the steps along it', () => {
    fc.assert(
      fc.property(anySegment, (s) => {
        const points = walk(s)
        const walked = points.slice(1).reduce((sum, p, i) => sum + pointDistance(points[i]!, p), 0)
        expect(segmentLength(s)).toBeGreaterThanOrEqual(walked - 1e-6)
        expect(segmentLength(s) / walked).toBeCloseTo(1, 4)
        const third = points
          .slice(1, 1 + MANY / 4)
          .reduce((sum, p, i) => sum + pointDistance(points[i]!, p), 0)
        expect(segmentLength(s, 0.25)).toBeCloseTo(third, 1)
      }),
      RUNS,
    )
  })
  test('no step along a path comes nearer to a place than what is said to be nearest', () => {
    const anyPath = fc
      .tuple(anySegment, anySegment, anySegment)
      .map((all) => ({ segments: all, closed: false }))
    fc.assert(
      fc.property(anyPath, place, (path, p) => {
        const walked = Math.min(...path.segments.flatMap((s) => walk(s).map((q) => pointDistance(p, q))))
        const near = pathNearest(path, p)
        expect(near.distance).toBeLessThanOrEqual(walked + 1e-9)
        expect(near.distance).toBeGreaterThan(walked - 0.1)
        expect(pointDistance(near.at, p)).toBeCloseTo(near.distance, 9)
        for (const guess of [1, 2, 7])
          expect(pathNearest(path, p, guess).distance).toBeCloseTo(near.distance, 9)
        expect(distanceWithin(path, p, near.distance + 1)).toBeCloseTo(near.distance, 9)
        expect(distanceWithin(path, p, near.distance - 1e-6)).toBe(Infinity)
        expect(isNear(path, p, near.distance + 1e-6)).toBe(true)
        expect(isNear(path, p, near.distance - 1e-6)).toBe(false)
      }),
      RUNS,
    )
  })
  test('two arcs cross where both are, as often as one steps over the other', () => {
    fc.assert(
      fc.property(anyArc, anyArc, (a, b) => {
        const crossings = pathCrossings(openPath([a]), openPath([b]))
        for (const { at } of crossings) {
          expect(pathNearest(openPath([a]), at).distance).toBeLessThan(1e-6)
          expect(pathNearest(openPath([b]), at).distance).toBeLessThan(1e-6)
        }
        const radius = pointDistance(b.centre, b.from)
        const side = walk(a).map((p) => pointDistance(p, b.centre) - radius)
        const steps = side.slice(1).flatMap((v, i) => (v > 0 !== side[i]! > 0 ? [i] : []))
        const within = steps.filter(
          (i) => pathNearest(openPath([b]), segmentPoint(a, (i + 0.5) / MANY)).distance < 0.2,
        )
        const touching = side.some((v) => Math.abs(v) < 0.02 && v !== 0) && steps.length % 2 === 1
        if (!touching) expect(crossings.length).toBeLessThanOrEqual(within.length + 1)
        const surely = steps.filter((i) => {
          const near = pathNearest(openPath([b]), segmentPoint(a, (i + 0.5) / MANY))
          return near.distance < 0.2 && near.parameter > 0.01 && near.parameter < 0.99
        })
        expect(crossings.length).toBeGreaterThanOrEqual(surely.length)
      }),
      { numRuns: 400, seed: 9 },
    )
  })
  test('a stretch past the start of a closed path is what is walked on either side of it', () => {
    const square = closedPath([
      line(point(0, 0), point(10, 0)),
      line(point(10, 0), point(10, 10)),
      line(point(10, 10), point(0, 10)),
      line(point(0, 10), point(0, 0)),
    ])
    const ends = (path: Path) => [pathPlaceAt(path, 0).at, pathPlaceAt(path, pathLength(path)).at]
    const past = pathStretch(square, 35, 15)
    expect(pathLength(past)).toBeCloseTo(20, 9)
    expect(ends(past)).toEqual([point(0, 5), point(10, 5)])
    expect(pathLength(pathStretch(square, 5, 15))).toBeCloseTo(10, 9)
    const fromEnd = pathStretch(square, 40, 5)
    expect(fromEnd.segments).toHaveLength(1)
    expect(pathLength(fromEnd)).toBeCloseTo(5, 9)
    const toStart = pathStretch(square, 35, 0)
    expect(toStart.segments).toHaveLength(1)
    expect(pathLength(toStart)).toBeCloseTo(5, 9)
  })
  test('a polygon cut in two has two halves that make it up', () => {
    const areaOf = (ring: readonly Point[]): number =>
      Math.abs(
        ring.reduce((sum, p, i) => {
          const q = ring[(i + 1) % ring.length]!
          return sum + (p.x * q.y - q.x * p.y) / 2
        }, 0),
      )
    fc.assert(
      fc.property(place, fc.integer({ min: 0, max: 628 }), (at, way) => {
        const ring = Array.from({ length: 7 }, (_, i) => circleAt(point(3, -2), 80, (i * 2 * Math.PI) / 7))
        const inward = point(Math.cos(way / 100), Math.sin(way / 100))
        const one = polygonHalved(ring, at, inward)
        const other = polygonHalved(ring, at, point(-inward.x, -inward.y))
        expect(areaOf(one) + areaOf(other)).toBeCloseTo(areaOf(ring), 6)
        for (const p of one)
          expect((p.x - at.x) * inward.x + (p.y - at.y) * inward.y).toBeGreaterThanOrEqual(-1e-9)
      }),
      RUNS,
    )
  })
  test('a place is in both, in either, or in one without the other, as the two regions say', () => {
    const ringOf = (centre: Point, radius: number, corners: number): Point[] =>
      Array.from({ length: corners }, (_, i) => circleAt(centre, radius, (i * 2 * Math.PI) / corners))
    const pathOf = (ring: readonly Point[]): Path => closedPath(polyline([...ring, ring[0]!]).segments)
    const inAny = (region: readonly (readonly Point[])[], p: Point): boolean =>
      region.reduce(
        (inside, ring) => (ring.length > 2 && pointInside(p, pathOf(ring)) ? !inside : inside),
        false,
      )
    fc.assert(
      fc.property(place, place, place, (c1, c2, p) => {
        const [a, b] = [ringOf(c1, 60, 9), ringOf(c2, 45, 5)]
        if ([a, b].some((ring) => pathNearest(pathOf(ring), p).distance < 0.1)) return
        const [inA, inB] = [a, b].map((ring) => pointInside(p, pathOf(ring))) as [boolean, boolean]
        expect(inAny(regionBoth([a], [b]), p)).toBe(inA && inB)
        expect(inAny(regionUnion([a], [b]), p)).toBe(inA || inB)
        expect(inAny(regionWithout([a], [b]), p)).toBe(inA && !inB)
      }),
      RUNS,
    )
    const a = ringOf(point(0, 0), 10, 6)
    expect(regionBoth([], [a])).toEqual([])
    expect(regionBoth([a], [])).toEqual([])
    expect(regionWithout([], [a])).toEqual([])
    expect(regionWithout([a], [])).toHaveLength(1)
  })
  test('one move after the other is both in one', () => {
    fc.assert(
      fc.property(place, ordinate, ordinate, (p, angle, x) => {
        const inner = moveThen(turn(angle / 30), flipAbout(x))
        const outer = moveThen(shift(x, -angle), turn(x / 40))
        const once = pointMoved(p, moveThen(inner, outer))
        const twice = pointMoved(pointMoved(p, inner), outer)
        expect(pointDistance(once, twice)).toBeLessThan(1e-9)
        const flipped = pointMoved(pointMoved(p, turn(angle / 30)), flipAbout(x))
        expect(pointDistance(pointMoved(p, inner), flipped)).toBeLessThan(1e-9)
      }),
      RUNS,
    )
  })
})
