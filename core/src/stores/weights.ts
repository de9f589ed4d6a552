import { OUNCE } from '../measure/index.js'
import type { Leather } from './leather.js'

/** A weight as leather is sold: from one whole ounce to the next, mm. */
export interface SoldWeight {
  readonly low: number
  readonly high: number
  /** As it stands on the ticket. */
  readonly ticket: string
}

/** The heaviest that is usually to be had of a tannage, ounces (J). */
const HEAVIEST: Readonly<Record<Leather['tannage'], number>> = { vegetable: 12, mixed: 9, chrome: 6 }

/** The weights in which leather of a tannage is usually sold, lightest first. */
export const soldWeights = (tannage: Leather['tannage']): SoldWeight[] =>
  Array.from({ length: HEAVIEST[tannage] - 1 }, (_, i) => ({
    low: (i + 1) * OUNCE,
    high: (i + 2) * OUNCE,
    ticket: `${i + 1}/${i + 2} oz`,
  }))
