import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { describe, expect, test } from 'vitest'
import { USUAL_TRADE } from '@drumlin/core/price'
import { run } from '../src/run.js'

const at = (path: string): string => fileURLToPath(new URL(`../../demo/${path}`, import.meta.url))
const fold = at('designs/deckhands-fold.drumlin.json')
const stores = at('stores.json')
const scratch = mkdtempSync(join(tmpdir(), 'drumlin-price-'))
const kept = (name: string, data: unknown): string => {
  const file = join(scratch, name)
  writeFileSync(file, typeof data === 'string' ? data : JSON.stringify(data))
  return file
}

describe('price', () => {
  test('line by line with its working; what has no price is said, and the exit tells it', async () => {
    const { code, out } = await run(['price', fold, '--hide', stores])
    expect(code).toBe(1)
    expect(out).toMatch(/^contact glue: no price of it is known; left out$/m)
    expect(out).toMatch(/^hours at the bench 183\.00 = 366\.0 min/m)
    expect(out).toMatch(/^learning hours/m)
    expect(out).toMatch(/^an hour earns/m)
  })
  test('with the workshop’s own prices, as data, made before, for four', async () => {
    const trade = kept('trade.json', {
      ...USUAL_TRADE,
      currency: 'GBP',
      rate: 20,
      prices: {
        'Tarn calf': { unit: 'dm²', amount: 100, price: 60 },
        'Heron goat': { unit: 'dm²', amount: 45, price: 31 },
        'thread Linen 18/3, undyed': { unit: 'mm', amount: 100_000, price: 14 },
        'contact glue': { unit: 'g', amount: 500, price: 15 },
      },
    })
    const told = async (...more: string[]) => {
      const { code, out } = await run(['price', fold, '--trade', trade, '--json', ...more])
      expect(code).toBe(0)
      return JSON.parse(out!) as {
        currency: string
        price: number
        count: number
        missing: string[]
        lines: { key: string }[]
      }
    }
    const [first, four] = [await told(), await told('--count', '4', '--again')]
    expect(first).toMatchObject({ currency: 'GBP', missing: [] })
    expect(four.count).toBe(4)
    expect(four.price).toBeLessThan(first.price)
    expect(four.lines.some((l) => l.key === 'drawing')).toBe(false)
  })
  test.each([
    [['price'], 'price needs a design file'],
    [['price', fold, '--count', '0'], '--count must be'],
    [['price', fold, '--trade', kept('no.json', 'rate: 20')], 'is no JSON'],
    [['price', fold, '--trade', kept('bad.json', { ...USUAL_TRADE, rate: -2 })], 'rate does not hold'],
    [['price', fold, '--hide', kept('hide.json', '{}')], 'hide.json'],
  ])('%j: one line that says why', async (argv, why) => {
    const { code, error } = await run(argv)
    expect(code).toBe(2)
    expect(error).toContain(why)
    expect(error!.trim().split('\n')).toHaveLength(1)
  })
})
