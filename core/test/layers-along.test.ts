import { describe, expect, test } from 'vitest'
import { derive, layersAlong } from '@drumlin/core/derived'
import { alongRun } from '@drumlin/core/relief'
import { laidUpOf } from '../src/layup/index.js'
import { freshOf } from './support/designs.js'
import { everyDesign } from './support/all.js'

describe('what a run goes through', () => {
  test('two allowances thinned to half are together as thick as one', () => {
    const bag = derive(freshOf('flap-bag', { seam: 'turned', seamSkive: 'half', body: 'wrap' }))
    const thick = Math.max(...Object.values(bag.design.leathers).map((l) => l.thickness))
    const told = bag.runs.flatMap((run) => layersAlong(bag, run)).filter((l) => l.asOne)
    expect(told.length).toBeGreaterThan(0)
    for (const { layers, together } of told) {
      expect(together).toBeCloseTo(
        layers.reduce((sum, l) => sum + l.thickness, 0),
        9,
      )
      expect(together).toBeLessThanOrEqual(thick + 0.05)
    }
    const whole = derive(freshOf('flap-bag', { seam: 'turned', seamSkive: 'none', body: 'wrap' }))
    expect(whole.runs.flatMap((run) => layersAlong(whole, run)).some((l) => l.asOne)).toBe(false)
  })
  test('every hole is told once, and layers add up to what the thread passes', () => {
    for (const { design } of everyDesign()) {
      const derived = derive(design)
      for (const run of derived.runs) {
        const told = layersAlong(derived, run)
        expect(told.reduce((sum, l) => sum + l.holes, 0)).toBe(run.holes.length)
        const thickest = Math.max(0, ...told.map((l) => l.together))
        expect(Math.abs(thickest - run.thickest)).toBeLessThan(0.3)
        // And what is drawn along it says no other at its holes.
        const { points } = alongRun(run, laidUpOf(derived.works, run.join.layup))
        for (const hole of run.holes) {
          const near = points.filter(([d]) => Math.abs(d - hole.distance) < 0.6).map(([, t]) => t)
          expect(hole.stack).toBeGreaterThan(Math.min(...near) - 0.3)
          expect(hole.stack).toBeLessThan(Math.max(...near) + 0.3)
        }
      }
    }
  })
})
