import { INCH } from '../measure/index.js'

/** What a measuring device told: a length in mm or a weight in grams, and whether it holds its display. */
export interface DeviceReading {
  readonly what: 'length' | 'weight'
  readonly value: number
  readonly held: boolean
}

/** A line of a device as it was read, or a sentence that says what is wrong with it. */
export type LineRead =
  { readonly ok: true; readonly reading: DeviceReading } | { readonly ok: false; readonly why: string }

/** In its own unit a device counts in mm or grams. */
const UNITS: Readonly<Record<string, { readonly what: DeviceReading['what']; readonly factor: number }>> = {
  mm: { what: 'length', factor: 1 },
  cm: { what: 'length', factor: 10 },
  in: { what: 'length', factor: INCH },
  inch: { what: 'length', factor: INCH },
  '"': { what: 'length', factor: INCH },
  g: { what: 'weight', factor: 1 },
  kg: { what: 'weight', factor: 1000 },
  oz: { what: 'weight', factor: 28.349523125 },
}

/** No caliper opens wider, no bench scale carries more: mm and grams. */
const MOST: Readonly<Record<DeviceReading['what'], number>> = { length: 5000, weight: 50_000 }

const LINE = /^(?<hold>H\b|HOLD\b)?\s*(?<sign>[+-])?\s*(?<number>\d+(?:[.,]\d+)?)\s*(?<unit>[a-z"]+)?$/i

const shown = (line: string): string => (line.length > 24 ? `${line.slice(0, 24)} …` : line)

/**
 * Reads a line as digital calipers, thickness gauges and scales send it: “+  85.41 mm”, “H 2.38mm”, “3.3626 in”,
 * “123.4 g”. A number without a unit is taken in the unit the device is said to be set to.
 */
export function readLine(line: string, bare: 'mm' | 'in' | 'g'): LineRead {
  const said = line.trim()
  const { hold, sign, number, unit } = LINE.exec(said)?.groups ?? {}
  if (number === undefined)
    return {
      ok: false,
      why: `“${shown(said)}” is no reading. A number and its unit were expected, as in 85.41 mm.`,
    }
  const of = UNITS[(unit ?? bare).toLowerCase()]
  if (!of)
    return {
      ok: false,
      why: `“${shown(said)}” has a unit that is not known. It may be mm, cm, in, g, kg or oz.`,
    }
  const value = Number(number.replace(',', '.')) * of.factor * (sign === '-' ? -1 : 1)
  if (Math.abs(value) > MOST[of.what])
    return {
      ok: false,
      why: `“${shown(said)}” is more than any such device reads. Is it set to another unit?`,
    }
  // A jaw that was zeroed elsewhere tells less than nothing.
  if (value < 0)
    return {
      ok: false,
      why: `“${shown(said)}” is less than nothing: set the device to zero, and read again.`,
    }
  return { ok: true, reading: { what: of.what, value, held: hold !== undefined } }
}
