import { printFine, printLength, printWeight } from './print.js'
import { type Units, roundTo, systemOf } from './units.js'

/** A length in the middle of words that are put together before it is known how the maker reads it, mm: `withLengths` writes it out. */
export const lengthSaid = (mm: number): string => `{${roundTo(Math.abs(mm), 3)}}`

/** The same of how thick leather is. */
export const thicknessSaid = (mm: number): string => `{${roundTo(mm, 3)} thick}`

const SAID = /\{(\d+(?:\.\d+)?)( thick)?\}/g

/** Words with the lengths in them as the maker reads them. */
export const withLengths = (words: string, unit: Units): string =>
  words.replace(SAID, (_, mm: string, thick?: string) => {
    if (thick !== undefined) return printWeight(Number(mm), unit)
    // A rule in inches shows fractions; millimetres are told to hundredths: a washer is 0.75 thick.
    return (systemOf(unit) === 'mm' ? printFine : printLength)(Number(mm), unit)
  })
