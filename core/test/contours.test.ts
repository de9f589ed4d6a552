import { describe, expect, test } from 'vitest'
import { type ReliefMap, contours, levelsOf, mapHeight, mapThickest } from '../src/relief/index.js'
import { spotHeights, thickestSpot } from '../src/relief/spots.js'

/** A map of a height given for every place, mm. */
function mapOf(width: number, height: number, step: number, at: (x: number, y: number) => number): ReliefMap {
  const [columns, rows] = [Math.round(width / step), Math.round(height / step)]
  const heights = new Float32Array(columns * rows)
  for (let k = 0; k < rows; k += 1)
    for (let i = 0; i < columns; i += 1)
      heights[k * columns + i] = Math.max(0, at((i + 0.5) * step, (k + 0.5) * step))
  return { left: 0, top: 0, step, columns, rows, heights }
}

/** Area of a closed line, positive where it is walked clockwise on the screen. */
const area = (points: readonly { x: number; y: number }[]): number =>
  points.reduce((sum, a, i) => {
    const b = points[(i + 1) % points.length]!
    return sum + (a.x * b.y - b.x * a.y) / 2
  }, 0)

const cone = mapOf(60, 60, 0.5, (x, y) => 10 - Math.hypot(x - 30, y - 30) / 2)

describe('contours', () => {
  test('of a cone are circles: 2 mm down is 4 mm out, everywhere', () => {
    for (const level of [2, 4, 6, 8]) {
      const found = contours(cone, [level])
      expect(found).toHaveLength(1)
      const radius = 2 * (10 - level)
      for (const p of found[0]!.points)
        expect(Math.abs(Math.hypot(p.x - 30, p.y - 30) - radius)).toBeLessThan(0.12)
      expect(Math.abs(area(found[0]!.points))).toBeCloseTo(Math.PI * radius ** 2, -1)
    }
  })
  test('of a slope are straight, and close round it over bare ground', () => {
    const slope = mapOf(20, 10, 0.5, (x) => x / 4)
    const [line] = contours(slope, [2])
    // The slope reaches 2 mm at x = 8, less the quarter millimetre its end falls away in.
    const left = line!.points.filter((p) => p.x < 12 && p.y > 0.5 && p.y < 9.5)
    for (const p of left) expect(p.x).toBeCloseTo(8, 1)
    expect(Math.abs(area(line!.points))).toBeGreaterThan(110)
  })
  test('a hollow inside a hill has a line of its own, walked the other way', () => {
    const ring = mapOf(60, 60, 0.5, (x, y) => {
      const r = Math.hypot(x - 30, y - 30)
      return r < 8 ? 1 : r < 20 ? 5 : 0.5
    })
    const lines = contours(ring, [3]).toSorted((a, b) => Math.abs(area(b.points)) - Math.abs(area(a.points)))
    expect(lines).toHaveLength(2)
    expect(Math.sign(area(lines[0]!.points))).toBe(-Math.sign(area(lines[1]!.points)))
    expect(Math.abs(area(lines[0]!.points))).toBeCloseTo(Math.PI * 400, -2)
    expect(Math.abs(area(lines[1]!.points))).toBeCloseTo(Math.PI * 64, -1)
  })
  test('two hills touching at a corner of cells stay apart or join, but no line is left open', () => {
    const chess = mapOf(20, 20, 1, (x, y) => ((Math.floor(x / 2) + Math.floor(y / 2)) % 2 === 0 ? 4 : 1))
    for (const { points } of contours(chess, [2])) {
      expect(points.length).toBeGreaterThan(2)
      expect(Math.abs(area(points))).toBeGreaterThan(0.5)
    }
  })
  test('together the lines of a level enclose what is at least so thick', () => {
    for (const level of [1, 3, 7]) {
      const cells = cone.heights.reduce((sum, h) => sum + (h >= level ? 0.25 : 0), 0)
      const within = Math.abs(contours(cone, [level]).reduce((sum, c) => sum + area(c.points), 0))
      expect(Math.abs(within - cells) / cells).toBeLessThan(0.03)
    }
  })
  test('levels rise by the interval and stay below the thickest; bare ground has none', () => {
    expect(levelsOf(2.3, 0.5)).toEqual([0.5, 1, 1.5, 2])
    expect(levelsOf(2, 0.5)).toEqual([0.5, 1, 1.5])
    expect(levelsOf(0.4, 0.5)).toEqual([])
    expect(levelsOf(0, 0.5)).toEqual([])
    expect(
      contours(
        mapOf(5, 5, 0.5, () => 0),
        [1],
      ),
    ).toEqual([])
  })
})

describe('figures on the map', () => {
  const terraces = mapOf(100, 40, 0.5, (x) => (x < 40 ? 2 : x < 70 ? 3.5 : 5))
  test('the thickest stands in the middle of the largest level patch as thick as that', () => {
    const spot = thickestSpot(terraces)
    expect(spot).toMatchObject({ height: 5, thickest: true })
    expect(spot.at.x).toBeGreaterThan(80)
    expect(spot.at.x).toBeLessThan(90)
    expect(mapThickest(terraces)).toBe(5)
  })
  test('of a peak it is the peak', () =>
    expect(Math.hypot(thickestSpot(cone).at.x - 30, thickestSpot(cone).at.y - 30)).toBeLessThan(0.5))
  test('every terrace gets a figure, none twice close by, never more than asked for', () => {
    const spots = spotHeights(terraces)
    expect(new Set(spots.map((s) => s.height))).toEqual(new Set([2, 3.5, 5]))
    expect(spotHeights(terraces, 2)).toHaveLength(2)
    spots.forEach((a, i) =>
      spots
        .slice(i + 1)
        .forEach((b) => expect(Math.hypot(a.at.x - b.at.x, a.at.y - b.at.y)).toBeGreaterThanOrEqual(17)),
    )
  })
  test('a place off the map has no thickness', () => {
    expect(mapHeight(cone, { x: -1, y: 5 })).toBe(0)
    expect(mapHeight(cone, { x: 5, y: 60.1 })).toBe(0)
    expect(mapHeight(cone, { x: 30.1, y: 30.1 })).toBeGreaterThan(9.5)
  })
})
