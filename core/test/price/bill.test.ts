import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { derive } from '@drumlin/core/derived'
import {
  type Trade,
  USUAL_TRADE,
  billOf,
  earnsAt,
  takesAdded,
  takesOf,
  tradeSchema,
} from '@drumlin/core/price'
import { stepsOf } from '@drumlin/core/steps'
import { readStoresData } from '@drumlin/core/stores'
import { explainLine } from '@drumlin/core/working'
import { demoDesign, everyDesign, derivedOf } from '../support/all.js'

const { hides } = readStoresData(
  JSON.parse(readFileSync(new URL('../../../demo/stores.json', import.meta.url), 'utf8')),
)
const wallet = derive(demoDesign('deckhands-fold'))
const PRICES: Trade['prices'] = {
  'thread Linen 18/3, undyed': { unit: 'mm', amount: 250_000, price: 33 },
  'contact glue': { unit: 'g', amount: 500, price: 15.2 },
}
const bill = (count: number, to: Partial<Trade> = {}, first = false) =>
  billOf({
    derived: wallet,
    steps: stepsOf(wallet, count),
    count,
    trade: { ...USUAL_TRADE, prices: PRICES, ...to },
    hides,
    first,
  })
const line = (b: ReturnType<typeof bill>, key: string) => b.lines.find((l) => l.key === key)!

describe('a bill by pencil', () => {
  it('comes to what one reckons with a pencil, to the coin', () => {
    const b = bill(1, { tax: 0.2 })
    // Goat: 31 for 44.99 dm² of skin; 4.49 dm² of it with three tenths of waste.
    expect(line(b, 'leather.Heron goat').value!.value).toBe(4.42)
    // 5.69 m of 250 m for 33; 3.2 g of 500 g for 15.20.
    expect(line(b, 'take.thread Linen 18/3, undyed').value!.value).toBe(0.75)
    expect(line(b, 'take.contact glue').value!.value).toBe(0.1)
    // 366 minutes at 30 an hour; wear 6.11 h × 0.80.
    expect(line(b, 'bench').value!.value).toBe(183)
    expect(line(b, 'wear').value!.value).toBe(4.89)
    // 0.15 × (1.64 + 4.42 + 0.10 + 0.75 + 4.89 + 183.00) = 29.22; in all 224.02; a tenth of it 22.40.
    expect(line(b, 'overhead').value!.value).toBe(29.22)
    expect(b.cost.value).toBe(224.02)
    expect(line(b, 'margin').value!.value).toBe(22.4)
    // 0.2 × 246.42 = 49.28; 295.70 rounded up to fives.
    expect(line(b, 'tax').value!.value).toBe(49.28)
    expect(b.price.value).toBe(300)
    // (300 / 1.2 − 6.91 − 4.89 − 29.22) / 6.11
    expect(earnsAt(b, 300, { tax: 0.2 }).value).toBeCloseTo(34.2, 1)
    expect(explainLine(b.price, 'mm')).toBe(
      'price 300.00 = ((224.02 + 22.40 + 49.28) / 5.00, rounded up) × 5.00',
    )
  })

  it('the first time learning and drawing count, shared by what is made', () => {
    const [one, four] = [bill(1, {}, true), bill(4, {}, true)]
    expect(line(one, 'learning').value!.value).toBe(45.75)
    expect(line(one, 'drawing').value!.value).toBe(90)
    expect(line(four, 'drawing').value!.value).toBe(22.5)
    expect(bill(1).lines.some((l) => l.key === 'drawing' || l.key === 'learning')).toBe(false)
  })

  it('overhead by the hour, and whole coins where there are no smaller', () => {
    const b = bill(1, {
      overheadBy: 'hour',
      overheadHour: 400,
      currency: 'JPY',
      rate: 2500,
      step: 100,
      prices: {},
    })
    expect(line(b, 'overhead').value!.value).toBe(Math.round(6.11 * 400))
    for (const l of b.lines) if (l.value) expect(Number.isInteger(l.value.value)).toBe(true)
    // The hides are priced in other money: that is said, not guessed.
    expect(line(b, 'leather.Heron goat').missing?.why).toContain('priced in EUR')
  })

  it('where it is laid out, leather costs what its pieces bear of the hides', () => {
    const tote = derive(demoDesign('galley-tote'))
    const b = billOf({
      derived: tote,
      steps: stepsOf(tote),
      count: 1,
      trade: USUAL_TRADE,
      hides,
      first: false,
    })
    const side = b.lines.find((l) => l.key === 'leather.Skerry side')!
    expect(side.value!.formula).toContain('laid out on')
    expect([side.low, side.high]).toEqual([side.value!.value, side.value!.value])
  })
})

describe.each(everyDesign())('the bill of $name', ({ design }) => {
  const derived = derivedOf(design)
  const trade = { ...USUAL_TRADE, tax: 0.19 }
  it('adds up line by line, says what has no price, and more together cost less each', () => {
    const bills = [1, 4].map((count) =>
      billOf({ derived, steps: stepsOf(derived, count), count, trade, hides, first: true }),
    )
    for (const b of bills) {
      const sum = (sorts: readonly string[]): number =>
        b.lines.reduce((all, l) => all + (sorts.includes(l.sort) ? (l.value?.value ?? 0) : 0), 0)
      expect(sum(['material', 'wear', 'hours', 'overhead'])).toBeCloseTo(b.cost.value, 6)
      const all = b.lines.reduce((s, l) => s + (l.value?.value ?? 0), 0)
      expect(b.price.value).toBeGreaterThanOrEqual(all - 1e-6)
      expect(b.price.value).toBeLessThan(all + trade.step + 1e-6)
      expect(b.low).toBeLessThanOrEqual(b.price.value)
      expect(b.high).toBeGreaterThanOrEqual(b.price.value)
      for (const l of b.lines) {
        expect((l.value === undefined) === (l.missing !== undefined)).toBe(true)
        if (l.value) expect(l.low <= l.value.value + 1e-9 && l.value.value <= l.high + 1e-9, l.key).toBe(true)
      }
      // At the price it comes to, an hour earns what was wanted, the margin besides.
      expect(earnsAt(b, b.price.value, trade).value).toBeGreaterThan(trade.rate - 0.02)
    }
    expect(bills[1]!.price.value).toBeLessThanOrEqual(bills[0]!.price.value)
  })
  it('takes four times as much for four', () => {
    const takes = (count: number) =>
      takesAdded(stepsOf(derived, count).steps.flatMap((s) => takesOf(s, derived, count, trade)))
    const [one, four] = [takes(1), takes(4)]
    expect(four.map((t) => t.what)).toEqual(one.map((t) => t.what))
    for (const [i, t] of one.entries()) expect(four[i]!.amount, t.what).toBeCloseTo(4 * t.amount, 6)
  })
})

it('a trade in unknown money is refused', () => {
  expect(tradeSchema.safeParse({ ...USUAL_TRADE, currency: 'EURO' }).success).toBe(false)
  expect(tradeSchema.safeParse({ ...USUAL_TRADE, rate: -1 }).success).toBe(false)
  expect(tradeSchema.parse(USUAL_TRADE)).toEqual(USUAL_TRADE)
})
