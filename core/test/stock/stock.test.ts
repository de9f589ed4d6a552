import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  type Move,
  NO_STOCK,
  type Used,
  type Wanted,
  levelsOf,
  pricesPaid,
  shoppingOf,
} from '@drumlin/core/stock'

const move = (
  id: string,
  at: number,
  sort: Move['sort'],
  amount: number,
  more: Partial<Move> = {},
): Move => ({
  id,
  at,
  sort,
  what: 'rivet',
  unit: 'pieces',
  amount,
  note: '',
  ...more,
})
const used = (making: string, at: number, amount: number): Used => ({
  what: 'rivet',
  unit: 'pieces',
  amount,
  at,
  making,
})
const stock = (moves: readonly Move[], low = {}) => ({ ...NO_STOCK, moves: [...moves], low })

describe('the shelf', () => {
  it('is what was bought less what was taken, from the last count on', () => {
    const moves = [
      move('a', 1, 'bought', 20),
      move('b', 5, 'counted', 13),
      move('c', 9, 'bought', 10),
      move('d', 9, 'gone', 1),
    ]
    const [level] = levelsOf(stock(moves), [used('m', 3, 6), used('n', 7, 4)], [])
    expect(level).toMatchObject({ amount: 18, known: true, negative: false, counted: 5 })
  })

  it('is never less than nothing in silence', () => {
    const [level] = levelsOf(stock([move('a', 1, 'bought', 4)]), [used('m', 2, 6)], [])
    expect(level).toMatchObject({ amount: -2, negative: true })
    // What was never bought nor counted is not known; that is no debt.
    expect(levelsOf(NO_STOCK, [used('m', 2, 6)], [])[0]).toMatchObject({ known: false, negative: false })
  })

  it('says what is missing for what is planned, from which day, and what is low', () => {
    const wants: Wanted[] = [
      { what: 'rivet', unit: 'pieces', amount: 6, making: 'a', day: '2027-03-24' },
      { what: 'rivet', unit: 'pieces', amount: 6, making: 'b', day: '2027-03-22' },
    ]
    const levels = levelsOf(
      stock([move('a', 1, 'bought', 10, { price: 4, currency: 'EUR' })], { rivet: 5 }),
      [],
      wants,
    )
    expect(levels[0]).toMatchObject({ reserved: 12, missing: 2, from: '2027-03-24', isLow: true })
    const list = shoppingOf(
      levels,
      pricesPaid(stock([move('a', 1, 'bought', 10, { price: 4, currency: 'EUR' })]), 'EUR'),
    )
    // Two are missing, and five should be left: seven, which is one pack of ten.
    expect(list).toEqual([
      {
        what: 'rivet',
        unit: 'pieces',
        amount: 7,
        packs: 1,
        pack: 10,
        price: 4,
        from: '2027-03-24',
        why: 'missing',
      },
    ])
  })

  it('prices are those paid last, in the same money', () => {
    const moves = [
      move('a', 1, 'bought', 10, { price: 4, currency: 'EUR' }),
      move('b', 3, 'bought', 20, { price: 7, currency: 'EUR' }),
      move('c', 5, 'bought', 20, { price: 9, currency: 'USD' }),
    ]
    expect(pricesPaid(stock(moves), 'EUR')).toEqual({ rivet: { unit: 'pieces', amount: 20, price: 7 } })
  })

  const anyMove = fc.record({
    at: fc.integer({ min: 0, max: 8 }),
    sort: fc.constantFrom('bought', 'gone', 'counted', 'used'),
    amount: fc.integer({ min: 0, max: 20 }),
  })
  it('adds up whatever happened, in whatever order it was written down', () => {
    fc.assert(
      fc.property(fc.array(anyMove, { minLength: 1, maxLength: 14 }), fc.integer(), (events, seed) => {
        const all = events.map((e, i) => ({ ...e, id: `e${String(i).padStart(2, '0')}` }))
        const mixed = [...all].sort((a, b) => ((a.amount * 7 + seed) % 13) - ((b.amount * 7 + seed) % 13))
        const level = (list: typeof all) =>
          levelsOf(
            stock(list.flatMap((e) => (e.sort === 'used' ? [] : [move(e.id, e.at, e.sort, e.amount)]))),
            list.flatMap((e) => (e.sort === 'used' ? [used(e.id, e.at, e.amount)] : [])),
            [],
          )[0]!
        expect(level(mixed)).toEqual(level(all))
        // Counted independently: the last count, and all that came after it; of one instant a count comes last.
        const last = Math.max(-1, ...all.filter((e) => e.sort === 'counted').map((e) => e.at))
        const count = all.filter((e) => e.sort === 'counted' && e.at === last).at(-1)
        const after = all.filter((e) => e.sort !== 'counted' && e.at > last)
        const sum = after.reduce(
          (s, e) => s + (e.sort === 'bought' ? e.amount : -e.amount),
          count?.amount ?? 0,
        )
        expect(level(all).amount).toBe(sum)
      }),
    )
  })
})
