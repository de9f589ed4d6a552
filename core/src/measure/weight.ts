import { nth } from '../lists/index.js'
import { type Parsed, refused, understood } from './result.js'
import { IRON, INCH, OUNCE } from './units.js'

/** Leather thickness as sold, in mm: a single figure has `low` equal to `high`. */
export interface WeightRange {
  readonly low: number
  readonly high: number
}

/** The figure to reckon with where nothing was measured; docs/formulas.md §1. */
export const weightMiddle = (range: WeightRange): number => (range.low + range.high) / 2

const EXAMPLE = '1.6 mm, 1.6-2.0 mm, 4 oz or 4/5 oz'
const NUMBER = String.raw`(\d+(?:[.,]\d+)?|[.,]\d+)`
const PATTERN = new RegExp(`^${NUMBER}(?:\\s*(?:[-–/]|to)\\s*${NUMBER})?\\s*([a-z"]*)\\.?$`)
const UNITS: Readonly<Record<string, number>> = {
  '': 1,
  mm: 1,
  oz: OUNCE,
  ounce: OUNCE,
  ounces: OUNCE,
  iron: IRON,
  irons: IRON,
  in: INCH,
  '"': INCH,
}

const toNumber = (text: string): number => Number(text.replace(',', '.'))

/** Reads a leather weight: `4 oz`, `4/5 oz` (anywhere from 4 to 5), `1.6 mm`, `1.6-2.0 mm`, `3 irons`. */
export function parseWeight(text: string): Parsed<WeightRange> {
  const written = text.trim().toLowerCase()
  if (written === '') return refused('EMPTY', text, text, EXAMPLE)
  const match = PATTERN.exec(written)
  if (!match) return refused('NOT_UNDERSTOOD', text, text.trim(), EXAMPLE)
  const unit = Object.hasOwn(UNITS, nth(match, 3)) ? UNITS[nth(match, 3)] : undefined
  if (unit === undefined) return refused('UNIT_UNKNOWN', text, nth(match, 3), EXAMPLE)
  const first = toNumber(nth(match, 1)) * unit
  const second = match[2] === undefined ? first : toNumber(match[2]) * unit
  if (!(Math.min(first, second) > 0)) return refused('TOO_SMALL', text, text.trim(), EXAMPLE)
  return understood({ low: Math.min(first, second), high: Math.max(first, second) })
}
