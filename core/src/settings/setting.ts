import { type ZodType, z } from 'zod'
import type { Choice, Field } from './fields.js'

/** What every setting knows: its name, what it may be, what is usual, and how it stands in a sentence at its place. */
export interface Setting<Value> {
  readonly label: string
  readonly schema: ZodType<Value>
  readonly usual: Value
  readonly field: (id: string, path: readonly string[]) => Field
  /** With which other setting its usual value goes, until the maker writes one. */
  readonly goes?: Goes
}

/** The usual value goes with a power of another length, as far as that is smaller than usual, and is no less than so much. */
export interface Goes {
  readonly with: string
  readonly power: number
  readonly min: number
}

interface LengthExtras {
  /** What an arrow key changes it by, mm. */
  readonly step?: number
  readonly hint?: string
  /** By how much either way it may be moved where holes or thickness ask for it, mm. */
  readonly mayMove?: number
  readonly goes?: Goes
}

/** A length from `least` to `most` mm. */
export const length = (
  label: string,
  min: number,
  max: number,
  usual: number,
  { step = 0.5, goes, ...more }: LengthExtras = {},
): Setting<number> => ({
  label,
  usual,
  schema: z.number().min(min).max(max),
  field: (id, path) => ({ type: 'length', id, label, path, min, max, step, ...more }),
  ...(goes ? { goes } : {}),
})

/** A whole number of things. */
export const count = (
  label: string,
  min: number,
  max: number,
  usual: number,
  hint?: string,
): Setting<number> => ({
  label,
  usual,
  schema: z.number().int().min(min).max(max),
  field: (id, path) => ({ type: 'count', id, label, path, min, max, ...(hint ? { hint } : {}) }),
})

const figure =
  (type: 'share' | 'percent' | 'pace') =>
  (label: string, min: number, max: number, usual: number, step: number, hint?: string): Setting<number> => ({
    label,
    usual,
    schema: z.number().min(min).max(max),
    field: (id, path) => ({ type, id, label, path, min, max, step, ...(hint ? { hint } : {}) }),
  })

/** A plain number; what it counts, its label says. `step` is what an arrow key changes it by. */
export const number = figure('share')
/** A share of one that is written in per cent. */
export const percent = figure('percent')
/** Seconds a stitch; a maker may also say how much is sewn in an hour. */
export const pace = figure('pace')
/** A share of one, from nothing to `most`. */
export const share = (label: string, usual: number, hint: string, max = 1, step = 0.05): Setting<number> =>
  number(label, 0, max, usual, step, hint)

type Offer<Value extends string> = readonly [value: Value, label: string, why: string]

/** One of several ways; each as value, label and the reason to take it. */
export const choice = <const Value extends string>(
  label: string,
  usual: NoInfer<Value>,
  offers: readonly Offer<Value>[],
): Setting<Value> => {
  const values = offers.map(([value]) => value)
  return {
    label,
    usual,
    schema: z.enum(values),
    field: (id, path) => ({ type: 'choice', id, label, path, choices: offers.map(choiceOf) }),
  }
}
const choiceOf = ([value, label, why]: Offer<string>): Choice => ({ value, label, why })

/** The same choice where only some of its ways suit; a design that has another keeps it. */
export const offering = <Value>(setting: Setting<Value>, values: readonly string[]): Setting<Value> => ({
  ...setting,
  field: (id, path) => {
    const field = setting.field(id, path)
    return field.type === 'choice'
      ? { ...field, choices: field.choices.filter((c) => values.includes(c.value)) }
      : field
  },
})
