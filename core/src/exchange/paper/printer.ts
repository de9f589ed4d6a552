import { z } from 'zod'
import { type Units, printLength } from '../../measure/index.js'

/**
 * What a printer makes of a page: a length is printed `across` times as long over the width of its paper and `along` times
 * along its feed, and every mm down the page drifts `skew` mm to the right.
 */
export interface PrinterError {
  readonly across: number
  readonly along: number
  readonly skew: number
}
export const NO_ERROR: PrinterError = { across: 1, along: 1, skew: 0 }

/** No printer that works is further off than this share; a page printed “to fit” may be. */
const MOST = 0.15
const share = z
  .number()
  .min(1 - MOST)
  .max(1 + MOST)

/** A printer whose error was measured. */
export const printerSchema = z.strictObject({
  id: z.string().min(1).max(60),
  name: z.string().trim().min(1).max(60),
  across: share,
  along: share,
  skew: z.number().min(-0.05).max(0.05),
  /** The day it was measured, and the paper. */
  date: z.string().regex(/^\d{4}-\d{2}-\d{2}$/),
  paper: z.string().min(1).max(60),
})
export type Printer = z.infer<typeof printerSchema>

/** The rectangle on the calibration sheet, mm: across the paper, along its feed, and from corner to corner. */
export const CALIBRATION = { across: 150, along: 200, diagonal: 250 } as const

/** What was read off a calibration sheet, mm; both diagonals, or neither. */
export interface PrinterRead {
  readonly across: number
  readonly along: number
  /** From the upper left to the lower right corner, and from the upper right to the lower left. */
  readonly falling?: number
  readonly rising?: number
}

const off = (read: number, nominal: number): boolean => !(Math.abs(read / nominal - 1) <= MOST)
const per = (value: number): string => `${(100 * value).toFixed(1)} %`

/** Why a reading can’t be one of a bar of that length; nothing where it can. */
export function barProblem(
  read: number,
  nominal: number,
  which: string,
  unit: Units = 'mm',
): string | undefined {
  if (!off(read, nominal)) return undefined
  const share = Number.isFinite(read) ? per(read / nominal) : 'nothing'
  return `The bar ${which} is ${printLength(nominal, unit, 0)} long; ${printLength(read, unit, 2)} would be ${share} of it. Read it again.`
}

/** The printer’s error from what was read, or what is wrong with the readings. */
export function errorOf(read: PrinterRead, unit: Units = 'mm'): PrinterError | { readonly problem: string } {
  const { across, along, falling, rising } = read
  const problem =
    barProblem(across, CALIBRATION.across, 'across', unit) ??
    barProblem(along, CALIBRATION.along, 'along', unit)
  if (problem) return { problem }
  if (falling === undefined || rising === undefined)
    return falling === rising
      ? { across: across / CALIBRATION.across, along: along / CALIBRATION.along, skew: 0 }
      : { problem: 'Skew is read off both diagonals: write the other one too, or neither.' }
  const wrong =
    barProblem(falling, CALIBRATION.diagonal, 'falling to the right', unit) ??
    barProblem(rising, CALIBRATION.diagonal, 'rising to the right', unit)
  if (wrong) return { problem: wrong }
  // (w + d)² + h² and (w − d)² + h²: their difference is 4 × w × d, d the drift over the height.
  const drift = (falling ** 2 - rising ** 2) / (4 * across)
  return {
    across: across / CALIBRATION.across,
    along: along / CALIBRATION.along,
    skew: drift / CALIBRATION.along,
  }
}

/** A page made smaller both ways alike was printed “to fit”, not by a printer that errs. */
const FIT = { least: 0.02, alike: 0.004 } as const

/** Whether a page was printed “to fit” instead of at its size: it is as much too small both ways. */
export const toFit = ({ across, along }: Pick<PrinterError, 'across' | 'along'>): boolean =>
  1 - across > FIT.least && Math.abs(across - along) < FIT.alike

/** A bar of 100 mm may come out so much longer or shorter before a pattern is thrown away, mm (J). */
const BAR_LETS = 0.3

/** What a bar of 100 mm read off a print says of it; nothing where it is true. */
export function barSaid(read: number, unit: Units = 'mm'): string | undefined {
  const wrong = barProblem(read, 100, 'on the cover', unit)
  if (wrong) return wrong
  const by = read - 100
  if (Math.abs(by) <= BAR_LETS) return undefined
  const far = `The print is ${per(Math.abs(by) / 100)} too ${by < 0 ? 'small' : 'large'}: throw it away.`
  return -by > 100 * FIT.least
    ? `${far} So much is “fit to page”: print it at 100 %, or “actual size”.`
    : `${far} Measure the printer, and print it made true.`
}
