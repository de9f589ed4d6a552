import { firstOf } from '../lists/index.js'
/** Millimetres in each unit a maker writes. Exact by definition (international inch, 1959). */
export const INCH = 25.4
/** One ounce of leather weight is 1/64 in of thickness; docs/formulas.md §1. */
export const OUNCE = INCH / 64
/** One iron is 1/48 in, four thirds of an ounce; docs/formulas.md §1. */
export const IRON = INCH / 48
/** The old French inch that numbers pricking irons, as makers round it; docs/formulas.md §1. */
export const POUCE = 27.07

/** One of the two systems a measure can be told in. */
export type System = 'mm' | 'in'
/** How measures are told: all in one system, or each its own way, in the order length, thickness, area, thread. */
type Systems = System | `${System} ${System} ${System} ${System}`
/**
 * How measures are told: “mm in mm mm” has lengths in millimetres and thicknesses in ounces. A comma after them has
 * decimals written with one, “mm,” 1,4 mm and “mm” 1.4 mm; fractions of an inch have none.
 */
export type Units = Systems | `${Systems},`
/** What can be told in a system of its own. */
export const TOLD_APART = ['length', 'thickness', 'area', 'thread'] as const
export type ToldApart = (typeof TOLD_APART)[number]

/** The systems alone, and whether decimals are written with a comma. */
const bareOf = (units: Units): Systems => units.replace(',', '') as Systems
export const hasComma = (units: Units): boolean => units.endsWith(',')
/** The same units, decimals with a comma or a point. */
export const withComma = (units: Units, comma: boolean): Units =>
  comma ? `${bareOf(units)},` : bareOf(units)

/** The system one sort of measure is told in. */
export function systemOf(units: Units, what: ToldApart = 'length'): System {
  const parts = bareOf(units).split(' ') as System[]
  return parts[TOLD_APART.indexOf(what)] ?? firstOf(parts)
}

/** The same measures with one sort of them told otherwise; in one word where all are alike. */
export function withSystem(units: Units, what: ToldApart, system: System): Units {
  const all = TOLD_APART.map((one) => (one === what ? system : systemOf(units, one)))
  return withComma(all.every((s) => s === all[0]) ? system : (all.join(' ') as Units), hasComma(units))
}

/** Whether words say how measures are told. */
export const isUnits = (text: unknown): text is Units =>
  typeof text === 'string' && /^(mm|in)(( (mm|in)){3})?,?$/.test(text)

const LENGTH_UNITS: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: INCH,
  inch: INCH,
  inches: INCH,
  ft: 12 * INCH,
  yd: 36 * INCH,
  yards: 36 * INCH,
  '"': INCH,
  '″': INCH,
  '”': INCH,
}

/** Millimetres in one of `name`, or undefined where the unit is not a length. */
export const lengthUnitMaybe = (name: string): number | undefined =>
  Object.hasOwn(LENGTH_UNITS, name) ? LENGTH_UNITS[name] : undefined

/** Rounds halves away from zero at `places` decimals without binary surprises such as 1.005 becoming 1. */
export const roundTo = (value: number, places: number): number => {
  const factor = 10 ** places
  const scaled = Math.abs(value) * factor
  return (Math.sign(value) * Math.round(scaled * (1 + Number.EPSILON))) / factor
}
