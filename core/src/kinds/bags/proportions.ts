import type { BagParams } from './params.js'

type Size = 'wide' | 'high'
/** A setting that goes with a size of the bag: by which power of it, and no smaller than so much, mm. */
interface Goes {
  readonly with: Size
  readonly power: number
  readonly least: number
}

/** Pockets and flaps go with the bag itself; what a hand takes hold of gets slimmer more slowly (J); docs/formulas.md §20. */
const GOES: Partial<Record<keyof BagParams, Goes>> = {
  handleSpan: { with: 'wide', power: 1, least: 30 },
  handleWide: { with: 'wide', power: 0.5, least: 8 },
  handleRise: { with: 'wide', power: 0.5, least: 25 },
  lap: { with: 'wide', power: 0.5, least: 15 },
  strapWide: { with: 'wide', power: 0.5, least: 10 },
  pocketWide: { with: 'wide', power: 1, least: 50 },
  pocketHigh: { with: 'high', power: 1, least: 40 },
  flapLength: { with: 'high', power: 1, least: 20 },
  topBand: { with: 'high', power: 0.5, least: 12 },
  baseLap: { with: 'high', power: 1, least: 10 },
}

/** What is proposed for a bag of this size: a small bag has small handles, straps and pockets; a large one the usual ones. Half millimetres. */
export function proportions(p: BagParams, usual: BagParams): Readonly<Record<string, number>> {
  return Object.fromEntries(
    (Object.entries(GOES) as [keyof BagParams, Goes][]).map(([field, goes]) => {
      const most = usual[field] as number
      const scaled = most * Math.min(1, p[goes.with] / usual[goes.with]) ** goes.power
      return [field, Math.min(most, Math.max(goes.least, Math.round(2 * scaled) / 2))]
    }),
  )
}
