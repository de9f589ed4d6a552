import { type NamesIn, type Values, namesIn, valueOf } from '../expression/index.js'
import { formulaOf } from '../formulas/index.js'

/** What a number counts, so that it can be printed in the maker's units; `long` by itself is told in metres or yards. */
export type Quantity = 'length' | 'long' | 'thickness' | 'count' | 'share' | 'angle' | 'money'

/** A number the maker or a store gave; the end of a working. */
export interface Given {
  readonly kind: 'given'
  readonly label: string
  readonly value: number
  readonly quantity: Quantity
}

/**
 * A number with its working. `figured` is what the formula gives; `value` is what is used, which differs where the
 * maker wrote another number over it (`overridden`). `formula` is the words a maker follows with a pencil, inputs named
 * in braces: `2 × {half} + {fold} round the fold`; the number is what these words come to and nothing else.
 */
export interface Reckoned {
  readonly kind: 'reckoned'
  readonly key: string
  readonly label: string
  readonly value: number
  readonly figured: number
  readonly overridden: boolean
  readonly quantity: Quantity
  readonly formula: string
  readonly source: string
  /** Nothing follows from it, or it is read off a drawing: no other number can be written over it. */
  readonly measured?: boolean
  readonly inputs: Readonly<Record<string, Term>>
}

export type Term = Given | Reckoned

export const given = (label: string, value: number, quantity: Quantity = 'length'): Given => ({
  kind: 'given',
  label,
  value,
  quantity,
})

/** What is said of a number besides what it comes from. `source` is the section of docs/formulas.md. */
export interface About<Words extends string = string> {
  readonly key: string
  readonly label: string
  readonly formula: Words
  readonly source: string
  readonly quantity?: Quantity
  readonly measured?: boolean
}

/** A term for every name that the words hold, and for no other where the compiler can read them. */
export type Inputs<Words extends string> = { readonly [Name in NamesIn<Words>]: Term }

/** Reckons what the words of a formula say, with the maker's own numbers laid over the computed ones. */
export type Reckon = <const Words extends string>(about: About<Words>, inputs: Inputs<Words>) => Reckoned

/** What the number would be with these inputs. */
export const recomputed = ({ formula }: Pick<Reckoned, 'formula'>, values: Values): number =>
  valueOf(formulaOf(formula), values)

/** The largest of each sort that is anything of leather: mm, pieces, shares, degrees. */
const MOST: Readonly<Record<Quantity, number>> = {
  length: 5000,
  long: 500_000,
  thickness: 500,
  count: 5000,
  share: 10,
  angle: 360,
  money: 10_000_000,
}

/** An allowance can be nothing; what comes out wider than that is a size of something, and no less than a millimetre. */
const WIDE = 20
const LEAST = 1

/** The least and most that can be written over a number; below nothing only where the formula itself comes out there. */
export function ownRange({ quantity, figured }: Pick<Reckoned, 'quantity' | 'figured'>): {
  readonly min: number
  readonly max: number
} {
  const max = MOST[quantity]
  if (figured < 0 || quantity === 'angle') return { min: -max, max }
  return { min: quantity === 'length' && figured > WIDE ? LEAST : 0, max }
}

/** Throws where the maker's own number can't be one of its sort. */
function held(own: number, about: About, figured: number): number {
  const { min, max } = ownRange({ quantity: about.quantity ?? 'length', figured })
  if (own >= min && own <= max) return own
  throw new Error(`the ${about.label} can be from ${min} to ${max}, not ${own}`)
}

/** A `Reckon` that looks in `overrides` (by key) for numbers the maker wrote over computed ones. */
export function reckoner(overrides: Readonly<Record<string, number>>): Reckon {
  const before = reckoners.get(overrides)
  if (before) return before
  const fresh = reckonerOf(overrides)
  reckoners.set(overrides, fresh)
  return fresh
}

/** The same numbers are reckoned with the same `Reckon`, so that what was made with it can be remembered. */
const reckoners = new WeakMap<Readonly<Record<string, number>>, Reckon>()

const reckonerOf =
  (overrides: Readonly<Record<string, number>>): Reckon =>
  (about, given) => {
    const inputs: Record<string, Term> = {}
    const values: Record<string, number> = {}
    for (const name of namesIn(about.formula)) {
      const term = (given as Readonly<Record<string, Term>>)[name]
      if (!term) throw new Error(`the working ${about.key} names {${name}}, which it is not given`)
      inputs[name] = term
      values[name] = term.value
    }
    const figured = recomputed(about, values)
    const own =
      about.measured !== true && Object.hasOwn(overrides, about.key) ? overrides[about.key] : undefined
    if (own !== undefined) held(own, about, figured)
    return {
      kind: 'reckoned',
      quantity: 'length',
      ...about,
      value: own ?? figured,
      figured,
      overridden: own !== undefined,
      inputs,
    }
  }
