import type { Derived } from '@drumlin/core/derived'
import { readHides } from '@drumlin/core/hide'
import { moneySaid } from '@drumlin/core/money'
import { type Bill, type Trade, USUAL_TRADE, billOf, earnsAt, tradeSchema } from '@drumlin/core/price'
import { stepsOf } from '@drumlin/core/steps'
import type { Hide } from '@drumlin/core/stores'
import { explainLine } from '@drumlin/core/working'
import { readText } from './files.js'
import type { Result } from './result.js'
import { shortly } from './words.js'
import type { PriceAsked } from './workOptions.js'

/** How prices are made, out of a file that the Price screen wrote; or one line that says what is wrong with it. */
async function tradeFrom(file: string | undefined): Promise<Trade | string> {
  if (file === undefined) return USUAL_TRADE
  const text = await readText(file)
  let data: unknown
  try {
    data = JSON.parse(text)
  } catch {
    return `drumlin: ${shortly(file)}: is no JSON; the Price screen writes such a file`
  }
  const read = tradeSchema.safeParse(data)
  if (read.success) return read.data
  const [first] = read.error.issues
  return `drumlin: ${shortly(file)}: ${shortly(first!.path.join('.') || 'the file')} does not hold (${shortly(first!.message, 120)})`
}

async function hidesFrom(file: string | undefined): Promise<readonly Hide[] | string> {
  if (file === undefined) return []
  const read = readHides(await readText(file))
  return read.ok ? read.hides : `drumlin: ${shortly(file)}: ${read.why}`
}

const asData = (bill: Bill, trade: Trade): unknown => ({
  currency: bill.currency,
  count: bill.count,
  lines: bill.lines.map((l) => ({
    key: l.key,
    what: l.what,
    sort: l.sort,
    value: l.value?.value ?? null,
    low: l.low,
    high: l.high,
    working: l.value ? explainLine(l.value, 'mm') : null,
    missing: l.missing ?? null,
  })),
  cost: bill.cost.value,
  price: bill.price.value,
  low: bill.low,
  high: bill.high,
  hours: bill.hours,
  earns: earnsAt(bill, bill.price.value, trade).value,
  missing: bill.missing,
})

/** What one of so many costs and what to ask for it; 1 where something of it has no price. */
export async function priceTold(derived: Derived, asked: PriceAsked): Promise<Result> {
  const { count, unit, json, again } = asked
  const [trade, hides] = [await tradeFrom(asked.trade), await hidesFrom(asked.hide)]
  if (typeof trade === 'string') return { code: 2, error: trade }
  if (typeof hides === 'string') return { code: 2, error: hides }
  const bill = billOf({
    derived,
    steps: stepsOf(derived, count, unit),
    count,
    trade,
    hides,
    first: !again,
    unit,
  })
  const code = bill.missing.length > 0 ? 1 : 0
  if (json) return { code, out: `${JSON.stringify(asData(bill, trade), null, 2)}\n` }
  const money = (v: number): string => moneySaid(v, trade.currency, 'en')
  const lines = bill.lines.map((l) =>
    l.value ? explainLine(l.value, unit) : `${l.what}: ${l.missing!.why}; left out`,
  )
  const all = [
    ...lines,
    explainLine(bill.cost, unit),
    explainLine(bill.price, unit),
    `between ${money(bill.low)} and ${money(bill.high)}, ${count > 1 ? `each of ${count}` : 'for one'}`,
    explainLine(earnsAt(bill, bill.price.value, trade), unit),
  ]
  return { code, out: `${all.join('\n')}\n` }
}
