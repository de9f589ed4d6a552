import type { Derived } from '../derived/index.js'
import type { Units } from '../measure/index.js'
import { coinsOf } from '../money/index.js'
import type { Steps } from '../steps/index.js'
import type { Hide } from '../stores/index.js'
import { type Quantity, type Reckoned, type Term, addedUp, given, reckoner } from '../working/index.js'
import type { Cut } from './leather.js'
import type { Take } from './takes.js'
import { toldIn } from './told.js'
import type { Measured, Trade } from './trade.js'

/** One line of a bill, for one piece. */
export interface BillLine {
  readonly key: string
  readonly what: string
  readonly sort: 'material' | 'wear' | 'hours' | 'overhead' | 'margin' | 'tax'
  /** Undefined where no price is known: it is left out of the sum, and said. */
  readonly value: Reckoned | undefined
  /** Between these it may come out, where something of it is only reckoned. */
  readonly low: number
  readonly high: number
  /** What has no price, and in what it is counted. */
  readonly missing: { readonly what: string; readonly unit: Measured; readonly why: string } | undefined
}

export interface PriceAsked {
  readonly derived: Derived
  /** The steps of so many made together. */
  readonly steps: Steps
  readonly count: number
  readonly trade: Trade
  /** Hides on the shelf, for what leather costs where none is chosen. */
  readonly hides: readonly Hide[]
  /** It was never made: drawing and learning count. */
  readonly first: boolean
  /** In whose units workings are told; millimetres where left out. */
  readonly unit?: Units
}

/** How hours and waste are taken: as reckoned, or at an end of their range. */
export interface Case {
  readonly hours: number
  readonly waste: number
}
export const MIDDLE: Case = { hours: 1, waste: 0 }

export const SOURCE = '§23'
export const n = (label: string, value: number, quantity: Quantity = 'share'): Term =>
  given(label, value, quantity)

/** Writes lines of money, each rounded to the smallest coin so that the lines add up as they are read. */
function writer(currency: string) {
  const reckon = reckoner({})
  const coin = coinsOf(currency) === 0 ? ', rounded' : ', to the coin'
  return (key: string, label: string, words: string, inputs: Readonly<Record<string, Term>>): Reckoned =>
    reckon<string>(
      {
        key: `price.${key}`,
        label,
        formula: `${words}${coin}`,
        source: SOURCE,
        quantity: 'money',
        measured: true,
      },
      inputs,
    )
}

type Line = Omit<BillLine, 'low' | 'high'>

function leatherLine(
  cut: Cut,
  { trade, unit = 'mm' }: Pick<PriceAsked, 'trade' | 'unit'>,
  { waste: more }: Case,
  write: ReturnType<typeof writer>,
): Line {
  const { words, scale } = toldIn('dm²', unit)
  const { what, area, laid, price } = cut
  const key = `leather.${what}`
  const line = { key, what, sort: 'material' as const }
  const written = trade.prices[what]
  if (laid && price?.currency === trade.currency)
    return {
      ...line,
      missing: undefined,
      value: write(key, what, '{cost} of the hides it is laid out on', {
        cost: n('its share', laid.cost, 'money'),
      }),
    }
  const dm2 =
    price?.currency === trade.currency
      ? price.dm2
      : written?.unit === 'dm²'
        ? written.price / written.amount
        : undefined
  if (dm2 === undefined)
    return {
      ...line,
      value: undefined,
      missing: {
        what,
        unit: 'dm²',
        why: price ? `its hides are priced in ${price.currency}` : 'no hide of it on the shelf has a price',
      },
    }
  return {
    ...line,
    missing: undefined,
    value: write(key, what, `{area} ${words} / (1 − {waste} waste) × {price} each`, {
      area: n('area', Math.round((area * 100) / scale) / 100),
      waste: n('waste', Math.min(0.95, Math.max(0, (laid?.waste ?? trade.waste) + (laid ? 0 : more)))),
      price: n('each', dm2 * scale, 'money'),
    }),
  }
}

function takeLine(
  { what, unit, amount }: Take,
  { trade, unit: units = 'mm' }: Pick<PriceAsked, 'trade' | 'unit'>,
  write: ReturnType<typeof writer>,
): Line {
  const key = `take.${what}`
  const known = trade.prices[what]
  const { words, scale } = toldIn(unit, units)
  const line = { key, what, sort: 'material' as const }
  if (known?.unit !== unit)
    return { ...line, value: undefined, missing: { what, unit, why: 'no price of it is known' } }
  return {
    ...line,
    missing: undefined,
    value: write(key, what, `{amount} ${words} / {pack} × {price}`, {
      amount: n('amount', Math.round((amount * 100) / scale) / 100),
      pack: n('in a pack', known.amount / scale),
      price: n('a pack', known.price, 'money'),
    }),
  }
}

function hourLines(asked: PriceAsked, at: Case, write: ReturnType<typeof writer>): Line[] {
  const { steps, trade, count, first } = asked
  const minutes = at.hours * steps.steps.reduce((sum, s) => sum + s.minutes.value, 0)
  const rate = n('an hour', trade.rate, 'money')
  const each = n('minutes for all', Math.round(minutes))
  const line = (key: string, what: string, words: string, inputs: Readonly<Record<string, Term>>): Line => ({
    key,
    what,
    sort: 'hours',
    missing: undefined,
    value: write(key, what, words, inputs),
  })
  const of = { each, count: n('made together', count, 'count') }
  return [
    line('bench', 'hours at the bench', '{each} min / 60 / {count} × {rate}', { ...of, rate }),
    ...(first && trade.learning > 0
      ? [
          line(
            'learning',
            'learning hours, since it is made for the first time',
            '{each} min / 60 / {count} × {learning} × {rate}',
            {
              ...of,
              learning: n('more the first time', trade.learning),
              rate,
            },
          ),
        ]
      : []),
    ...(first && trade.drawing > 0
      ? [
          line('drawing', 'hours of drawing, shared', '{drawing} h / {count} × {rate}', {
            drawing: n('hours of drawing', trade.drawing),
            count: of.count,
            rate,
          }),
        ]
      : []),
  ]
}

/** Hours that one piece takes, drawing and learning with it. */
function hoursOf({ steps, trade, count, first }: PriceAsked, at: Case): number {
  const bench = (at.hours * steps.steps.reduce((sum, s) => sum + s.minutes.value, 0)) / 60 / count
  return bench * (first ? 1 + trade.learning : 1) + (first ? trade.drawing / count : 0)
}

const terms = (lines: readonly Line[]): { term: Term }[] =>
  lines.flatMap((l) => (l.value ? [{ term: l.value }] : []))

type Write = ReturnType<typeof writer>

/** A line of a bill that is always known: keyed and sorted by one word. */
const known = <Sort extends Line['sort'] & string>(sort: Sort, what: string, value: Reckoned) => ({
  key: sort,
  what,
  sort,
  missing: undefined,
  value,
})

const hoursSaid = (hours: number): Term => n('hours', Math.round(hours * 100) / 100)

const wearLine = (hours: number, { trade }: PriceAsked, write: Write) =>
  known(
    'wear',
    'wear of blades and needles',
    write('wear', 'wear', '{hours} h × {wear}', {
      hours: hoursSaid(hours),
      wear: n('an hour', trade.wear, 'money'),
    }),
  )

/** Rent, light and tools: a share of what the work costs, or so much an hour. */
function overheadLine(work: readonly Line[], hours: number, { trade }: PriceAsked, write: Write) {
  const sum = addedUp(terms(work))
  const value =
    trade.overheadBy === 'share'
      ? write('overhead', 'overhead', `{share} × (${sum.formula})`, {
          share: n('share', trade.overhead),
          ...sum.inputs,
        })
      : write('overhead', 'overhead', '{hours} h × {each}', {
          hours: hoursSaid(hours),
          each: n('an hour', trade.overheadHour, 'money'),
        })
  return known('overhead', 'rent, light, tools', value)
}

/** Every line of a bill at one end of its range, and what they come to. */
export function linesOf(asked: PriceAsked, cuts: readonly Cut[], takes: readonly Take[], at: Case) {
  const { trade } = asked
  const write = writer(trade.currency)
  const hours = hoursOf(asked, at)
  const work: Line[] = [
    ...cuts.map((c) => leatherLine(c, asked, at, write)),
    ...takes.map((t) => takeLine(t, asked, write)),
    wearLine(hours, asked, write),
    ...hourLines(asked, at, write),
  ]
  const overhead = overheadLine(work, hours, asked, write)
  const all = addedUp(terms([...work, overhead]))
  const cost = write('cost', 'cost', all.formula, all.inputs)
  const margin = write('margin', 'margin', '{share} × {cost}', { share: n('share', trade.margin), cost })
  const tax = write('tax', 'tax', '{share} × ({cost} + {margin})', {
    share: n('tax', trade.tax),
    cost,
    margin,
  })
  const price = reckoner({})(
    {
      key: 'price.price',
      label: 'price',
      formula: '(({cost} + {margin} + {tax}) / {step}, rounded up) × {step}',
      source: SOURCE,
      quantity: 'money',
      measured: true,
    },
    { cost, margin, tax, step: n('rounded up to', trade.step, 'money') },
  )
  const lines = [...work, overhead, known('margin', 'margin', margin), known('tax', 'tax', tax)]
  return { lines, cost, price, hours }
}
