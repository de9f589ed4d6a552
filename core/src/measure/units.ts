/** Millimetres in each unit a maker writes. Exact by definition (international inch, 1959). */
export const INCH = 25.4
/** One ounce of leather weight is 1/64 in of thickness; docs/formulas.md §1. */
export const OUNCE = INCH / 64
/** One iron is 1/48 in, four thirds of an ounce; docs/formulas.md §1. */
export const IRON = INCH / 48
/** The old French inch that numbers pricking irons, as makers round it; docs/formulas.md §1. */
export const POUCE = 27.07

export type LengthUnit = 'mm' | 'in'

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
