import { describe, expect, test } from 'vitest'
import { sizeRanges } from '@drumlin/core/derived'
import {
  COLUMNS,
  type Leather,
  STARTER_STORES,
  type Shelf,
  soldWeights,
  storesSchema,
  withGood,
  withoutGood,
} from '@drumlin/core/stores'
import { parseWeight } from '@drumlin/core/measure'
import { CURRENCIES, currencyOf, diameterOf, largestNote, usualOf } from '../src/stores/index.js'
import { readFileSync } from 'node:fs'
import { demo, demoWith, sizeOf, withValues } from './support/designs.js'

describe('stores', () => {
  test('starter stock and demo stores hold to their schema', () => {
    expect(storesSchema.safeParse(STARTER_STORES).success).toBe(true)
    const shipped = JSON.parse(
      readFileSync(new URL('../../demo/stores.json', import.meta.url), 'utf8'),
    ) as unknown
    expect(storesSchema.safeParse(shipped).success).toBe(true)
  })
  test.each(Object.keys(COLUMNS) as Shelf[])(
    'every column of %s is a thing its goods have, within its range',
    (shelf) => {
      for (const good of STARTER_STORES[shelf] as unknown as Record<string, unknown>[])
        for (const { key, min, max } of COLUMNS[shelf]) {
          expect(good, `${shelf} ${key}`).toHaveProperty(key)
          const value = good[key]
          if (typeof value === 'number' && min !== undefined) expect(value >= min && value <= max!).toBe(true)
        }
    },
  )
  test('putting replaces by id or adds; taking away leaves the last', () => {
    const [calf] = STARTER_STORES.leathers
    expect(withGood(STARTER_STORES, 'leathers', { ...calf!, name: 'Other' }).leathers[0]!.name).toBe('Other')
    expect(withGood(STARTER_STORES, 'leathers', { ...calf!, id: 'new' }).leathers).toHaveLength(5)
    const one = { ...STARTER_STORES, awls: STARTER_STORES.awls.slice(0, 1) }
    expect(withoutGood(one, 'awls', one.awls[0]!.id).awls).toHaveLength(1)
    expect(withoutGood(STARTER_STORES, 'awls', 'awl-fine').awls.map((a) => a.id)).toEqual(['awl-diamond'])
  })
  test('a weight written the wrong way round is refused', () => {
    const [calf] = STARTER_STORES.leathers
    const wrong = withGood(STARTER_STORES, 'leathers', { ...calf!, weight: { low: 2, high: 1 } })
    expect(storesSchema.safeParse(wrong).error!.issues[0]!.message).toContain('must not be above')
  })
  test('linen 18/3 is 0.62 mm thick', () =>
    expect(diameterOf({ ...STARTER_STORES.threads[0]!, tex: 275.5859 })).toBeCloseTo(0.6244, 4))
})

describe('notes', () => {
  test('the longest and the tallest of a currency need not be one note', () =>
    expect(largestNote(currencyOf('eur'))).toEqual({ long: 153, short: 77 }))
  test('every table has a source, and notes that lie on their long side', () => {
    for (const { source, notes } of CURRENCIES) {
      expect(source).toContain('issuing bank')
      for (const n of notes) expect(n.long).toBeGreaterThan(n.short)
    }
    expect(() => currencyOf('gold')).toThrow(/no currency “gold”/)
  })
})

describe('weight as sold', () => {
  test('the outside’s width at either end is what a hide of that end gives', () => {
    const range = sizeRanges(demo())['outside.width']!
    const ends = ['low', 'high'].map((end) =>
      sizeOf(
        demoWith(
          Object.fromEntries(
            ['outside', 'inside', 'pockets'].map((role) => [
              `leathers.${role}.thickness`,
              demo().leathers[role]!.weight[end as 'low'],
            ]),
          ),
        ),
        'outside.width',
      ),
    )
    expect([range.from, range.to]).toEqual([Math.min(...ends), Math.max(...ends)])
    expect(range.to - range.from).toBeGreaterThan(0.3)
  })
  test('a hide of one weight has no range', () => {
    const even = withValues(
      demo(),
      Object.fromEntries(
        ['outside', 'inside', 'pockets'].flatMap((role) => [
          [`leathers.${role}.weight`, { low: 1, high: 1 }],
          [`leathers.${role}.use`, 'low'],
        ]),
      ),
    )
    for (const { from, to } of Object.values(sizeRanges(even))) expect(to).toBe(from)
  })
})

describe('what is usual of a leather', () => {
  const [calf] = STARTER_STORES.leathers
  const put = (more: object): Leather =>
    withGood(STARTER_STORES, 'leathers', { ...calf!, ...more } as Leather).leathers.find(
      (l) => l.id === calf!.id,
    )!
  test('follows its tannage, temper and thickness until the maker writes over it', () => {
    const firm = put({ temper: 'firm', weight: { low: 2.4, high: 2.8 } })
    expect(firm).toMatchObject({ give: 0.008, bears: 0.8 })
    expect(put({ tannage: 'chrome', temper: 'soft' })).toMatchObject({ give: 0.025, bears: 0.4 })
    const own = withGood(STARTER_STORES, 'leathers', { ...calf!, give: 0.03 })
    const after = withGood(own, 'leathers', { ...own.leathers[0]!, temper: 'firm' })
    expect(after.leathers[0]).toMatchObject({ give: 0.03, bears: 0.45 })
  })
  test('of the starter’s leathers is what they are kept with', () => {
    for (const l of STARTER_STORES.leathers)
      expect(usualOf(l)).toMatchObject({ give: l.give, bears: l.bears })
  })
})

describe('what a shelf says of itself', () => {
  test('explains every column in one line', () => {
    for (const columns of Object.values(COLUMNS))
      for (const { key, says } of columns) {
        expect(says, key).toMatch(/^[A-Z].{6,150}\.$/)
        expect(says, key).not.toContain('\n')
      }
  })
  test('offers the weights of a tannage as they are sold: by the ounce, without a gap, each a weight that leather may have', () => {
    for (const tannage of ['vegetable', 'mixed', 'chrome'] as const) {
      const all = soldWeights(tannage)
      all.forEach(({ low, high, ticket }, i) => {
        expect(parseWeight(ticket)).toEqual({
          ok: true,
          value: { low: expect.closeTo(low, 6), high: expect.closeTo(high, 6) },
        })
        if (i > 0) expect(low).toBe(all[i - 1]!.high)
        expect(low).toBeGreaterThanOrEqual(0.2)
        expect(high).toBeLessThanOrEqual(8)
      })
    }
    expect(soldWeights('vegetable').at(-1)?.high).toBeCloseTo(4.7625, 4)
  })
})
