import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  type Path,
  line,
  moveBack,
  overlay,
  point,
  pointDistance,
  pointMoved,
  polygon,
  segmentTangent,
} from '../src/geometry/index.js'

const ordinate = fc.integer({ min: -1000, max: 1000 }).map((n) => n / 10)
const place = fc.record({ x: ordinate, y: ordinate }).map(({ x, y }) => point(x, y))
const RUNS = { numRuns: 150, seed: 4 }

describe('moves, whatever they stretch', () => {
  const share = fc.integer({ min: -30, max: 30 }).map((n) => n / 10)
  const stretching = fc
    .record({ a: share, b: share, c: share, d: share, e: ordinate, f: ordinate })
    .filter((m) => Math.abs(m.a * m.d - m.b * m.c) > 0.1)
  test('are undone by the move back', () =>
    fc.assert(
      fc.property(stretching, place, (m, p) => {
        const back = pointMoved(pointMoved(p, m), moveBack(m))
        expect(pointDistance(back, p)).toBeLessThan(1e-6)
        expect(pointDistance(pointMoved(pointMoved(p, moveBack(m)), m), p)).toBeLessThan(1e-6)
      }),
      RUNS,
    ))
})

describe('one outline laid over another', () => {
  const square = polygon([point(0, 0), point(50, 0), point(50, 50), point(0, 50)])
  /** The square with a spike of `out` mm, seen from which nothing of the square is that near. */
  const spiked = (out: number): Path =>
    polygon([
      point(0, 0),
      point(24, 0),
      point(25, -out),
      point(26, 0),
      point(50, 0),
      point(50, 50),
      point(0, 50),
    ])
  test('is as far from it whichever of them sticks out', () => {
    for (const out of [5, 12.5, 30]) {
      const [forth, back] = [overlay(spiked(out), square), overlay(square, spiked(out))]
      for (const found of [forth, back]) expect(found.distance).toBeCloseTo(out, 6)
      expect(pointDistance(forth.on, point(25, -out))).toBeLessThan(1e-6)
      expect(pointDistance(back.other, point(25, -out))).toBeLessThan(1e-6)
      expect(pointDistance(forth.other, point(25, 0))).toBeLessThan(1e-6)
      expect(pointDistance(back.on, point(25, 0))).toBeLessThan(1e-6)
    }
  })
})

test('a segment of no length runs some way, and that is a number', () => {
  const still = line(point(3, 4), point(3, 4))
  expect(segmentTangent(still, 0.5)).toEqual({ x: 1, y: 0 })
})
