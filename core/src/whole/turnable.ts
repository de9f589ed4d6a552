import { turning } from '../formulas/index.js'
import type { Master } from '../master/index.js'
import type { Leather } from '../stores/index.js'
import { type Reckon, type Reckoned, given } from '../working/index.js'

/** How hard a bag is to turn: A easily, B by hand, C damp and warm, D not. */
export type Ease = 'A' | 'B' | 'C' | 'D'

export interface Turnable {
  readonly rating: Ease
  /** Pull that it takes, N, and how much the leather is strained where it folds. */
  readonly pull: Reckoned
  readonly strain: number
  readonly radius: number
  readonly why: string
  /** The mouth is too small for that leather, however strong the hands. */
  readonly tooSmall: boolean
}

/** Stiffness of leather by temper, N/mm² (J); docs/formulas.md §20. */
const MODULUS = { soft: 10, medium: 30, firm: 150 } as const
const POISSON = 0.3

const WORDS: Readonly<Record<Ease, string>> = {
  A: 'turns easily',
  B: 'turns with some pulling',
  C: 'turns only damp and warm, bit by bit',
  D: 'takes strong hands, damp and warm, and may mark the grain',
}

/** The rating of a bag that is sewn inside out; undefined for one that is not. Limits (J); docs/formulas.md §20. */
export function turnableOf(
  { turning: asked }: Master,
  leathers: Readonly<Record<string, Leather>>,
  reckon: Reckon,
): Turnable | undefined {
  const leather = asked && leathers[asked.role]
  if (!asked || !leather) return undefined
  const about = turning({
    modulus: MODULUS[leather.temper],
    poisson: POISSON,
    thickness: leather.thickness,
    girth: asked.girth.value,
    opening: asked.opening.value,
  })
  const pull = reckon(
    {
      key: 'turning.pull',
      label: 'pull to turn it, newtons',
      formula:
        '{girth} round × stiffness of {t} {temper} N/mm² / (2 × {radius}²), folded to {radius} in an opening of {opening}',
      source: '§20',
      quantity: 'count',
      measured: true,
    },
    {
      girth: asked.girth,
      t: given('leather', leather.thickness, 'thickness'),
      temper: given('stiffness', MODULUS[leather.temper], 'count'),
      radius: given('fold', about.radius),
      opening: asked.opening,
    },
  )
  const { strain, radius } = about
  const tooSmall = radius < leather.thickness
  const rating: Ease =
    tooSmall || strain >= 0.25 || pull.value >= 120
      ? 'D'
      : strain >= 0.15 || pull.value >= 40
        ? 'C'
        : strain >= 0.1 || pull.value >= 10
          ? 'B'
          : 'A'
  const why = tooSmall ? 'can’t be turned: the mouth is too small' : WORDS[rating]
  return { rating, pull, strain, radius, why, tooSmall }
}
