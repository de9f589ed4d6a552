import fc from 'fast-check'
import { expect, it } from 'vitest'
import { equalisedStitches, phaseIntervals } from '../src/formulas/index.js'
import { widestStart } from '../src/formulas/phase.js'

/** Every number of stitches a side could have, and the one whose pitch comes nearest; fewer where two are as near. */
function nearest(length: number, pitch: number, phases: number): number {
  const from = phases > 0 ? 0 : 1
  return Array.from({ length: 200 }, (_, i) => from + i)
    .map((count) => ({ count, off: Math.abs(length / (count + phases) - pitch) }))
    .reduce((best, next) => (next.off < best.off - 1e-12 ? next : best)).count
}

it('gives a side the stitches whose pitch comes nearest to the wished one', () => {
  const pitch = fc.integer({ min: 20, max: 60 }).map((n) => n / 10)
  const length = fc.integer({ min: 100, max: 4000 }).map((n) => n / 10)
  fc.assert(
    fc.property(length, pitch, fc.constantFrom(0, 0.5, 1), (l, p, phases) => {
      fc.pre(l / p - phases >= 1)
      expect(equalisedStitches(l, p, phases)).toBe(nearest(l, p, phases))
    }),
    { seed: 15, numRuns: 400 },
  )
})

it.each([
  ['as near with 4 as with 5', 40, 9, 0, 4],
  ['one stitch where one just fits', 4, 4, 0, 1],
  ['one stitch where none would fit', 1, 4, 0, 1],
  ['none between two straddled corners', 1.5, 4, 0.5, 0],
  ['one with a straddled corner', 5, 4, 0.5, 1],
])('%s', (_, length, pitch, phases, stitches) => {
  expect(equalisedStitches(length, pitch, phases)).toBe(stitches)
})

/** Whether a row that starts there keeps its holes clear of every joint, asked of each hole near it. */
const clear = (start: number, joints: readonly number[], pitch: number, clearance: number): boolean =>
  joints.every((joint) => {
    const past = (((start - joint) % pitch) + pitch) % pitch
    return Math.min(past, pitch - past) >= clearance - 1e-7
  })

it('lets a row start exactly where its holes keep clear of every joint', () => {
  const joints = fc.array(
    fc.integer({ min: -200, max: 800 }).map((n) => n / 10),
    { minLength: 1, maxLength: 5 },
  )
  const clearance = fc.integer({ min: 0, max: 20 }).map((n) => n / 10)
  fc.assert(
    fc.property(joints, fc.constantFrom(2.7, 3, 3.85, 4), clearance, (at, pitch, keep) => {
      const stretches = phaseIntervals(at, pitch, keep)
      for (const { from, to } of stretches) {
        expect(to).toBeGreaterThanOrEqual(from - 1e-9)
        for (const start of [from, (from + to) / 2, to]) expect(clear(start, at, pitch, keep)).toBe(true)
      }
      const starts = Array.from({ length: 40 }, (_, i) => (i * pitch) / 40)
      const inside = (s: number): boolean =>
        stretches.some(({ from, to }) =>
          [-1, 0, 1, 2].some((turn) => s + turn * pitch >= from - 1e-7 && s + turn * pitch <= to + 1e-7),
        )
      for (const start of starts) expect(inside(start)).toBe(clear(start, at, pitch, keep))
    }),
    { seed: 15, numRuns: 300 },
  )
})

it('tells the widest of them for steps that follow each other evenly', () => {
  const step = fc.integer({ min: 40, max: 260 }).map((n) => n / 10)
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 6 }), step, step, (steps, apart, first) => {
      const joints = Array.from({ length: steps }, (_, i) => first + i * apart)
      const found = phaseIntervals(joints, 3.85, 0.4)
      const widest = widestStart(0.4, steps, apart, first, 3.85)
      if (found.length === 0) expect(widest).toEqual({ from: NaN, to: NaN })
      else expect(widest.to - widest.from).toBe(Math.max(...found.map(({ from, to }) => to - from)))
    }),
    { seed: 15, numRuns: 300 },
  )
  expect(widestStart(2, 2, 5, 0, 3)).toEqual({ from: NaN, to: NaN })
})
