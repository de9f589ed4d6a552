/** What a reader of the maker's writing gives back: a value, or a sentence that says what was wrong. */
export type Parsed<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly error: MeasureError }

export type MeasureErrorCode =
  | 'EMPTY'
  | 'NOT_UNDERSTOOD'
  | 'UNIT_UNKNOWN'
  | 'UNITS_DO_NOT_FIT'
  | 'NOT_FINITE'
  | 'TOO_SMALL'
  | 'OUT_OF_RANGE'
  | 'AMBIGUOUS'
  | 'TWO_SIGNS'

/** Why a measure could not be read. `near` is the piece of text that stopped the reading. */
export interface MeasureError {
  readonly code: MeasureErrorCode
  readonly text: string
  readonly near: string
  readonly example: string
}

export const understood = <T>(value: T): Parsed<T> => ({ ok: true, value })

export const refused = (
  code: MeasureErrorCode,
  text: string,
  near: string,
  example: string,
): Parsed<never> => ({
  ok: false,
  error: { code, text, near, example },
})

/** “1.234,5” as it may be meant: the last sign parts the decimals, or the first does. */
function bothWays(text: string): string {
  const last = Math.max(text.lastIndexOf('.'), text.lastIndexOf(','))
  const plain = text.slice(0, last).replace(/[.,]/g, '')
  const first = text.search(/[.,]/)
  return `${plain}.${text.slice(last + 1)}, or ${text.slice(0, first)}.${text.slice(first + 1).replace(/[.,]/g, '')}`
}

const REASONS: Record<MeasureErrorCode, (near: string) => string> = {
  EMPTY: () => 'Nothing is written here.',
  NOT_UNDERSTOOD: (near) => `“${near}” was not understood.`,
  UNIT_UNKNOWN: (near) => `“${near}” is not a unit known here.`,
  UNITS_DO_NOT_FIT: (near) => `“${near}” mixes units that do not go together.`,
  NOT_FINITE: (near) => `“${near}” divides by nothing.`,
  OUT_OF_RANGE: (near) => `“${near}” is finer or heavier than any thread that is sewn with.`,
  TWO_SIGNS: (near) =>
    `“${near}” has a point and a comma: is it ${bothWays(near)}? Write it without the sign between thousands.`,
  AMBIGUOUS: (near) => `“${near}” may be more than one size.`,
  TOO_SMALL: (near) => `“${near}” must be more than 0.`,
}

/** The sentence a maker reads, with an example that would be understood. */
export const measureSentence = (error: MeasureError): string =>
  `${REASONS[error.code](error.near)} Try ${error.example}.`
