import { type Client, type Entry, dayOfEntry, earned, hoursBy, wasteOf } from '../../ledger/index.js'
import { type Units, decimal } from '../../measure/index.js'
import { coinsOf } from '../../money/index.js'
import { amountSaid, toldIn } from '../../price/index.js'
import type { Level, Purchase } from '../../stock/index.js'
import { csvOf } from '../csv/index.js'
import { required } from '../../lists/index.js'

/** Money as table programs read it: a point, no sign. */
const money = (value: number | undefined, currency: string | undefined): string =>
  value === undefined ? '' : value.toFixed(currency === undefined ? 2 : coinsOf(currency))

/** Every making as a row for the books of the year. `tax` is a share. */
export const yearCsv = (entries: readonly Entry[], tax: number): string =>
  csvOf([
    [
      'day',
      'what',
      'kind',
      'pieces',
      'for whom',
      'begun',
      'finished',
      'planned, hours',
      'took, hours',
      'currency',
      'asked',
      'deposit',
      'paid',
      'paid on',
      'materials',
      'an hour earned',
      'waste, per cent',
      'mistakes',
    ],
    ...hoursBy(entries).map(({ entry: e, planned, actual }) => {
      const { currency, asked, deposit, paid, paidOn, materials, mistakes } = e.record
      const waste = wasteOf([e])
      return [
        dayOfEntry(e),
        e.name,
        e.kind,
        e.count,
        e.forWhom,
        e.begun,
        e.finished ?? '',
        decimal(planned / 60, 2),
        decimal(actual / 60, 2),
        currency ?? '',
        money(asked, currency),
        money(deposit, currency),
        money(paid, currency),
        paidOn ?? '',
        money(materials, currency),
        money(earned(e, tax)?.each, currency),
        waste === undefined ? '' : decimal(100 * waste, 1),
        mistakes.map((m) => `${m.sort}: ${m.text}`).join('; '),
      ]
    }),
  ])

/** What to buy as a table. */
export const shoppingCsv = (all: readonly Purchase[], currency: string, units: Units): string =>
  csvOf([
    ['what', 'amount', 'unit', 'packs', 'pack', 'price', 'currency', 'wanted from', 'why'],
    ...all.map((p) => [
      p.what,
      decimal(p.amount / toldIn(p.unit, units).scale, 2),
      toldIn(p.unit, units).words,
      p.packs ?? '',
      p.pack === undefined ? '' : decimal(p.pack / toldIn(p.unit, units).scale, 2),
      money(p.price, currency),
      p.price === undefined ? '' : currency,
      p.from ?? '',
      p.why,
    ]),
  ])

/** The list as one takes it along. */
export const shoppingText = (all: readonly Purchase[], units: Units): string =>
  `${all
    .map(
      (p) =>
        `[ ] ${p.what}: ${amountSaid(p.amount, p.unit, units)}${p.packs === undefined ? '' : ` (${p.packs} × ${amountSaid(required(p.pack, 'pack'), p.unit, units)})`}${p.from ? `, by ${p.from}` : ''}`,
    )
    .join('\n')}\n`

/** The shelf as a table. */
export const stockCsv = (levels: readonly Level[], units: Units): string =>
  csvOf([
    ['what', 'unit', 'on the shelf', 'reserved', 'low below', 'missing', 'wanted from'],
    ...levels.map((l) => [
      l.what,
      toldIn(l.unit, units).words,
      l.known ? decimal(l.amount / toldIn(l.unit, units).scale, 2) : '',
      decimal(l.reserved / toldIn(l.unit, units).scale, 2),
      l.low === undefined ? '' : decimal(l.low / toldIn(l.unit, units).scale, 2),
      decimal(l.missing / toldIn(l.unit, units).scale, 2),
      l.from ?? '',
    ]),
  ])

/** All that is kept of a client, for whoever asks for it. */
export const clientJson = (client: Client, makings: readonly Entry[]): string =>
  `${JSON.stringify(
    {
      client,
      makings: makings.map((e) => ({
        name: e.name,
        count: e.count,
        begun: e.begun,
        finished: e.finished,
        asked: e.record.asked,
        paid: e.record.paid,
        currency: e.record.currency,
      })),
    },
    null,
    2,
  )}\n`
