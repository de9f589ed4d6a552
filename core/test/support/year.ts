import { derive } from '@drumlin/core/derived'
import { type Client, type Quote, begunRecord } from '@drumlin/core/ledger'
import { groupOf } from '@drumlin/core/learning'
import { type Making, type MakingRecord, makingOf } from '@drumlin/core/makings'
import { type Trade, billOf } from '@drumlin/core/price'
import { dayNumber, dayOf } from '@drumlin/core/schedule'
import { stepsOf } from '@drumlin/core/steps'
import type { Move, Stock } from '@drumlin/core/stock'
import type { Stores } from '@drumlin/core/stores'
import { demoDesign } from './all.js'
import { random } from './random.js'
import { BOUGHT, CLIENTS, TRADE, type Told, YEAR, idOf } from './yearTold.js'

/** A year of the Slip Shed, made up: what is true of its two makers is written here, and what came of it follows. */

/** What each sort of work really takes them, of what is planned; the laying out takes three minutes, not two. */
export const TRUE_PACES: Readonly<Record<string, number>> = {
  cutting: 0.9,
  skiving: 1.35,
  gluing: 1.05,
  holes: 1.2,
  sewing: 0.82,
  edges: 1.6,
  patterns: 0.95,
  hardware: 1.5,
}
export const TRUE_SET_UP = 3
export const TRUE_FIRST = 1.35

const at = (day: string, minute = 720): number => dayNumber(day)! * 86_400_000 + minute * 60_000

function stock(): Stock {
  return {
    format: 'drumlin.stock',
    version: 1,
    moves: [
      ...BOUGHT.map(([day, what, unit, amount, price, note], i): Move => ({
        id: `example-bought-${i + 1}`,
        at: at(day),
        sort: 'bought',
        what,
        unit,
        amount,
        price,
        currency: TRADE.currency,
        note,
      })),
      {
        id: 'example-counted-1',
        at: at('2026-07-01'),
        sort: 'counted',
        what: 'thread Linen 18/3, undyed',
        unit: 'mm',
        amount: 96_000,
        note: '',
      },
    ],
    low: { 'thread Linen 18/3, undyed': 50_000, 'contact glue': 100 },
  }
}

/** Minutes that a step took: the true pace, the day, the hand, now and then somebody at the door. */
function took(
  planned: MakingRecord['plan'][number],
  { first, day, next }: { first: boolean; day: number; next: () => number },
): number {
  const pace = TRUE_PACES[groupOf(planned.sort).id] ?? 1.1
  const gauss = Math.sqrt(-2 * Math.log(next() + 1e-12)) * Math.cos(2 * Math.PI * next())
  const own = (TRUE_SET_UP + pace * (planned.minutes - planned.setUp)) * (first ? TRUE_FIRST : 1)
  const visitor = next() < 0.06 ? 5 + 25 * next() : 0
  return Math.round(10 * (own * Math.exp(day + 0.12 * gauss) + visitor)) / 10
}

function made(told: Told, i: number, first: boolean, stores: Stores): Making {
  const design = demoDesign(told.job)
  const derived = derive(design)
  const count = told.count ?? 1
  const steps = stepsOf(derived, count)
  const next = random(1000 + i)
  const day = 0.06 * (next() - 0.5)
  const base = makingOf(design, {
    id: `example-making-${String(i + 1).padStart(2, '0')}`,
    count,
    forWhom: told.client ?? '',
    begun: told.begun,
    example: true,
    ...(told.due ? { due: told.due } : {}),
  })
  const record = begunRecord(base, derived, steps, TRADE)
  const finished = told.open === undefined ? dayOf(dayNumber(told.begun)! + told.days) : undefined
  const bill = billOf({
    derived,
    steps,
    count,
    trade: { ...TRADE, prices: PRICES },
    hides: stores.hides,
    first,
  })
  const cost = bill.lines.reduce(
    (sum, l) => sum + (l.sort === 'material' || l.sort === 'wear' ? (l.value?.value ?? 0) : 0),
    0,
  )
  const done = told.open === undefined ? steps.steps.length : Math.floor(told.open * steps.steps.length)
  const end = finished ?? '2026-11-27'
  return {
    ...base,
    steps: Object.fromEntries(
      record.plan.slice(0, done).map((p, k) => [
        p.id,
        {
          done: true,
          minutes: took(p, { first, day, next }),
          at: at(told.begun) + Math.round(((k + 1) / steps.steps.length) * (at(end) - at(told.begun))),
          notes: [],
          photos: [],
        },
      ]),
    ),
    record: {
      ...record,
      ...(told.client ? { client: idOf(told.client) } : {}),
      wishes: (told.wishes ?? []).map((text, k) => ({
        day: dayOf(dayNumber(told.begun)! - 6 + 3 * k),
        text,
      })),
      threads: record.threads.map((t) => ({
        ...t,
        cut: Math.round((t.reckoned * 1.15) / 100) * 100,
        left: Math.round((t.reckoned * (1.15 - 0.965 + 0.02 * (next() - 0.5))) / 10) * 10,
      })),
      hides: [
        {
          hide: `example-hide-${i + 1}`,
          name: record.leathers[0] ? design.leathers[record.leathers[0].role]!.name : 'hide',
          of: record.leathers[0] ? design.leathers[record.leathers[0].role]!.id : 'hide',
          part: ['side', 'shoulder', 'skin'][i % 3]!,
          used: Math.round((10_000 * area(bill)) / (1 - 0.36 - 0.08 * (next() - 0.5))),
          pieces: Math.round(10_000 * area(bill)),
          price: 0,
          currency: TRADE.currency,
        },
      ],
      sizes: record.sizes.map((s) => ({
        ...s,
        measured: Math.round(10 * s.reckoned * (1 + (s.strap ? 0.018 : 0) + 0.006 * (next() - 0.5))) / 10,
      })),
      bar: {
        along: Math.round(10 * (99.3 + 0.2 * next())) / 10,
        across: Math.round(10 * (99.6 + 0.2 * next())) / 10,
      },
      mistakes: (told.mistakes ?? []).map(([sort, text, mended], k) => ({
        id: `example-mistake-${i + 1}-${k + 1}`,
        day: told.begun,
        sort,
        text,
        mended,
      })),
      next: (told.next ?? []).map((n, k) => ({ id: `example-next-${i + 1}-${k + 1}`, done: false, ...n })),
      has: finished ? (told.client ?? 'sold over the counter') : '',
      wear: told.wear ? [{ day: '2026-09-01', text: told.wear }] : [],
      // Of most it was asked; of one it is asked now.
      wearAsked: told.wear !== undefined || told.begun < '2026-04-01' || told.begun > '2026-05-01',
      asked: told.paid ?? Math.round(bill.price.value),
      ...(told.client && (told.paid ?? 0) > 150 ? { deposit: Math.round((told.paid ?? 0) / 20) * 10 } : {}),
      ...(told.paid === undefined || !finished ? {} : { paid: told.paid, paidOn: finished }),
      materials: Math.round(100 * cost * count) / 100,
      ...(finished ? { finished } : {}),
    },
  }
}
/** dm² of leather in a bill, as its lines say. */
const area = (bill: ReturnType<typeof billOf>): number =>
  Math.max(
    1,
    bill.lines.reduce(
      (sum, l) => sum + (l.key.startsWith('leather.') ? (l.value?.inputs['area']?.value ?? 6) : 0),
      0,
    ),
  )
const PRICES: Trade['prices'] = Object.fromEntries(
  BOUGHT.map(([, what, unit, amount, price]) => [what, { unit, amount, price }] as const),
)

/** The books as they are served: makings without their designs, which are those of the examples. */
export function exampleBooks(stores: Stores) {
  const seen = new Set<string>()
  const makings = YEAR.map((told, i) => {
    const first = !seen.has(told.job)
    seen.add(told.job)
    const { design: _, ...rest } = made(told, i, first, stores)
    return rest
  })
  const clients = CLIENTS.map(([name, wishes, sizes]): Client => ({
    id: idOf(name),
    name,
    wishes,
    sizes,
    note: '',
    since: '2026-01-05',
    example: true,
  }))
  return { trade: TRADE, stock: stock(), clients, quotes: [] as Quote[], makings }
}
