import { INCH, type ToldApart, type Units, OUNCE, hasComma, roundTo, systemOf, withComma } from './units.js'

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

/** Numbers in words with the decimals of these units: “2.5” stays, or is “2,5”. */
export const marked = (words: string, unit: Units): string =>
  hasComma(unit) ? words.replace(/(\d)\.(?=\d)/g, '$1,') : words

/** A number with `places` decimals and a true minus sign; -0 prints as 0. With a point where no units are told. */
export const decimal = (value: number, places = 1, unit: Units = 'mm'): string => {
  const rounded = roundTo(value, places)
  return marked(`${rounded < 0 ? '−' : ''}${Math.abs(rounded).toFixed(places)}`, unit)
}

/** A length in the maker's unit with its unit, `203.9 mm` or `8 1/32 in`. */
export const printLength = (mm: number, unit: Units, places = 1): string =>
  systemOf(unit) === 'mm' ? `${decimal(mm, places, unit)} mm` : `${inchFraction(mm)} in`

/** A distance that is less than what a rule shows: `0.17 mm`, or thousandths of an inch, `0.007 in`. */
export const printFine = (mm: number, unit: Units): string =>
  systemOf(unit) === 'mm' ? `${trimmed(mm, 2, unit)} mm` : `${decimal(mm / INCH, 3, unit)} in`

/** Two lengths that are compared, each as any length is told; finer where both would be told as the same figure. */
export function printBoth(one: number, other: number, unit: Units): readonly [string, string] {
  const finest = (mm: number): string =>
    systemOf(unit) === 'mm' ? `${trimmed(mm, 4, unit)} mm` : `${decimal(mm / INCH, 5, unit)} in`
  const tellings = [(mm: number) => printLength(mm, unit), (mm: number) => printFine(mm, unit), finest]
  const apart = tellings.find((tell) => tell(one) !== tell(other)) ?? finest
  return [apart(one), apart(other)]
}

/** The same without the unit, for tables and sums. */
export const printBare = (mm: number, unit: Units, places = 1): string =>
  systemOf(unit) === 'mm' ? decimal(mm, places, unit) : inchFraction(mm)

/** The other system, shown small beside a measure. */
export const otherUnit = (unit: Units, what: ToldApart = 'length'): Units =>
  withComma(systemOf(unit, what) === 'mm' ? 'in' : 'mm', hasComma(unit))

/** Thickness of leather: `1.4 mm`, or in the maker's ounces `3.5 oz`. */
export const printWeight = (mm: number, unit: Units): string =>
  `${printWeightBare(mm, unit)} ${systemOf(unit, 'thickness') === 'mm' ? 'mm' : 'oz'}`

/** The same without its unit, for where that stands beside it. */
export const printWeightBare = (mm: number, unit: Units): string =>
  systemOf(unit, 'thickness') === 'mm' ? trimmed(mm, 2, unit) : trimmed(mm / OUNCE, 1, unit)

/** As few decimals as say the same, at most `places`, at least one. */
export function trimmed(value: number, places: number, unit: Units = 'mm'): string {
  const text = decimal(value, places)
  return marked(text.replace(/(\.\d+?)0+$/, '$1'), unit)
}
/** As few decimals as say the same, none where it is whole. */
export const compact = (value: number, places: number, unit: Units = 'mm'): string =>
  marked(trimmed(value, places).replace(/\.0$/, ''), unit)

const YARD = 36 * INCH
const SQUARE_FOOT = (12 * INCH) ** 2

/** A long length such as that of thread: `8.6 m`, or `9.4 yd`. */
export const printLong = (mm: number, unit: Units, places = 1): string =>
  systemOf(unit, 'thread') === 'mm'
    ? `${decimal(mm / 1000, places, unit)} m`
    : `${decimal(mm / YARD, places, unit)} yd`

/** An area given in mm²: `24.6 dm²`, or `2.6 sq ft`. */
export const printArea = (area: number, unit: Units): string =>
  systemOf(unit, 'area') === 'mm'
    ? `${decimal(area / 10_000, 1, unit)} dm²`
    : `${decimal(area / SQUARE_FOOT, 2, unit)} sq ft`

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
