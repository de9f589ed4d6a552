import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  type Path,
  type Segment,
  arc,
  arcRadius,
  closedPath,
  cubic,
  filletMaybe,
  line,
  offsetClosed,
  offsetSidesMaybe,
  pathArea,
  pathCrossesItself,
  pathLength,
  pathNearest,
  pathPart,
  pathPlaceAt,
  pathPoints,
  pathSpread,
  point,
  pointDistance,
  pointInside,
  pointSpread,
  polygon,
  roundedPolygon,
  segmentLength,
  segmentParameterAt,
  segmentPoint,
  segmentTangent,
} from '../src/geometry/index.js'
import { byWinding } from './support/winding.js'

const box = (w: number, h: number): Path => polygon([point(0, 0), point(w, 0), point(w, h), point(0, h)])
const curve = cubic(point(0, 0), point(10, 30), point(60, 30), point(80, -10))
/** A wavy outline of cubics. */
const wavy = (count: number, swing: number): Path => {
  const at = (i: number) => {
    const a = (2 * Math.PI * i) / count
    const r = 100 + swing * Math.sin(3 * a)
    return point(r * Math.cos(a), r * Math.sin(a))
  }
  return closedPath(
    Array.from({ length: count }, (_, i) => {
      const [before, from, to, after] = [at(i - 1), at(i), at(i + 1), at(i + 2)]
      return cubic(
        from,
        point(from.x + (to.x - before.x) / 6, from.y + (to.y - before.y) / 6),
        point(to.x - (after.x - from.x) / 6, to.y - (after.y - from.y) / 6),
        to,
      )
    }),
  )
}

describe('rounding a corner', () => {
  const up = line(point(0, 50), point(0, 0))
  const smooth = (before: Segment, middle: Segment, after: Segment): void => {
    const turn = (a: Segment, b: Segment): number => {
      const [u, v] = [segmentTangent(a, 1), segmentTangent(b, 0)]
      return Math.abs(u.x * v.y - u.y * v.x)
    }
    expect(pointDistance(before.to, middle.from)).toBeLessThan(1e-6)
    expect(pointDistance(middle.to, after.from)).toBeLessThan(1e-6)
    expect(turn(before, middle)).toBeLessThan(1e-3)
    expect(turn(middle, after)).toBeLessThan(1e-3)
  }
  test('between two lines at a right angle: a quarter of a circle, a radius from the corner', () => {
    const f = filletMaybe(up, line(point(0, 0), point(60, 0)), 12)!
    expect(segmentLength(f.arc)).toBeCloseTo((12 * Math.PI) / 2, 9)
    expect(f.before.to.y).toBeCloseTo(12, 9)
    smooth(f.before, f.arc, f.after)
  })
  test.each([
    ['a line and a curve', up, curve],
    [
      'a curve and a line',
      cubic(point(-60, 0), point(-40, 30), point(-20, 30), point(0, 0)),
      line(point(0, 0), point(0, 60)),
    ],
    ['a line and an arc', up, arc(point(0, 0), point(40, 0), point(20, 20), Math.PI / 2)],
  ])('between %s it meets both without a kink, at its radius', (_, before, after) => {
    const f = filletMaybe(before, after, 5)!
    expect(arcRadius(f.arc)).toBeCloseTo(5, 3)
    smooth(f.before, f.arc, f.after)
  })
  test('no corner, no room or no radius: no rounding', () => {
    expect(filletMaybe(up, line(point(0, 0), point(0, -20)), 5)).toBeUndefined()
    expect(filletMaybe(up, line(point(0, 0), point(3, 0)), 5)).toBeUndefined()
    expect(filletMaybe(up, line(point(0, 0), point(60, 0)), 0)).toBeUndefined()
  })
})

describe('drawing an outline apart', () => {
  const across = { at: point(40, 0), beyond: point(1, 0) }
  test('a rectangle grows by what is let in and keeps four sides', () => {
    const { path, origins } = pathSpread(box(100, 30), across, 7)
    expect(path.segments).toHaveLength(4)
    expect(origins).toEqual([0, 1, 2, 3])
    expect(Math.abs(pathArea(path))).toBeCloseTo(107 * 30, 9)
  })
  test('drawn together it shrinks', () =>
    expect(Math.abs(pathArea(pathSpread(box(100, 30), across, -3).path))).toBeCloseTo(97 * 30, 9))
  test('a round outline keeps its halves and gets straight pieces between them', () => {
    const circle = roundedPolygon(
      [point(0, 0), point(80, 0), point(80, 80), point(0, 80)].map((p) => ({ ...p, radius: 40 })),
    ).path
    const { path } = pathSpread(circle, across, 10)
    expect(Math.abs(pathArea(path))).toBeCloseTo(Math.PI * 1600 + 10 * 80, 6)
    expect(pathLength(path)).toBeCloseTo(2 * Math.PI * 40 + 20, 6)
  })
  test('places beyond the line move, places before it stay', () => {
    expect(pointSpread(across, 7, point(41, 5))).toEqual(point(48, 5))
    expect(pointSpread(across, 7, point(39, 5))).toEqual(point(39, 5))
  })
  test('for any outline and line the area grows by the width there', () =>
    fc.assert(
      fc.property(
        fc.double({ min: -60, max: 60, noNaN: true }),
        fc.double({ min: 0.5, max: 20, noNaN: true }),
        (x, by) => {
          const path = wavy(12, 8)
          const { path: wide, origins } = pathSpread(path, { at: point(x, 0), beyond: point(1, 0) }, by)
          expect(origins).toHaveLength(wide.segments.length)
          const ys = pathPoints(path, 0.001).filter(
            (_, i, all) => (all[i]!.x - x) * (all[(i + 1) % all.length]!.x - x) <= 0,
          )
          const width = Math.max(...ys.map((p) => p.y)) - Math.min(...ys.map((p) => p.y))
          expect(Math.abs(pathArea(wide)) - Math.abs(pathArea(path))).toBeCloseTo(by * width, -1)
        },
      ),
      { seed: 21, numRuns: 30 },
    ))
})

describe('an offset that knows where it came from', () => {
  test('each side by its own distance: right 3 in, foot 5 out', () => {
    const { path, origins } = offsetSidesMaybe(box(100, 60), [0, -3, 5, 0])!
    expect(Math.abs(pathArea(path))).toBeCloseTo(97 * 65, 6)
    for (const [i, s] of path.segments.entries()) {
      const middle = segmentPoint(s, 0.5)
      const side = origins[i]!
      const wanted = [
        Math.abs(middle.y),
        Math.abs(97 - middle.x),
        Math.abs(65 - middle.y),
        Math.abs(middle.x),
      ][side]!
      expect(wanted, `side ${side}`).toBeLessThan(1e-6)
    }
  })
  test('nothing to do gives the path itself; nothing left gives nothing', () => {
    const path = box(20, 20)
    expect(offsetSidesMaybe(path, [0, 0, 0, 0])!.path).toBe(path)
    expect(offsetSidesMaybe(path, [-11, -11, -11, -11])).toBeUndefined()
  })
  test('no whisker is left where a side stays and its neighbour moves in', () => {
    for (const distances of [
      [0, -4, -4, -4],
      [-4, 0, 0, -4],
      [-4, -4, 0, 0],
    ]) {
      const [loop] = offsetClosed(box(100, 60), distances)
      for (const [i, s] of loop!.segments.entries()) {
        const next = loop!.segments[(i + 1) % loop!.segments.length]!
        const [u, v] = [segmentTangent(s, 1), segmentTangent(next, 0)]
        expect(u.x * v.x + u.y * v.y).toBeGreaterThan(-0.999)
      }
    }
  })
  test('against an exact parallel of the same curve: within 0.02 mm, out and in', () => {
    const path = wavy(60, 8)
    const turning = Math.sign(pathArea(path))
    for (const d of [8, 3, -3, -8]) {
      const [loop] = offsetClosed(path, d)
      for (const s of path.segments)
        for (const t of [0.1, 0.35, 0.6, 0.85]) {
          const [p, u] = [segmentPoint(s, t), segmentTangent(s, t)]
          const exact = point(p.x + turning * u.y * d, p.y - turning * u.x * d)
          expect(pathNearest(loop!, exact).distance).toBeLessThan(0.02)
        }
    }
  })
})

describe('measured quickly, and still right', () => {
  /** Length by very many chords. */
  const byChords = (s: Segment, t: number): number => {
    const count = 20_000
    let sum = 0
    for (let i = 0; i < count; i += 1)
      sum += pointDistance(segmentPoint(s, (t * i) / count), segmentPoint(s, (t * (i + 1)) / count))
    return sum
  }
  const cusp = cubic(point(0, 0), point(60, 40), point(-20, 40), point(40, 0))
  test.each([
    ['gentle', curve],
    ['nearly a cusp', cusp],
    ['a handle on its end', cubic(point(0, 0), point(0, 0), point(50, 40), point(80, 0))],
  ])('the length of a curve: %s', (_, s) => {
    for (const t of [0.2, 0.5, 0.77, 1]) expect(segmentLength(s, t)).toBeCloseTo(byChords(s, t), 4)
  })
  test('from a distance to a place and back', () =>
    fc.assert(
      fc.property(fc.constantFrom(curve, cusp), fc.double({ min: 0, max: 1, noNaN: true }), (s, share) => {
        const distance = share * segmentLength(s)
        expect(segmentLength(s, segmentParameterAt(s, distance))).toBeCloseTo(distance, 6)
      }),
      { seed: 2, numRuns: 80 },
    ))
  test('inside, asked strip by strip, agrees with the winding of the outline', () => {
    const path = wavy(24, 20)
    const ring = pathPoints(path, 1e-4)
    fc.assert(
      fc.property(
        fc.double({ min: -130, max: 130, noNaN: true }),
        fc.double({ min: -130, max: 130, noNaN: true }),
        (x, y) => {
          if (pathNearest(path, point(x, y)).distance > 0.01)
            expect(pointInside(point(x, y), path)).toBe(byWinding(ring, point(x, y)))
        },
      ),
      { seed: 4, numRuns: 300 },
    )
  })
  test('a bow tie crosses itself, a wavy outline does not', () => {
    expect(pathCrossesItself(polygon([point(0, 0), point(10, 10), point(10, 0), point(0, 10)]))).toEqual(
      point(5, 5),
    )
    expect(pathCrossesItself(wavy(60, 20))).toBeUndefined()
  })
  test('a stretch of a path and the places on it agree', () => {
    const path = wavy(12, 5)
    const part = pathPart(path, 30, 90)
    expect(pathLength(part)).toBeCloseTo(60, 6)
    expect(pointDistance(pathPlaceAt(path, 60).at, pathPlaceAt(part, 30).at)).toBeLessThan(1e-6)
  })
})
