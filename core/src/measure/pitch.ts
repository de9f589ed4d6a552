import { type Parsed, refused, understood } from './result.js'
import { parseLength } from './length.js'
import { trimmed } from './print.js'
import { INCH, type Units, POUCE, systemOf } from './units.js'

const EXAMPLE = '3.0 mm, 7 spi or No. 9'
const PER_INCH = /^(\d+(?:[.,]\d+)?)\s*(?:spi|per inch|per in|tpi)$/
const NUMBERED = /^(?:no\.?|nr\.?|n°|№|#)\s*(\d+(?:[.,]\d+)?)$/

/** Distance between holes of an iron of `number`, counted per old French inch: No. 9 is 3.01 mm. */
export const pitchOfNumber = (number: number): number => POUCE / number
/** Distance between holes at `spi` stitches an inch. */
export const pitchOfSpi = (spi: number): number => INCH / spi

/** Reads the distance between holes, in mm, from `3.0 mm`, `7 spi` or `No. 9`. */
export function parsePitch(text: string): Parsed<number> {
  const written = text.trim().toLowerCase()
  if (written === '') return refused('EMPTY', text, text, EXAMPLE)
  const perInch = PER_INCH.exec(written)
  const numbered = NUMBERED.exec(written)
  const count = Number((perInch ?? numbered)?.[1]?.replace(',', '.'))
  if ((perInch ?? numbered) && !(count > 0)) return refused('TOO_SMALL', text, text.trim(), EXAMPLE)
  if (perInch) return understood(pitchOfSpi(count))
  if (numbered) return understood(pitchOfNumber(count))
  const length = parseLength(text)
  if (!length.ok) return refused(length.error.code, text, length.error.near, EXAMPLE)
  return length.value > 0 ? length : refused('TOO_SMALL', text, text.trim(), EXAMPLE)
}

/** A pitch in the maker's way of counting. */
export const printPitch = (mm: number, unit: Units): string =>
  systemOf(unit) === 'mm' ? `${trimmed(mm, 2, unit)} mm` : `${trimmed(INCH / mm, 1, unit)} spi`
