import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { parseLength, parseWeight, printLength, printWeight, weightMiddle } from '@drumlin/core/measure'
import { stepsIn } from '../src/check/skiveTooSteep.js'
import { canBeSkived, skiveChanges } from '../src/edges/skiving.js'
import { many } from './support/long.js'

const STEPS = { width: 0.5, thickness: 0.05 }

const skiving = (width: number, start: number, end: number, alongEdge = true) => ({
  width,
  start,
  end,
  alongEdge,
})

describe('a skive no tool makes', () => {
  test('that is too wide is told to be narrower, one that is too steep to be wider or to leave more', () => {
    // A hand keeps 60 mm even, a machine of 50 mm cuts thicker leather: docs/formulas.md §15.
    expect(skiveChanges(skiving(63.6, 0.25, 1.8), STEPS)).toEqual([{ what: 'narrower', to: 60 }])
    const steep = skiveChanges(skiving(1, 0.2, 1.2), STEPS)
    expect(steep.map((c) => c.what)).toEqual(['wider', 'thicker'])
    // 1.0 mm down at 30° runs over 1.73 mm; over 1 mm it goes down 0.577.
    expect(steep.map((c) => c.to)).toEqual([2, expect.closeTo(0.65, 9)])
  })
  const any = fc.record({
    width: fc.integer({ min: 2, max: 1600 }).map((n) => n / 20),
    ends: fc
      .tuple(fc.integer({ min: 0, max: 80 }), fc.integer({ min: 1, max: 80 }))
      .map(([a, b]) => [a / 20, b / 20]),
    alongEdge: fc.boolean(),
  })
  test('is told what goes, the nearest of each sort; and where any goes one is told', () =>
    fc.assert(
      fc.property(any, ({ width, ends, alongEdge }) => {
        const [start = 0, end = 0] = ends
        const [thin, full] = [Math.min(start, end), Math.max(start, end)]
        const one = skiving(width, start, end, alongEdge)
        const told = new Map(skiveChanges(one, STEPS).map((c) => [c.what, c.to]))
        const able = (w: number, t: number) => canBeSkived(w, t, full, alongEdge)
        const [wider, narrower, thicker] = [told.get('wider'), told.get('narrower'), told.get('thicker')]
        for (let w = 0.5; w <= 90; w += 0.5) {
          if (!able(w, thin)) continue
          if (w > width + 1e-9) expect(wider).toBeLessThanOrEqual(w + 1e-9)
          if (w < width - 1e-9) expect(narrower).toBeGreaterThanOrEqual(w - 1e-9)
        }
        for (let t = 0.05; t <= full + 1e-9; t += 0.05)
          if (t > thin + 1e-6 && able(width, t)) expect(thicker).toBeLessThanOrEqual(t + 1e-6)
        if (wider !== undefined) expect([wider > width, able(wider, thin)]).toEqual([true, true])
        if (narrower !== undefined) expect([narrower < width, able(narrower, thin)]).toEqual([true, true])
        if (thicker !== undefined) expect([thicker > thin, able(width, thicker)]).toEqual([true, true])
      }),
      { seed: 63, numRuns: many(400, 4000) },
    ))
  test.each(['mm', 'in'] as const)('is told in %s as it is: read again it is the same, and goes', (unit) => {
    const { width, thickness } = stepsIn(unit)
    for (let k = 1; k <= 60; k += 1) {
      const [wide, thick] = [
        parseLength(printLength(k * width, unit)),
        parseWeight(printWeight(k * thickness, unit)),
      ]
      if (!wide.ok || !thick.ok) throw new Error('not read')
      expect(wide.value).toBeCloseTo(k * width, 6)
      expect(weightMiddle(thick.value)).toBeCloseTo(k * thickness, 6)
    }
  })
})
