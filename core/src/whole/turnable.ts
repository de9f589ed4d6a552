import { POISSON, STRIP_STIFFNESS, TURNING_PULL, TURNING_RADIUS, turning } from '../formulas/index.js'
import type { Master } from '../master/index.js'
import type { Leather } from '../stores/index.js'
import { type Inputs, type Quantity, type Reckon, type Reckoned, given } from '../working/index.js'

/** From which strain, and from which pull in newtons, turning a bag out is how hard; docs/formulas.md §20. */
const HARD = [
  { rating: 'D', strain: 0.25, pull: 120 },
  { rating: 'C', strain: 0.15, pull: 40 },
  { rating: 'B', strain: 0.1, pull: 10 },
] as const

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

const WORDS: Readonly<Record<Ease, string>> = {
  A: 'turns easily',
  B: 'turns with some pulling',
  C: 'turns only damp and warm, bit by bit',
  D: 'takes strong hands, damp and warm, and may mark the grain',
}

/** Newtons that it takes, told in mm whatever the maker measures in: stiffness is so many newtons to the mm². */
function pullOf(leather: Leather, girth: Reckoned, opening: Reckoned, reckon: Reckon): Reckoned {
  const inMm = (name: string, value: number) => given(`${name} in mm`, value, 'share')
  const size = <const Words extends string>(
    key: string,
    label: string,
    formula: Words,
    inputs: Inputs<Words>,
    quantity: Quantity,
  ) => reckon({ key: `turning.${key}`, label, formula, source: '§13', quantity, measured: true }, inputs)
  const stiffness = size(
    'stiffness',
    'stiffness of a strip 1 mm wide, N mm',
    STRIP_STIFFNESS,
    {
      modulus: given('N/mm²', MODULUS[leather.temper], 'share'),
      thickness: inMm('leather', leather.thickness),
      poisson: given('thinning across', POISSON, 'share'),
    },
    'share',
  )
  const radius = size(
    'radius',
    'radius it is folded to, mm',
    TURNING_RADIUS,
    { opening: inMm('opening', opening.value), girth: inMm('girth', girth.value) },
    'share',
  )
  return size(
    'pull',
    'pull to turn it, newtons',
    TURNING_PULL,
    { girth: inMm('girth', girth.value), stiffness, radius },
    'count',
  )
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
    thickness: leather.thickness,
    girth: asked.girth.value,
    opening: asked.opening.value,
  })
  const pull = pullOf(leather, asked.girth, asked.opening, reckon)
  const { strain, radius } = about
  const tooSmall = radius < leather.thickness
  const hard = HARD.find((h) => strain >= h.strain || pull.value >= h.pull)
  const rating: Ease = tooSmall ? 'D' : (hard?.rating ?? 'A')
  const why = tooSmall ? 'can’t be turned: the mouth is too small' : WORDS[rating]
  return { rating, pull, strain, radius, why, tooSmall }
}
