import { type Units, decimal, systemOf } from '../measure/index.js'
import type { Measured } from './trade.js'

/** How a material is told: its short word, the same in a working, and how many of what it is counted in one of that is. */
export interface Told {
  readonly word: string
  readonly words: string
  readonly scale: number
}

const METRIC: Readonly<Record<Measured, Told>> = {
  pieces: { word: '', words: 'pieces', scale: 1 },
  mm: { word: 'm', words: 'm', scale: 1000 },
  'dm²': { word: 'dm²', words: 'square decimetres', scale: 1 },
  g: { word: 'g', words: 'g', scale: 1 },
}
/** Thread by the yard, leather by the square foot; glue is weighed in grams everywhere. */
const IMPERIAL: Readonly<Record<Measured, Told>> = {
  ...METRIC,
  mm: { word: 'yd', words: 'yd', scale: 914.4 },
  'dm²': { word: 'sq ft', words: 'square feet', scale: 9.290304 },
}

/** How a material is told to makers who measure in millimetres or in inches. */
export const toldIn = (unit: Measured, units: Units): Told =>
  (systemOf(units, unit === 'mm' ? 'thread' : 'area') === 'in' ? IMPERIAL : METRIC)[unit]

/** “5.7 m”, “12”, “3.2 g”, “1.4 sq ft”. */
export function amountSaid(amount: number, unit: Measured, units: Units): string {
  const { word, scale } = toldIn(unit, units)
  const value = amount / scale
  const places = unit === 'pieces' || Math.abs(value) >= 100 ? 0 : 1
  return `${decimal(value, places, units)}${word ? ` ${word}` : ''}`
}
