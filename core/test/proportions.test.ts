import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { findingsOf } from '@drumlin/core/check'
import { derive } from '@drumlin/core/derived'
import { type Design, applyEdit, setField, withFollowing } from '@drumlin/core/design'
import { freshOf } from './support/designs.js'

/** As the maker writes it: with what follows. */
function written(design: Design, values: Readonly<Record<string, number>>): Design {
  return Object.entries(values).reduce((now, [field, value]) => {
    const edited = applyEdit(now, withFollowing(now, setField(field, ['params', field], value)))
    if (!edited.ok) throw new Error(`${edited.where}: ${edited.why}`)
    return edited.design
  }, design)
}
const num = ({ params }: Design, field: string): number => params[field] as number

describe('a small bag has small straps, handles and pockets', () => {
  test('a tote 100 wide: handles of 13.5, 40.5 apart, on the face, and a pocket that it has room for', () => {
    const tote = written(freshOf('tote'), { wide: 100, high: 110, deep: 40 })
    expect(num(tote, 'handleWide')).toBe(13.5)
    expect(num(tote, 'handleSpan')).toBe(40.5)
    const codes = findingsOf(derive(tote)).map((f) => f.key)
    expect(codes.filter((c) => /handle|pocket-smaller/.test(c))).toEqual([])
  })
  test.each(['tote', 'flap-bag', 'briefcase', 'portfolio', 'rucksack'])(
    'what is asked of a %s stays as it is, and all comes back with its size',
    (kind) =>
      fc.assert(
        fc.property(
          fc.integer({ min: 100, max: 500 }),
          fc.integer({ min: 100, max: 500 }),
          fc.integer({ min: 50, max: 100 }),
          (wide, high, span) => {
            const fresh = freshOf(kind)
            const there = written(fresh, { wide, high })
            expect(written(there, { wide: num(fresh, 'wide'), high: num(fresh, 'high') })).toEqual(fresh)
            for (const field of ['handleSpan', 'handleWide', 'strapWide', 'pocketWide'])
              expect(num(there, field)).toBeLessThanOrEqual(num(fresh, field))
            const own = written(written(fresh, { handleSpan: span + 0.25 }), { wide })
            expect(num(own, 'handleSpan')).toBe(span + 0.25)
          },
        ),
        { seed: 5, numRuns: 20 },
      ),
  )
  test('one undo takes the size and what followed back', () => {
    const fresh = freshOf('tote')
    const edited = applyEdit(fresh, withFollowing(fresh, setField('wide', ['params', 'wide'], 150)))
    const back = edited.ok && applyEdit(edited.design, edited.inverse)
    expect(back && back.ok && back.design).toEqual(fresh)
  })
})
