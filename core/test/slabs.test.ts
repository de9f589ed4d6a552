import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { SEAMS_ROLL, evaluate, taperedStrip } from '../src/formulas/index.js'
import {
  type Point,
  courseBreaks,
  courseOf,
  coursed,
  point,
  point3,
  point3Along,
  point3Cross,
  point3Distance,
  point3Dot,
  point3Unit,
  polygonHalved,
} from '../src/geometry/index.js'
import { onCourse, placeOnPart, readyParts } from '../src/space/place.js'
import { cells, slabs } from '../src/space/slabs.js'

const area = (polygon: readonly Point[]): number =>
  Math.abs(
    polygon.reduce((sum, a, i) => {
      const b = polygon[(i + 1) % polygon.length]!
      return sum + (a.x * b.y - b.x * a.y) / 2
    }, 0),
  )

/** A star about the origin: never crosses itself, seldom convex. */
const anyStar = fc
  .array(fc.double({ min: 20, max: 100, noNaN: true }), { minLength: 5, maxLength: 14 })
  .map((radii) =>
    radii.map((r, i) => {
      const angle = (2 * Math.PI * i) / radii.length
      return point(r * Math.cos(angle), r * Math.sin(angle))
    }),
  )

describe('a polygon cut into slabs', () => {
  test('a square of 10 at 3 and 7 comes apart into 30, 40 and 30', () => {
    const square = [point(0, 0), point(10, 0), point(10, 10), point(0, 10)]
    expect(slabs(square, [3, 7]).map(area)).toEqual([30, 40, 30])
  })
  test('breaks outside it, or twice in one place, cut nothing off', () => {
    const square = [point(0, 0), point(10, 0), point(10, 10), point(0, 10)]
    expect(slabs(square, [-5, 0, 10, 40, 5, 5])).toHaveLength(2)
  })
  test('its parts are as large as it was, whatever its shape', () =>
    fc.assert(
      fc.property(anyStar, fc.array(fc.integer({ min: -90, max: 90 }), { maxLength: 6 }), (star, breaks) => {
        const parts = slabs(star, breaks)
        expect(parts.reduce((sum, p) => sum + area(p), 0)).toBeCloseTo(area(star), 4)
      }),
      { seed: 1, numRuns: 100 },
    ))
  test('in cells both ways too', () =>
    fc.assert(
      fc.property(
        anyStar,
        fc.array(fc.integer({ min: -90, max: 90 }), { maxLength: 4 }),
        fc.array(fc.integer({ min: -90, max: 90 }), { maxLength: 4 }),
        (star, xs, ys) => {
          expect(cells(star, xs, ys).reduce((sum, p) => sum + area(p), 0)).toBeCloseTo(area(star), 4)
        },
      ),
      { seed: 2, numRuns: 100 },
    ))
  test('what lies on one side of a line and on the other make the whole', () =>
    fc.assert(
      fc.property(anyStar, fc.double({ min: 0, max: 6.28, noNaN: true }), (star, angle) => {
        const way = point(Math.cos(angle), Math.sin(angle))
        const back = point(-way.x, -way.y)
        const at = point(5, -3)
        expect(area(polygonHalved(star, at, way)) + area(polygonHalved(star, at, back))).toBeCloseTo(
          area(star),
          4,
        )
      }),
      { seed: 3, numRuns: 100 },
    ))
})

describe('a part of a panel on its course', () => {
  const part = (turn: number) =>
    readyParts({
      sheet: 's',
      seamOffset: 0,
      parts: [
        {
          clips: [],
          from: point(0, 0),
          along: point(1, 0),
          course: courseOf([{ length: 50 }, { length: 20, turn }, { length: 50 }]),
          frame: { origin: point3(0, 0, 0), along: point3(1, 0, 0), rise: point3(0, 0, 1) },
        },
      ],
    })[0]!

  test('lies flat before its bend: x to the right, y down, its grain to who looks', () => {
    const { at, grain } = placeOnPart(part(1), onCourse(part(1), point(30, 7)), 0)
    expect(at).toEqual(point3(30, -7, 0))
    expect(grain).toEqual(point3(0, 0, 1))
  })
  test('out of the grain side it lies so much nearer', () => {
    const { at } = placeOnPart(part(1), { s: 10, r: 0 }, 1.5)
    expect(at.z).toBeCloseTo(1.5, 9)
  })
  test('keeps its lengths along the course and across it', () =>
    fc.assert(
      fc.property(
        fc.double({ min: -3, max: 3, noNaN: true }),
        fc.integer({ min: 0, max: 119 }),
        (turn, s) => {
          const p = part(turn)
          const [a, b, c] = [
            placeOnPart(p, { s, r: 0 }, 0),
            placeOnPart(p, { s: s + 0.01, r: 0 }, 0),
            placeOnPart(p, { s, r: 9 }, 0),
          ]
          expect(point3Distance(a.at, b.at)).toBeCloseTo(0.01, 6)
          expect(point3Distance(a.at, c.at)).toBeCloseTo(9, 6)
          expect(point3Dot(a.grain, a.grain)).toBeCloseTo(1, 9)
        },
      ),
      { seed: 8, numRuns: 100 },
    ))
  test('a flange stands out square to it, its own grain looking back', () => {
    const flanged = { ...part(0), flanges: { from: -10, to: 10 } }
    const { at, grain } = placeOnPart(flanged, { s: 5, r: 14 }, 0)
    expect(at.z).toBeCloseTo(4, 9)
    expect(at.y).toBeCloseTo(-10, 9)
    expect(Math.abs(grain.z)).toBeLessThan(1e-9)
  })
  test('is broken finely where it bends and nowhere else', () => {
    const breaks = courseBreaks(
      coursed(courseOf([{ length: 50 }, { length: 20, turn: Math.PI }, { length: 50 }])),
    )
    const inBend = breaks.filter((b) => b > 50 + 1e-6 && b < 70 - 1e-6)
    expect(inBend.length).toBeGreaterThanOrEqual(17)
    expect(breaks.filter((b) => b > 1e-6 && b < 50 - 1e-6)).toEqual([])
  })
})

describe('directions in space', () => {
  test('x × y = z, and what is square to both', () => {
    expect(point3Cross(point3(1, 0, 0), point3(0, 1, 0))).toEqual(point3(0, 0, 1))
    const [a, b] = [point3(1, 2, 3), point3(-2, 0, 5)]
    const c = point3Cross(a, b)
    expect(point3Dot(a, c)).toBeCloseTo(0, 9)
    expect(point3Dot(b, c)).toBeCloseTo(0, 9)
  })
  test('a unit is one long; nothing has no direction', () => {
    expect(point3Distance(point3Unit(point3(3, 4, 12)), point3(0, 0, 0))).toBeCloseTo(1, 9)
    expect(() => point3Unit(point3(0, 0, 0))).toThrow(/no direction/)
    expect(point3Along(point3(1, 1, 1), point3(0, 0, 1), 4)).toEqual(point3(1, 1, 5))
  })
})

describe('formulas of bags', () => {
  test('1.5 mm in two turned seams: 3.71 more outside', () =>
    expect(evaluate(SEAMS_ROLL, { thickness: 1.5, k: 0.5, angle: Math.PI / 4 })).toBeCloseTo(
      2 * (2.56066 - 0.706486),
      4,
    ))
  test('allowances square to the panel take nothing: the walls stand where the leather does', () => {
    const outside = evaluate(SEAMS_ROLL, { thickness: 1, k: 0.5, angle: Math.PI / 2 })
    expect(outside).toBeCloseTo(2 * (1 - (Math.PI / 4 - 1)), 9)
  })
  test('a tapering strip of 220 by 300 with corners of 40: quarter 62.54, as wide as asked at both ends', () => {
    const strip = taperedStrip({ radius: 40, height: 220, top: 120, bottom: 60 }, 300)
    expect(strip.quarter).toBeCloseTo(62.538736, 3)
    expect(strip.upright).toBeCloseTo(180 * Math.sqrt(1 - (60 / 440) ** 2), 9)
    expect(strip.points[0]!.half).toBe(60)
    expect(Math.min(...strip.points.map((p) => p.half))).toBeCloseTo(30, 9)
    expect(strip.length).toBeCloseTo(2 * (strip.upright + strip.quarter) + 220, 9)
  })
  test('runs alike from both ends', () => {
    const { points, length } = taperedStrip({ radius: 30, height: 150, top: 40, bottom: 90 }, 200)
    points.forEach((p, i) => {
      const other = points[points.length - 1 - i]!
      expect(other.along).toBeCloseTo(length - p.along, 9)
      expect(other.half).toBeCloseTo(p.half, 9)
    })
  })
})
