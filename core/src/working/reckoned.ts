/** What a number counts, so that it can be printed in the maker's units; `long` by itself is told in metres or yards. */
export type Quantity = 'length' | 'long' | 'thickness' | 'count' | 'share' | 'angle'

/** A number the maker or a store gave; the end of a working. */
export interface Given {
  readonly kind: 'given'
  readonly label: string
  readonly value: number
  readonly quantity: Quantity
}

/**
 * A number with its working. `figured` is what the formula gives; `value` is what is used, which differs where the
 * maker wrote another number over it (`overridden`). `formula` names the inputs in braces, in words a maker can
 * follow with a pencil: `2 × {half} + {fold} round the fold`.
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

/** What a formula needs to know about itself to be shown. `source` is the section of docs/formulas.md. */
export interface Formula {
  readonly key: string
  readonly label: string
  readonly formula: string
  readonly source: string
  readonly quantity?: Quantity
  readonly measured?: boolean
}

type Values<I extends Readonly<Record<string, Term>>> = { readonly [K in keyof I]: number }

/** Reckons with the maker's own numbers laid over the computed ones. */
export type Reckon = <I extends Readonly<Record<string, Term>>>(
  formula: Formula,
  inputs: I,
  compute: (values: Values<I>) => number,
) => Reckoned

function valuesOf<I extends Readonly<Record<string, Term>>>(inputs: I): Values<I> {
  const values: Record<string, number> = {}
  for (const name in inputs) values[name] = inputs[name]!.value
  return values as Values<I>
}

/** How each number was computed, for those that ask what it would be with other inputs. Not part of the plain data. */
const computes = new WeakMap<Reckoned, (values: Readonly<Record<string, number>>) => number>()

/** What the number would be with these inputs; undefined for one that came from elsewhere as plain data. */
export const recomputed = (
  reckoned: Reckoned,
  values: Readonly<Record<string, number>>,
): number | undefined => computes.get(reckoned)?.(values)

/** The largest of each sort that is anything of leather: mm, pieces, shares, degrees. */
const MOST: Readonly<Record<Quantity, number>> = {
  length: 5000,
  long: 500_000,
  thickness: 500,
  count: 5000,
  share: 10,
  angle: 360,
}

/** An allowance can be nothing; what comes out wider than that is a size of something, and no less than a millimetre. */
const WIDE = 20
const LEAST = 1

/** The least and most that can be written over a number; below nothing only where the formula itself comes out there. */
export function ownRange({ quantity, figured }: Pick<Reckoned, 'quantity' | 'figured'>): {
  readonly least: number
  readonly most: number
} {
  const most = MOST[quantity]
  if (figured < 0 || quantity === 'angle') return { least: -most, most }
  return { least: quantity === 'length' && figured > WIDE ? LEAST : 0, most }
}

/** Throws where the maker's own number can't be one of its sort. */
function held(own: number, formula: Formula, figured: number): number {
  const { least, most } = ownRange({ quantity: formula.quantity ?? 'length', figured })
  if (own >= least && own <= most) return own
  throw new Error(`the ${formula.label} can be from ${least} to ${most}, not ${own}`)
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
  (formula, inputs, compute) => {
    const figured = compute(valuesOf(inputs))
    const own =
      formula.measured !== true && Object.hasOwn(overrides, formula.key) ? overrides[formula.key] : undefined
    if (own !== undefined) held(own, formula, figured)
    const reckoned: Reckoned = {
      kind: 'reckoned',
      quantity: 'length',
      ...formula,
      value: own ?? figured,
      figured,
      overridden: own !== undefined,
      inputs,
    }
    computes.set(reckoned, compute as (values: Readonly<Record<string, number>>) => number)
    return reckoned
  }
