import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { seamPlan } from '@drumlin/core/derived'
import { numbersFor } from '@drumlin/core/drawing'
import { boxGrown, boxUnion, pointDistance } from '@drumlin/core/geometry'
import { everyDesign, derivedOf } from './support/all.js'

const box = { left: 0, top: 0, right: 380, bottom: 200 }
const anyLine = fc
  .record({
    x: fc.integer({ min: 20, max: 360 }),
    y: fc.integer({ min: 20, max: 180 }),
    dx: fc.integer({ min: -60, max: 60 }),
    count: fc.integer({ min: 1, max: 30 }),
  })
  .map(({ x, y, dx, count }) =>
    Array.from({ length: count }, (_, i) => ({ x: Math.min(370, Math.max(10, x + (dx * i) / 30)), y })),
  )

const clashes = (places: readonly { at: { x: number; y: number } }[], radius: number): number =>
  places.reduce(
    (sum, a, i) => sum + places.slice(i + 1).filter((b) => pointDistance(a.at, b.at) < 2 * radius).length,
    0,
  )

describe('numbers of lines', () => {
  test('twenty lines, wherever they run: none over another, all within the drawing', () =>
    fc.assert(
      fc.property(fc.array(anyLine, { minLength: 1, maxLength: 20 }), (lines) => {
        const places = numbersFor(lines, box, 8)
        expect(places).toHaveLength(lines.length)
        expect(clashes(places, 8)).toBe(0)
        for (const { at } of places)
          expect([at.x >= 8, at.x <= 372, at.y >= 8, at.y <= 192]).toEqual([true, true, true, true])
      }),
      { seed: 26, numRuns: 200 },
    ))
  test('alone it stands at the start of its line; a second at the same start moves along; off the line it says where it belongs', () => {
    const line = Array.from({ length: 11 }, (_, i) => ({ x: 50 + i * 20, y: 100 }))
    const [one, other] = numbersFor([line, line], box, 8)
    expect(one).toEqual({ at: line[0], from: undefined })
    expect(other).toEqual({ at: line[5], from: undefined })
    const dot = [{ x: 100, y: 100 }]
    const [, beside] = numbersFor([dot, dot], box, 8)
    expect(beside!.from).toEqual(dot[0])
    expect(pointDistance(beside!.at, dot[0]!)).toBeGreaterThan(16)
  })
  test('where nothing is free nothing is lost', () =>
    expect(
      numbersFor([[{ x: 5, y: 5 }], [{ x: 5, y: 5 }]], { left: 0, top: 0, right: 10, bottom: 10 }, 8),
    ).toHaveLength(2))

  test.each(everyDesign())('$name: the runs of each state', ({ design }) => {
    const d = derivedOf(design)
    for (const work of d.works) {
      const rows = seamPlan(d).rows.filter((r) => r.run.join.layup === work.layup.id)
      if (rows.length === 0) continue
      const all = boxGrown(boxUnion(work.sheets.map((s) => s.box)), 7)
      const pixel = Math.max((all.right - all.left) / 380, (all.bottom - all.top) / 200)
      const places = numbersFor(
        rows.map((r) => r.run.holes.map((h) => h.at)),
        boxGrown(all, 10 * pixel),
        8 * pixel,
      )
      expect(clashes(places, 8 * pixel)).toBe(0)
    }
  })
})
