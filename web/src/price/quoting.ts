import { type Quote, nextNumber } from '@drumlin/core/ledger'
import type { Bill, Trade } from '@drumlin/core/price'
import { dayNumber, dayOf } from '@drumlin/core/schedule'
import type { Derived } from '@drumlin/core/derived'
import { figuresOf } from '@drumlin/core/overview'
import { type Units, printLength } from '@drumlin/core/measure'
import { freeId } from '../shelf/ids.js'
import { today } from '../make/makings.js'

/** What is spread or poured is in everything, and nobody asks for it. */
const SPREAD = /\b(glue|paint|dye|oil)$/

/** What a quote says besides what follows from the design and its bill. */
export interface Words {
  readonly forWhom: string
  readonly client: string | undefined
  readonly words: string
  readonly price: number
}

/** A quote of the design on the bench, numbered, with the words of today. */
export function quoteOf(
  derived: Derived,
  bill: Bill,
  { trade, quotes, unit, example }: { trade: Trade; quotes: readonly Quote[]; unit: Units; example: boolean },
  asked: Words,
): Quote {
  const day = today()
  const { width, height, full } = figuresOf(derived)
  return {
    id: freeId(
      `quote-${Date.now().toString(36)}`,
      quotes.map((q) => q.id),
    ),
    number: nextNumber(quotes, day.slice(0, 4)),
    day,
    until: dayOf(dayNumber(day)! + trade.validDays),
    job: derived.design.id,
    example,
    name: derived.design.name,
    kind: derived.kind.name,
    size: width > 0 ? `${[width, height, full].map((v) => printLength(v, unit)).join(' × ')}, closed` : '',
    ...(asked.client === undefined ? {} : { client: asked.client }),
    forWhom: asked.forWhom,
    count: bill.count,
    currency: trade.currency,
    price: asked.price,
    tax: trade.tax,
    materials: bill.lines
      .flatMap((l) => (l.sort === 'material' && !SPREAD.test(l.what) ? [l.what] : []))
      .slice(0, 60),
    words: asked.words,
    terms: trade.terms,
    maker: trade.maker,
    state: 'sent',
  }
}
