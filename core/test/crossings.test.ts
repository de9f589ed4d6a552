import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { segmentCrossings } from '../src/geometry/crossings.js'
import {
  type Segment,
  arc,
  circlePoint,
  cubic,
  line,
  pathArea,
  pathCrossings,
  pathLength,
  pathNearest,
  pathPart,
  pathPlaceAt,
  pathPoints,
  pathReversed,
  pointDistance,
  point,
  polygon,
  roundedPolygon,
  segmentLength,
  segmentParameterAt,
  segmentPoint,
} from '../src/geometry/index.js'

const unit = (x: number, y: number, r: number): Segment[] => {
  const [right, left] = [point(x + r, y), point(x - r, y)]
  return [arc(right, left, point(x, y), Math.PI), arc(left, right, point(x, y), Math.PI)]
}
const meet = (a: Segment, b: Segment): number => segmentCrossings(a, b).length
const seeded = { seed: 99, numRuns: 150 }
const place = fc.record({
  x: fc.double({ min: -50, max: 50, noNaN: true }),
  y: fc.double({ min: -50, max: 50, noNaN: true }),
})

describe('crossings', () => {
  test('lines that cross, touch at an end, run apart or lie on each other', () => {
    expect(
      segmentCrossings(line(point(0, 0), point(10, 10)), line(point(0, 10), point(10, 0)))[0]!.at,
    ).toEqual(point(5, 5))
    expect(meet(line(point(0, 0), point(10, 0)), line(point(10, 0), point(10, 5)))).toBe(1)
    expect(meet(line(point(0, 0), point(10, 0)), line(point(0, 1), point(10, 1)))).toBe(0)
    expect(meet(line(point(0, 0), point(10, 0)), line(point(2, 0), point(8, 0)))).toBe(0)
  })
  test('a line through a circle meets it twice, beside it never', () => {
    const count = (y: number) =>
      unit(0, 0, 10).reduce((sum, a) => sum + meet(line(point(-20, y), point(20, y)), a), 0)
    expect([count(3), count(11)]).toEqual([2, 0])
  })
  test('two circles meet where Pythagoras says', () => {
    const found = unit(0, 0, 5).flatMap((a) =>
      unit(6, 0, 5).flatMap((b) => segmentCrossings(a, b).map((c) => c.at)),
    )
    expect(found.map((p) => [p.x, Math.abs(p.y)].map((v) => Math.round(v * 1e9) / 1e9))).toEqual([
      [3, 4],
      [3, 4],
    ])
  })
  test('a line may cross an S curve three times', () =>
    expect(
      meet(
        line(point(0, 30), point(100, 30.5)),
        cubic(point(0, 0), point(120, 120), point(-20, -60), point(100, 60)),
      ),
    ).toBe(3))
  test('whatever crosses lies on both', () =>
    fc.assert(
      fc.property(place, place, place, place, place, place, (a, b, c, d, e, f) => {
        const curve = cubic(a, b, c, d)
        const straight = line(e, f)
        for (const { on, other, at } of segmentCrossings(curve, straight)) {
          expect(pointDistance(segmentPoint(curve, on), at)).toBeLessThan(1e-6)
          expect(pointDistance(segmentPoint(straight, other), at)).toBeLessThan(1e-5)
        }
      }),
      seeded,
    ))
  test('a path’s crossings come in order along it', () => {
    const comb = polygon([
      point(0, 0),
      point(10, 0),
      point(10, 20),
      point(8, 20),
      point(8, 5),
      point(6, 5),
      point(6, 20),
      point(0, 20),
    ])
    const cut = { segments: [line(point(-5, 10), point(15, 10))], closed: false }
    expect(pathCrossings(cut, comb).map((c) => Math.round(c.at.x))).toEqual([0, 6, 8, 10])
  })
})

describe('areas', () => {
  test('of a rounded rectangle: the corners lose (4 − π) r²', () =>
    expect(
      pathArea(
        roundedPolygon(
          [point(0, 0), point(40, 0), point(40, 30), point(0, 30)].map((p) => ({ ...p, radius: 5 })),
        ).path,
      ),
    ).toBeCloseTo(1200 - (4 - Math.PI) * 25, 9))
  test('of curves agree with fine polygons, and change sign when walked back', () =>
    fc.assert(
      fc.property(place, place, (a, b) => {
        const leaf = {
          segments: [cubic(point(0, 0), a, b, point(60, 0)), line(point(60, 0), point(0, 0))],
          closed: true,
        }
        expect(pathArea(leaf)).toBeCloseTo(pathArea(polygon(pathPoints(leaf, 1e-4))), 1)
        expect(pathArea(pathReversed(leaf))).toBeCloseTo(-pathArea(leaf), 9)
      }),
      { ...seeded, numRuns: 40 },
    ))
})

describe('nearest and along', () => {
  test('nothing on a curve is nearer than the nearest', () =>
    fc.assert(
      fc.property(place, place, place, (a, b, p) => {
        const curve = { segments: [cubic(point(-40, 0), a, b, point(40, 0))], closed: false }
        const { distance } = pathNearest(curve, p)
        for (let i = 0; i <= 200; i += 1)
          expect(pointDistance(p, segmentPoint(curve.segments[0]!, i / 200))).toBeGreaterThan(distance - 1e-3)
      }),
      seeded,
    ))
  test('on an arc it is the foot towards the centre, or an end', () => {
    const quarter = { segments: [arc(point(10, 0), point(0, 10), point(0, 0), Math.PI / 2)], closed: false }
    expect(pathNearest(quarter, circlePoint(point(0, 0), 4, Math.PI / 4)).distance).toBeCloseTo(6, 9)
    expect(pathNearest(quarter, point(10, -3)).at).toEqual(point(10, 0))
  })
  test('a guess changes nothing but the way there', () => {
    const shape = polygon([point(0, 0), point(30, 0), point(30, 20), point(15, 8), point(0, 20)])
    for (let i = 0; i < 5; i += 1)
      expect(pathNearest(shape, point(16, 14), i).distance).toBeCloseTo(
        pathNearest(shape, point(16, 14)).distance,
        12,
      )
  })
  test('the parameter at a distance is that far along, on any curve', () =>
    fc.assert(
      fc.property(place, place, fc.double({ min: 0, max: 1, noNaN: true }), (a, b, share) => {
        const curve = cubic(point(0, 0), a, b, point(60, 10))
        const wanted = share * segmentLength(curve)
        expect(segmentLength(curve, segmentParameterAt(curve, wanted))).toBeCloseTo(wanted, 6)
      }),
      seeded,
    ))
  test('a stretch and what is left of it make the whole', () => {
    const path = {
      ...roundedPolygon([point(0, 0), point(40, 0), { x: 40, y: 30, radius: 8 }, point(0, 30)]).path,
      closed: false,
    }
    const whole = pathLength(path)
    for (const at of [1, 40, 66, 70, 100])
      expect(pathLength(pathPart(path, 0, at)) + pathLength(pathPart(path, at, whole))).toBeCloseTo(whole, 9)
    expect(() => pathPart(path, 5, 5)).toThrow(/needs to end after it starts/)
    expect(pathPlaceAt(path, 1e9).at).toEqual(path.segments.at(-1)!.to)
  })
})
