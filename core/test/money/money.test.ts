import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { coinsOf, moneySaid, readMoney, toCoin } from '@drumlin/core/money'

describe('money', () => {
  it.each([
    [1.005, 'EUR', 1.01],
    [2.675, 'EUR', 2.68],
    [-1.005, 'EUR', -1.01],
    [1234.5, 'JPY', 1235],
    [0.0049, 'EUR', 0],
  ])('%d %s to the coin is %d', (value, currency, coin) => {
    expect(toCoin(value, currency)).toBe(coin)
  })

  it.each([
    ['12.50', 'EUR', 12.5],
    ['12,50', 'EUR', 12.5],
    ['€ 12,5', 'EUR', 12.5],
    ['1 234,50', 'EUR', 1234.5],
    ['1.234,50', 'EUR', 1234.5],
    ['1,234.50', 'EUR', 1234.5],
    ['1’234.50 CHF', 'CHF', 1234.5],
    ['1.234.567', 'EUR', 1234567],
    ['30', 'JPY', 30],
    ['0', 'EUR', 0],
  ])('“%s” is read', (text, currency, value) => {
    expect(readMoney(text, currency)).toEqual({ ok: true, value })
  })

  it.each([
    ['', 'No sum is given'],
    ['1.234', 'can be 1234 or 1.234'],
    ['1,234', 'can be 1234 or 1.234'],
    ['-3', 'less than nothing'],
    ['twelve', 'is no sum of money'],
    ['12.5.3', 'too many points'],
    ['1,23.456', 'is no sum of money'],
    ['12.505', 'can be 12505 or 12.505'],
    ['1234.505', 'finer than the smallest coin'],
    ['99999999', 'look at the noughts'],
  ])('“%s” is asked about in words', (text, why) => {
    const read = readMoney(text, 'EUR')
    expect(read.ok ? '' : read.why).toContain(why)
  })

  it('what is said in any country is read again as it was', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 9_000_000 }),
        fc.constantFrom('en-GB', 'de-DE', 'fr-FR', 'sv-SE', 'de-CH', 'pl-PL'),
        fc.constantFrom('EUR', 'GBP', 'CHF', 'SEK', 'JPY'),
        (cents, locale, currency) => {
          const value = cents / 10 ** coinsOf(currency)
          const said = moneySaid(value, currency, locale).replace(/[a-zł]+/gi, '')
          const read = readMoney(said, currency)
          // “¥1,234” and “1.234 ¥” could be either: asked about, never read as something else.
          if (read.ok) expect(read.value).toBe(value)
          else expect(read.why).toContain('can be')
        },
      ),
    )
  })
})
