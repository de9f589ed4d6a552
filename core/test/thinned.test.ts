import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { thinnedOutline } from '@drumlin/core/exchange/outlines'
import type { Path } from '@drumlin/core/geometry'
import { distanceWithin, line, pathPoints } from '../src/geometry/index.js'

describe('an outline of too many points', () => {
  const ring = (count: number, radius: (i: number) => number): Path => {
    const at = (i: number) => {
      const angle = (2 * Math.PI * (i % count)) / count
      return { x: radius(i % count) * Math.cos(angle), y: radius(i % count) * Math.sin(angle) }
    }
    return { segments: Array.from({ length: count }, (_, i) => line(at(i), at(i + 1))), closed: true }
  }
  test('is thinned, nothing moves more than 0.02 mm, and it is said', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 401, max: 3000 }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        (count, wave) => {
          const path = ring(count, (i) => 60 + wave * Math.sin((6 * Math.PI * i) / count))
          const thinned = thinnedOutline(path)
          if (!thinned.ok) return
          expect(thinned.path.segments.length).toBeLessThanOrEqual(400)
          expect(thinned.note).toContain('0.02 mm')
          for (const p of pathPoints(path)) expect(distanceWithin(thinned.path, p, 1)).toBeLessThan(0.0201)
          for (const p of pathPoints(thinned.path)) expect(distanceWithin(path, p, 1)).toBeLessThan(0.0201)
        },
      ),
      { numRuns: 25 },
    )
  })
  test('that can’t be drawn with fewer is refused in words', () => {
    const path = ring(1200, (i) => (i % 2 ? 60 : 62))
    expect(thinnedOutline(path)).toMatchObject({
      ok: false,
      why: expect.stringContaining('up to 400 are taken'),
    })
  })
  test('with few points is left as it is', () => {
    const path = ring(40, () => 50)
    expect(thinnedOutline(path)).toEqual({ ok: true, path, note: undefined })
  })
})
