import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  boxesTouch,
  closedPath,
  cubic,
  line,
  pathArea,
  pathBox,
  pathSpread,
  point,
  polygon,
  segmentTangent,
} from '../src/geometry/index.js'
import { teethOf } from '../src/stitch/index.js'

/** What mutation runs found that nothing noticed. */
describe('boxes', () => {
  const box = (left: number, top: number, right: number, bottom: number) => ({ left, top, right, bottom })
  test('those that only meet along a side touch, however they lie to each other', () => {
    const a = box(0, 0, 10, 10)
    for (const b of [box(10, 0, 20, 10), box(0, 10, 10, 20), box(-10, 0, 0, 10), box(0, -10, 10, 0)]) {
      expect([boxesTouch(a, b), boxesTouch(b, a)]).toEqual([true, true])
      const away = box(
        b.left + Math.sign(b.left) * 2,
        b.top + Math.sign(b.top) * 2,
        b.right + Math.sign(b.left) * 2,
        b.bottom + Math.sign(b.top) * 2,
      )
      expect([boxesTouch(a, away), boxesTouch(away, a)]).toEqual([false, false])
      expect([boxesTouch(a, away, 2), boxesTouch(a, away, 1.99)]).toEqual([true, false])
    }
  })
})

describe('the direction of a cubic', () => {
  test('straight down it is down; where a handle lies on its end it is the way to the other one', () => {
    const down = cubic(point(0, 0), point(0, 4), point(5, 8), point(9, 9))
    expect(segmentTangent(down, 0)).toEqual({ x: 0, y: 1 })
    const across = cubic(point(0, 0), point(4, 0), point(5, 8), point(9, 9))
    expect(segmentTangent(across, 0)).toEqual({ x: 1, y: 0 })
    const held = cubic(point(0, 0), point(0, 0), point(3, 4), point(9, 9))
    const { x, y } = segmentTangent(held, 0)
    expect([x, y].map((v) => Math.round(v * 1e4) / 1e4)).toEqual([0.6, 0.8])
    const heldAtEnd = cubic(point(0, 0), point(3, 4), point(9, 9), point(9, 9))
    const end = segmentTangent(heldAtEnd, 1)
    expect(Math.round(Math.atan2(end.y, end.x) * 1e3)).toBe(Math.round(Math.atan2(5, 6) * 1e3))
  })
})

describe('an outline drawn apart', () => {
  test('wherever on the sheet it lies and however long it is, it grows by a strip of the whole height', () => {
    fc.assert(
      fc.property(
        fc.record({
          left: fc.integer({ min: -9000, max: 9000 }),
          top: fc.integer({ min: -9000, max: 9000 }),
          wide: fc.integer({ min: 20, max: 3000 }),
          high: fc.integer({ min: 20, max: 3000 }),
          by: fc.integer({ min: 1, max: 40 }),
        }),
        ({ left, top, wide, high, by }) => {
          const outline = polygon([
            point(left, top),
            point(left + wide, top),
            point(left + wide, top + high),
            point(left, top + high),
          ])
          const across = { at: point(left + wide / 2, top), beyond: point(1, 0) }
          const { path, origins } = pathSpread(outline, across, by)
          expect(Math.abs(pathArea(path))).toBeCloseTo((wide + by) * high, 3)
          expect(pathBox(path)).toEqual({ left, top, right: left + wide + by, bottom: top + high })
          expect(origins.length).toBe(path.segments.length)
        },
      ),
      { seed: 7, numRuns: 200 },
    )
  })
  test('a slanting side is parted where the line crosses it', () => {
    const roof = closedPath([
      line(point(0, 0), point(100, 50)),
      line(point(100, 50), point(0, 100)),
      line(point(0, 100), point(0, 0)),
    ])
    const { path } = pathSpread(roof, { at: point(50, 0), beyond: point(1, 0) }, 10)
    // The strip between is as high as the outline is there: 50 mm.
    expect(Math.abs(pathArea(path))).toBeCloseTo(5000 + 10 * 50, 6)
  })
})

describe('one hole too many', () => {
  const along = (places: readonly number[], length: number) => ({
    length,
    holes: places.map((distance) => ({ at: point(distance, 0), angle: 0, distance })),
    sides: [{ stitches: places.length - 1, from: 0, to: places.length - 1, length, pitch: 4 }],
  })
  test('the one left alone is the one whose loss pulls the others least, tried one by one', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 6 }), { minLength: 3, maxLength: 9 }),
        fc.nat(20),
        (gaps, out) => {
          const places = gaps.reduce<number[]>((all, g) => [...all, (all.at(-1) ?? 0) + g], [0])
          const fewer = places.filter((_, i) => i !== out % places.length)
          const length = places.at(-1)! + 2
          const { teeth, alone } = teethOf(along(places, length), along(fewer, length), 4)
          const off = (skip: number): number =>
            places.filter((_, i) => i !== skip).reduce((sum, p, i) => sum + Math.abs(p - fewer[i]!), 0)
          const best = Math.min(...places.map((_, i) => off(i)))
          const left = alone.find((a) => a.on === 'front')!.hole
          expect(off(left)).toBeCloseTo(best, 9)
          expect(teeth.length).toBe(fewer.length)
        },
      ),
      { seed: 7, numRuns: 200 },
    )
  })
})
