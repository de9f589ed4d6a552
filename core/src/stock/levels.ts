import type { Measured, UnitPrice } from '../price/index.js'
import type { Move, Stock } from './schema.js'
import { required } from '../lists/index.js'

/** Taken by a making, when the step was done. */
export interface Used {
  readonly what: string
  readonly unit: Measured
  readonly amount: number
  readonly at: number
  readonly making: string
}

/** Wanted by a making that is not done, and from which day on. */
export interface Wanted {
  readonly what: string
  readonly unit: Measured
  readonly amount: number
  readonly making: string
  readonly day: string | undefined
}

/** One thing on the shelf. */
export interface Level {
  readonly what: string
  readonly unit: Measured
  readonly amount: number
  /** It was bought or counted at some time: what is there is known. */
  readonly known: boolean
  readonly reserved: number
  readonly low: number | undefined
  /** So much is missing for what is to be made, from that day on. */
  readonly missing: number
  readonly from: string | undefined
  readonly isLow: boolean
  /** By what is written down there would be less than nothing. */
  readonly negative: boolean
  readonly counted: number | undefined
}

type Event = { readonly at: number; readonly rank: number; readonly key: string } & (
  { readonly sets: number } | { readonly adds: number }
)
/** Of what happened at one instant: bought, then taken, then counted. */
const RANKS = { bought: 0, used: 1, gone: 1, counted: 2 } as const

function eventsOf(moves: readonly Move[], used: readonly Used[]): Event[] {
  return [
    ...moves.map((m): Event => {
      const at = { at: m.at, rank: RANKS[m.sort], key: m.id }
      return m.sort === 'counted'
        ? { ...at, sets: m.amount }
        : { ...at, adds: m.sort === 'bought' ? m.amount : -m.amount }
    }),
    ...used.map((u): Event => ({ at: u.at, rank: RANKS.used, key: u.making, adds: -u.amount })),
  ].toSorted((a, b) => a.at - b.at || a.rank - b.rank || (a.key < b.key ? -1 : a.key > b.key ? 1 : 0))
}

/** Sums of decimals come out a hair off. */
const HAIR = 1e-6
const tidy = (value: number): number => (Math.abs(value) < HAIR ? 0 : value)

/** Everything on the shelf or wanted from it, by name; the order in which things were written down does not matter. */
export function levelsOf({ moves, low }: Stock, used: readonly Used[], wanted: readonly Wanted[]): Level[] {
  const units = new Map<string, Measured>()
  for (const one of [...moves, ...used, ...wanted]) if (!units.has(one.what)) units.set(one.what, one.unit)
  return [...units]
    .map(([what, unit]): Level => {
      const is = (one: { what: string; unit: Measured }): boolean => one.what === what && one.unit === unit
      const own = moves.filter(is)
      const events = eventsOf(own, used.filter(is))
      const amount = tidy(events.reduce((sum, e) => ('sets' in e ? e.sets : sum + e.adds), 0))
      const asks = wanted.filter(is).toSorted((a, b) => (a.day ?? '9').localeCompare(b.day ?? '9'))
      const reserved = asks.reduce((sum, w) => sum + w.amount, 0)
      const known = own.some((m) => m.sort !== 'gone')
      let left = Math.max(0, known ? amount : 0)
      const short = asks.find((w) => (left -= w.amount) < -HAIR)
      const lowAt = low[what]
      return {
        what,
        unit,
        amount,
        known,
        reserved,
        low: lowAt,
        missing: known ? Math.max(0, tidy(reserved - Math.max(0, amount))) : reserved,
        from: short?.day,
        isLow: lowAt !== undefined && known && amount - reserved < lowAt,
        negative: known && amount < 0,
        counted:
          own.filter((m) => m.sort === 'counted').reduce((last, m) => Math.max(last, m.at), 0) || undefined,
      }
    })
    .toSorted((a, b) => a.what.localeCompare(b.what))
}

/** What was paid last for each thing, in one currency. */
export function pricesPaid({ moves }: Stock, currency: string): Readonly<Record<string, UnitPrice>> {
  const bought = moves
    .filter((m) => m.sort === 'bought' && m.price !== undefined && m.amount > 0 && m.currency === currency)
    .toSorted((a, b) => a.at - b.at)
  return Object.fromEntries(
    bought.map((m) => [
      m.what,
      { unit: m.unit, amount: m.amount, price: required(m.price, 'price') } as const,
    ]),
  )
}
