import { describe, expect, test } from 'vitest'
import { sortOf } from '@drumlin/core/added'
import { type Derived, derive, layersAlong } from '@drumlin/core/derived'
import { putOn, setField } from '@drumlin/core/design'
import { alongRun } from '@drumlin/core/relief'
import { laidUpOf } from '../src/layup/index.js'
import { STARTER_STORES } from '../src/stores/index.js'
import { done, freshOf } from './support/designs.js'
import { everyDesign, derivedOf } from './support/all.js'

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
      const derived = derivedOf(design)
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

describe('the tape of a zip', () => {
  const run = (derived: Derived, id: string) => derived.runs.find((r) => r.join.id === id)!
  test('lies under the seam that holds it to its band', () => {
    const tote = done(freshOf('tote'), setField('zip', ['params', 'closure'], 'zip'))
    const derived = derive(tote)
    const held = run(derived, 'zip-front-tape')
    const band = derived.panels.find((p) => p.id === 'zip-front')!
    const thickness = tote.leathers[band.role]!.thickness
    for (const hole of held.holes) expect(hole.stack).toBeCloseTo(thickness + 0.7, 9)
    expect(layersAlong(derived, held).map((l) => l.layers.map((one) => one.name))).toEqual([
      ['zip band, front', 'tape of the zip'],
    ])
    // The seam of the band to the front has none.
    const names = layersAlong(derived, run(derived, 'zip-front-seam')).flatMap((l) =>
      l.layers.map((one) => one.name),
    )
    expect(names).not.toContain('tape of the zip')
  })
  test('and under the frame of a zipped pocket, where more thread goes through', () => {
    const tote = freshOf('tote')
    const front = derive(tote).panels.find((p) => p.id === 'front')!
    const derived = derive(done(tote, putOn(tote, sortOf('zip-pocket'), front, STARTER_STORES)))
    const frame = run(derived, 'added-1-seam')
    const [pocket, body] = [derived.design.leathers['added-1']!, derived.design.leathers[front.role]!]
    for (const hole of frame.holes) expect(hole.stack).toBeCloseTo(pocket.thickness + body.thickness + 0.7, 9)
  })
})
