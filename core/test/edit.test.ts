import fc from 'fast-check'
import { expect, test } from 'vitest'
import { applyEdit, rename, setField, setSkives } from '@drumlin/core/design'
import { demo } from './support/designs.js'

test('an edit that the design won’t have is refused at its place, and the design is untouched', () => {
  const before = demo()
  const edited = applyEdit(before, setField('reveal', ['params', 'reveal'], 3))
  expect(edited).toMatchObject({ ok: false, where: 'params.reveal' })
  expect(before).toEqual(demo())
})

test('every edit’s inverse takes it back, however they follow each other', () => {
  const edits = fc.oneof(
    fc.integer({ min: 0, max: 6 }).map((n) => setField(`pockets ${n}`, ['params', 'pockets'], n)),
    fc.double({ min: 6, max: 30, noNaN: true }).map((v) => setField('reveal', ['params', 'reveal'], v)),
    fc
      .double({ min: 0.2, max: 3, noNaN: true })
      .map((v) => setField('thickness', ['leathers', 'inside', 'thickness'], v)),
    fc
      .option(fc.double({ min: 0.2, max: 1, noNaN: true }), { nil: undefined })
      .map((v) => setSkives('skive', { 'pocket.arms': v, 'inside.rim': v })),
    fc.constantFrom('Bow line', 'Stern line').map(rename),
  )
  fc.assert(
    fc.property(fc.array(edits, { maxLength: 12 }), (list) => {
      const inverses = []
      let design = demo()
      for (const edit of list) {
        const edited = applyEdit(design, edit)
        if (!edited.ok) throw new Error(edited.why)
        inverses.unshift(edited.inverse)
        design = edited.design
      }
      for (const inverse of inverses) {
        const edited = applyEdit(design, inverse)
        if (!edited.ok) throw new Error(edited.why)
        design = edited.design
      }
      expect(design).toEqual(demo())
    }),
    { seed: 13, numRuns: 60 },
  )
})
