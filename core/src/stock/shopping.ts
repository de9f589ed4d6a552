import type { UnitPrice } from '../price/index.js'
import type { Level } from './levels.js'

/** Something to buy: how much is missing, in how many packs of what was bought last, and what that costs. */
export interface Purchase {
  readonly what: string
  readonly unit: Level['unit']
  readonly amount: number
  readonly packs: number | undefined
  readonly pack: number | undefined
  readonly price: number | undefined
  readonly from: string | undefined
  readonly why: 'missing' | 'low'
}

/** What is bought before everything that is planned can be made, and what is low; the most pressing first. */
export function shoppingOf(levels: readonly Level[], paid: Readonly<Record<string, UnitPrice>>): Purchase[] {
  return levels
    .filter((l) => l.missing > 0 || l.isLow)
    .map((l): Purchase => {
      const last = paid[l.what]?.unit === l.unit ? paid[l.what] : undefined
      // Enough for what is planned, with what one likes to have in the house left over.
      const amount = l.reserved + (l.low ?? 0) - Math.max(0, l.known ? l.amount : 0)
      const packs = last ? Math.ceil(amount / last.amount - 1e-9) : undefined
      return {
        what: l.what,
        unit: l.unit,
        amount,
        packs,
        pack: last?.amount,
        price: last && packs !== undefined ? packs * last.price : undefined,
        from: l.from,
        why: l.missing > 0 ? 'missing' : 'low',
      }
    })
    .toSorted(
      (a, b) =>
        (a.from ?? '9').localeCompare(b.from ?? '9') ||
        Number(a.why === 'low') - Number(b.why === 'low') ||
        a.what.localeCompare(b.what),
    )
}
