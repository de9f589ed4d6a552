import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { findingsOf } from '@drumlin/core/check'
import { type Derived, derive, zipFor } from '@drumlin/core/derived'
import { withValues } from './support/designs.js'
import { drawingOf, panelOf, withFate } from './support/drawing.js'

describe('edges that the drawing ties to each other', () => {
  const sewn = { type: 'sewn' as const, margin: 3, finish: 'left' as const }
  const two = (wide: number): Derived => {
    const panel = (id: string, width: number, edge: string) =>
      withFate(panelOf('rectangle', { width, height: 60 }, { id, name: id }), sewn, edge)
    const design = drawingOf([panel('first', 90, 'top'), panel('second', wide, 'foot')])
    const [first, second] = [
      { panel: 'first', edge: 'top' },
      { panel: 'second', edge: 'foot' },
    ]
    return derive(withValues(design, { ties: [{ id: 'tie', type: 'equal', when: 'warn', first, second }] }))
  }
  /** Edges equally long, sewn at margins of their own: the lines differ by twice the difference. */
  const margins = (width: number, a: number, b: number): Derived => {
    const panel = (id: string, margin: number, edge: string) =>
      withFate(panelOf('rectangle', { width, height: 60 }, { id, name: id }), { ...sewn, margin }, edge)
    const [first, second] = [
      { panel: 'first', edge: 'top' },
      { panel: 'second', edge: 'foot' },
    ]
    const design = drawingOf([panel('first', a, 'top'), panel('second', b, 'foot')])
    const ties = [{ id: 'tie', type: 'equal', when: 'warn', first, second }]
    return derive(withValues(design, { ties, 'iron.pitch': 3.85 }))
  }
  const stitches = (d: Derived): number[] => d.runs.map((r) => r.stitches)
  test('lines of 412 and 420 mm at 3.85 are sewn with 108 stitches, not 107 and 109', () => {
    const tied = margins(426, 7, 3)
    expect(tied.runs.map((r) => r.length)).toEqual([412, 420].map((l) => expect.closeTo(l, 6)))
    expect(stitches(tied)).toEqual([108, 108])
    expect(stitches(derive(withValues(tied.design, { ties: [] })))).toEqual([107, 109])
    expect(findingsOf(tied).map((f) => f.code)).not.toContain('unequal-holes')
  })
  test('whatever their margins, they come to as many holes where the play of both allows it', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 60, max: 500, noNaN: true }),
        fc.double({ min: 2, max: 12, noNaN: true }),
        fc.double({ min: 2, max: 12, noNaN: true }),
        (width, a, b) => {
          const tied = margins(width, a, b)
          const [one, two] = tied.runs
          const { pitch } = tied.design.iron
          const { play } = tied.design.habits
          // Counted without the engine: is there any number of stitches both lines can take within the play?
          const takes = (length: number, n: number): boolean => Math.abs(length / n / pitch - 1) <= play
          const about = Math.round((one!.length + two!.length) / 2 / pitch)
          const possible = [about - 1, about, about + 1].some(
            (n) => takes(one!.length, n) && takes(two!.length, n),
          )
          if (possible) expect(one!.stitches).toBe(two!.stitches)
          for (const run of tied.runs) if (possible) expect(takes(run.length, run.stitches)).toBe(true)
        },
      ),
      { seed: 27, numRuns: 150 },
    ))
  const zip = (d: Derived) =>
    zipFor(
      d,
      d.runs.find((r) => r.join.id.startsWith('first'))!,
    )
  test('as long as each other they meet hole for hole, though the panels lie apart', () => {
    const met = zip(two(90))
    expect(met.back!.name.toLowerCase()).toContain('second')
    expect(met.extra).toEqual([])
    expect(met.teeth.every((t) => !t.slanted)).toBe(true)
  })
  test('one longer by 7 mm has holes too many, and it is said once', () => {
    const derived = two(97)
    expect(zip(derived).extra.length).toBeGreaterThan(0)
    expect(zip(derived).ease!.by).toBeCloseTo(7, 6)
    expect(findingsOf(derived).filter((f) => f.code === 'unequal-holes')).toHaveLength(1)
  })
})
