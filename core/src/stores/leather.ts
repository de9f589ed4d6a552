import { z } from 'zod'
import { colour, id, mm, name } from './parts.js'

/** The parts of a hide as they are sold. */
export const HIDE_PARTS = [
  'side',
  'shoulder',
  'double shoulder',
  'back',
  'butt',
  'belly',
  'bend',
  'skin',
] as const

/** What was measured on test pieces of this leather; lengths in mm, angles in radians. */
export const trialSchema = z.discriminatedUnion('type', [
  /** A strip folded by `angle` round an inner radius: the length it used up. */
  z.strictObject({ type: z.literal('fold'), angle: mm(0.3, 6.3), radius: mm(0, 60), used: mm(0.1, 400) }),
  /** A border cut `added` beyond the finished edge, turned over a core: where its edge landed, from the finished edge. */
  z.strictObject({ type: z.literal('turn'), added: mm(1, 80), core: mm(0, 10), landed: mm(0.5, 80) }),
  /** A border skived: what was wanted at the edge and what was left. */
  z.strictObject({ type: z.literal('skive'), wanted: mm(0, 6), left: mm(0, 6) }),
  /** A row sewn by hand through one or more layers: the thread it took without its tails. */
  z.strictObject({
    type: z.literal('thread'),
    stitches: z.number().int().min(2).max(400),
    pitch: mm(1.5, 12),
    stack: mm(0.2, 30),
    used: mm(10, 20000),
  }),
])
export type Trial = z.infer<typeof trialSchema>

const LEATHER = z.strictObject({
  id,
  name,
  tannage: z.enum(['vegetable', 'chrome', 'mixed']),
  temper: z.enum(['soft', 'medium', 'firm']),
  /** As sold: the thinnest and the thickest it may be. */
  weight: z
    .strictObject({ low: mm(0.2, 8), high: mm(0.2, 8) })
    .refine((w) => w.low <= w.high, { error: 'the low end of the weight must not be above the high end' }),
  /** As measured at several spots. */
  measured: z.array(mm(0.2, 8)).max(24),
  /** Which of these everything is reckoned with. */
  use: z.enum(['low', 'middle', 'measured', 'own']),
  /** The thickness everything is reckoned with: the maker's own where `use` says so, else it follows. */
  thickness: mm(0.2, 8),
  /** Share of the thickness, from the inner side of a bend, that keeps its length; docs/formulas.md §0. */
  neutral: z.number().min(0.3).max(0.75),
  /** The same in a turned edge, where it is pressed flat; docs/formulas.md §4. */
  turn: z.number().min(0.3).max(0.75),
  /** Thread really taken, as a multiple of what the formula says; docs/formulas.md §6. */
  threadFactor: z.number().min(0.7).max(1.5),
  /** What a skive really leaves at an edge meant to be nothing, mm. */
  atEdge: mm(0, 2),
  /** How much a face stretches once broken in, as a share of its width; docs/formulas.md §9. */
  give: z.number().min(0.001).max(0.08),
  /** How much a strip of it lengthens under the hand, along and across the backbone, as a share. */
  stretch: z.strictObject({ along: z.number().min(0).max(0.5), across: z.number().min(0).max(0.5) }),
  /** The thinnest it may be skived where it is sewn, mm. */
  bears: mm(0.1, 4),
  swatch: colour,
  trials: z.array(trialSchema).max(120),
})

interface Thick {
  readonly weight: { readonly low: number; readonly high: number }
  readonly measured: readonly number[]
  readonly use: 'low' | 'middle' | 'measured' | 'own'
  readonly thickness: number
}

const mean = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length

/** The thickness to reckon with, by the maker's choice; measured without a spot measured is the middle of what was sold. */
export function reckonedThickness({ weight, measured, use, thickness }: Thick): number {
  if (use === 'own') return thickness
  if (use === 'low') return weight.low
  // To a ten thousandth: (2.4 + 2.8) / 2 is 2.6.
  const middle = use === 'measured' && measured.length > 0 ? mean(measured) : (weight.low + weight.high) / 2
  return Math.round(middle * 10_000) / 10_000
}

/** The range a hide of it may come in, mm: what was measured where that was done, else what it is sold as. */
export const thicknessRange = ({
  weight,
  measured,
  use,
}: Omit<Thick, 'thickness'>): { low: number; high: number } =>
  use === 'measured' && measured.length > 0
    ? { low: Math.min(...measured), high: Math.max(...measured) }
    : weight

/** One leather: as sold, as measured, and the thickness to reckon with. All lengths in mm. */
export const leatherSchema = LEATHER.transform((leather) => ({
  ...leather,
  thickness: reckonedThickness(leather),
}))
export type Leather = z.infer<typeof leatherSchema>

/** What a leather of stores version 1 did not say: it was reckoned with these. */
export const LEATHER_SINCE_2 = {
  measured: [],
  use: 'own',
  threadFactor: 1,
  atEdge: 0.25,
  stretch: { along: 0.02, across: 0.05 },
  trials: [],
} as const

/** How much a face gives once broken in, by temper, and what chrome tannage adds to it; shares (J), docs/formulas.md §9. */
const GIVE = { soft: 0.018, medium: 0.015, firm: 0.008 } as const
const CHROME_GIVES = 0.007
/** What may be left under a stitch, as a share of the thickness, and never less than `LEAST` mm (J). */
const BEARS = { soft: 0.28, medium: 0.28, firm: 0.31 } as const
const LEAST = 0.35

/** What is usual of a leather of that tannage, temper and thickness (J): where a new one starts until it is tried. */
export function usualOf({ tannage, temper, thickness }: Pick<Leather, 'tannage' | 'temper' | 'thickness'>) {
  const chrome = tannage === 'chrome'
  // Loose flesh lets the middle move outwards in a fold; hard thick leather is crushed there.
  const neutral =
    chrome && temper === 'soft' && thickness >= 2.2
      ? 0.55
      : !chrome && temper === 'firm' && thickness >= 3
        ? 0.47
        : 0.5
  return {
    give: Math.round((GIVE[temper] + (chrome ? CHROME_GIVES : 0)) * 1000) / 1000,
    bears: Math.max(LEAST, Math.round(BEARS[temper] * thickness * 20) / 20),
    neutral,
    turn: neutral,
  }
}

/** A leather changed from another: what stood at what is usual of that one goes on standing at what is usual of it. */
export function followingUsual(before: Leather, now: Leather): Leather {
  const [was, is] = [usualOf(before), usualOf(now)]
  const keys = Object.keys(is) as (keyof typeof is)[]
  const followed = keys.filter((key) => now[key] === before[key] && before[key] === was[key])
  return { ...now, ...Object.fromEntries(followed.map((key) => [key, is[key]])) }
}

/** The same leather split or measured to another thickness, mm. */
export const leatherAt = (leather: Leather, thickness: number): Leather =>
  followingUsual(leather, { ...leather, use: 'own', thickness })

/** The same leather reckoned at another of its thicknesses: the middle of its weight, its thinnest, what was measured. */
export const leatherUsed = (leather: Leather, use: Leather['use']): Leather =>
  followingUsual(leather, { ...leather, use, thickness: reckonedThickness({ ...leather, use }) })

/** Whether that property of a leather is no decision: it stands at what is usual of what the leather is. */
export const isUsual = (leather: Leather, key: string): boolean => {
  const usual: Readonly<Record<string, number>> = usualOf(leather)
  return Object.hasOwn(usual, key) && usual[key] === leather[key as keyof ReturnType<typeof usualOf>]
}

/** Thinner than the thinnest spot it is sold with by more than this, a leather was split, mm. */
const SPOT = 0.15

/** What a leather was split from, mm: the middle of its weight, where its own thickness lies well under that; undefined where it is as sold. */
export const splitFrom = ({
  use,
  thickness,
  weight,
}: Pick<Leather, 'use' | 'thickness' | 'weight'>): number | undefined =>
  use === 'own' && thickness < weight.low - SPOT ? (weight.low + weight.high) / 2 : undefined
