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

const REASONS: Record<MeasureErrorCode, (near: string) => string> = {
  EMPTY: () => 'Nothing is written here.',
  NOT_UNDERSTOOD: (near) => `“${near}” was not understood.`,
  UNIT_UNKNOWN: (near) => `“${near}” is not a unit known here.`,
  UNITS_DO_NOT_FIT: (near) => `“${near}” mixes units that do not go together.`,
  NOT_FINITE: (near) => `“${near}” divides by nothing.`,
  OUT_OF_RANGE: (near) => `“${near}” is finer or heavier than any thread that is sewn with.`,
  AMBIGUOUS: (near) => `“${near}” may be more than one size.`,
  TOO_SMALL: (near) => `“${near}” must be more than 0.`,
}

/** The sentence a maker reads, with an example that would be understood. */
export const measureSentence = (error: MeasureError): string =>
  `${REASONS[error.code](error.near)} Try ${error.example}.`
