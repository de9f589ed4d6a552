import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { many } from './support/long.js'
import { anyDesign, everyDesign, madeKinds, derivedOf } from './support/all.js'
import { collisions } from './support/lettering.js'

describe('words on the pieces', () => {
  test.each(['mm', 'in'] as const)('lie over no cut line, no hole and no other words, in %s', (unit) => {
    for (const { name, design } of everyDesign()) {
      const found = collisions(derivedOf(design), unit)
      expect(found, name).toMatchObject({ overCut: [], overHoles: [], overEachOther: [] })
      expect(found.texts).toBeGreaterThan(10)
    }
  })
  test.each(madeKinds)('nor do they on a %s with any settings', (id) =>
    fc.assert(
      fc.property(anyDesign(id), (design) => {
        const found = collisions(derivedOf(design), 'mm')
        expect(found).toMatchObject({ overCut: [], overHoles: [], overEachOther: [] })
      }),
      { seed: 61, numRuns: many(3, 6) },
    ),
  )
})
