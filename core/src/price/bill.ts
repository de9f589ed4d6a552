import { nth, tupleOf } from '../lists/index.js'
import { type Reckoned, type Term, reckoner } from '../working/index.js'
import { cutsOf } from './leather.js'
import { type BillLine, MIDDLE, type PriceAsked, SOURCE, linesOf, n } from './lines.js'
import { takesAdded, takesOf } from './takes.js'
import type { Trade } from './trade.js'

/** What one of so many made together costs, and what to ask for it. */
export interface Bill {
  readonly currency: string
  readonly count: number
  readonly lines: readonly BillLine[]
  /** Materials, wear, hours and overhead. */
  readonly cost: Reckoned
  /** With margin and tax, rounded to what one says aloud. */
  readonly price: Reckoned
  readonly low: number
  readonly high: number
  /** Hours that one of them takes: at the bench, learning and drawing. */
  readonly hours: number
  /** Minutes at the bench for all of them. */
  readonly minutes: number
  readonly missing: readonly string[]
}

/** What one of so many costs and what to ask for it, line by line with its working; docs/formulas.md §23. */
export function billOf(asked: PriceAsked): Bill {
  const { derived, steps, count, trade, hides } = asked
  const cuts = cutsOf(derived, hides)
  const sheets = new Set(cuts.map((c) => c.what))
  const takes = takesAdded(steps.steps.flatMap((s) => takesOf(s, derived, count, trade)))
    .filter((t) => !sheets.has(t.what))
    .map((t) => ({ ...t, amount: t.amount / count }))
  const [middle, low, high] = tupleOf(
    [
      MIDDLE,
      { hours: 1 - trade.hoursOff, waste: -trade.wasteOff },
      { hours: 1 + trade.hoursOff, waste: trade.wasteOff },
    ],
    (at) => linesOf(asked, cuts, takes, at),
  )
  const lines = middle.lines
    .map((line, i) => ({
      ...line,
      low: nth(low.lines, i).value?.value ?? 0,
      high: nth(high.lines, i).value?.value ?? 0,
    }))
    .filter((l) => l.value === undefined || l.value.value !== 0)
  return {
    currency: trade.currency,
    count,
    lines,
    cost: middle.cost,
    price: middle.price,
    low: low.price.value,
    high: high.price.value,
    hours: middle.hours,
    minutes: steps.steps.reduce((sum, s) => sum + s.minutes.value, 0),
    missing: lines.flatMap((l) => (l.missing ? [l.missing.what] : [])),
  }
}

const sumOf = (bill: Bill, sort: BillLine['sort']): number =>
  bill.lines.reduce((sum, l) => sum + (l.sort === sort ? (l.value?.value ?? 0) : 0), 0)

/** What an hour earns at a price, in the trade’s currency: what is left of it once all but the hours is paid. */
export function earnsAt(bill: Bill, price: number, { tax }: Pick<Trade, 'tax'>): Reckoned {
  const money = (label: string, value: number): Term => n(label, value, 'money')
  return reckoner({})(
    {
      key: 'price.earns',
      label: 'an hour earns',
      formula:
        '({price} / (1 + {tax} tax) − {materials} materials − {wear} wear − {overhead} overhead) / {hours} hours',
      source: SOURCE,
      quantity: 'money',
      measured: true,
    },
    {
      price: money('price', price),
      tax: n('tax', tax),
      materials: money('materials', sumOf(bill, 'material')),
      wear: money('wear', sumOf(bill, 'wear')),
      overhead: money('overhead', sumOf(bill, 'overhead')),
      hours: n('hours', Math.round(bill.hours * 100) / 100),
    },
  )
}
