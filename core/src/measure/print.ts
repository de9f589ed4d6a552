import { INCH, type System, type ToldApart, type Units, OUNCE, roundTo, systemOf } from './units.js'

const greatestCommonDivisor = (a: number, b: number): number =>
  b === 0 ? a : greatestCommonDivisor(b, a % b)

/** A fraction of an inch in lowest terms, to the nearest 1/`parts`: 61.9125 mm is `2 7/16`. */
export function inchFraction(mm: number, parts = 64): string {
  const count = Math.round((Math.abs(mm) / INCH) * parts)
  const sign = mm < 0 && count > 0 ? '−' : ''
  const whole = Math.floor(count / parts)
  const rest = count % parts
  if (rest === 0) return `${sign}${whole}`
  const divisor = greatestCommonDivisor(rest, parts)
  const fraction = `${rest / divisor}/${parts / divisor}`
  return `${sign}${whole === 0 ? '' : `${whole} `}${fraction}`
}

/** A number with `places` decimals and a true minus sign; -0 prints as 0. */
export const decimal = (value: number, places = 1): string => {
  const rounded = roundTo(value, places)
  return `${rounded < 0 ? '−' : ''}${Math.abs(rounded).toFixed(places)}`
}

/** A length in the maker's unit with its unit, `203.9 mm` or `8 1/32 in`. */
export const printLength = (mm: number, unit: Units, places = 1): string =>
  systemOf(unit) === 'mm' ? `${decimal(mm, places)} mm` : `${inchFraction(mm)} in`

/** The same without the unit, for tables and sums. */
export const printBare = (mm: number, unit: Units, places = 1): string =>
  systemOf(unit) === 'mm' ? decimal(mm, places) : inchFraction(mm)

/** The other system, shown small beside a measure. */
export const otherUnit = (unit: Units, what: ToldApart = 'length'): System =>
  systemOf(unit, what) === 'mm' ? 'in' : 'mm'

/** Thickness of leather: `1.4 mm`, or in the maker's ounces `3.5 oz`. */
export const printWeight = (mm: number, unit: Units): string =>
  `${printWeightBare(mm, unit)} ${systemOf(unit, 'thickness') === 'mm' ? 'mm' : 'oz'}`

/** The same without its unit, for where that stands beside it. */
export const printWeightBare = (mm: number, unit: Units): string =>
  systemOf(unit, 'thickness') === 'mm' ? trimmed(mm, 2) : trimmed(mm / OUNCE, 1)

/** As few decimals as say the same, at most `places`, at least one. */
export function trimmed(value: number, places: number): string {
  const text = decimal(value, places)
  return text.replace(/(\.\d+?)0+$/, '$1')
}

const YARD = 36 * INCH
const SQUARE_FOOT = (12 * INCH) ** 2

/** A long length such as that of thread: `8.6 m`, or `9.4 yd`. */
export const printLong = (mm: number, unit: Units, places = 1): string =>
  systemOf(unit, 'thread') === 'mm' ? `${decimal(mm / 1000, places)} m` : `${decimal(mm / YARD, places)} yd`

/** An area given in mm²: `24.6 dm²`, or `2.6 sq ft`. */
export const printArea = (area: number, unit: Units): string =>
  systemOf(unit, 'area') === 'mm'
    ? `${decimal(area / 10_000, 1)} dm²`
    : `${decimal(area / SQUARE_FOOT, 2)} sq ft`

/** Stitches are told by the hour at this pitch, mm. */
const PACE_PITCH = 3

/** Seconds a stitch where so many mm are sewn in an hour, at a pitch of 3 mm. */
export const secondsAStitch = (mmAnHour: number): number => (3600 * PACE_PITCH) / mmAnHour

/** What a pace in seconds a stitch comes to in an hour, at a pitch of 3 mm: `31 cm an hour`. */
export function printPace(seconds: number, unit: Units): string {
  const hour = (3600 * PACE_PITCH) / seconds
  return systemOf(unit) === 'mm'
    ? `${decimal(hour / 10, 0)} cm an hour`
    : `${decimal(hour / INCH, 0)} in an hour`
}

/** A count with its noun: `1 page`, `2 pages`. */
export const counted = (count: number, one: string, many = `${one}s`): string =>
  `${count} ${count === 1 ? one : many}`
