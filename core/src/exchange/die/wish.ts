import { type Units, printLength } from '../../measure/index.js'

/** A steel-rule die as it is ordered. Lengths mm. */
export interface DieWish {
  /** Thickness of the rule. */
  readonly rule: number
  /** Where its cutting edge lies: in the middle of its thickness, or at its inner face. */
  readonly edge: 'middle' | 'inside'
  /** Gaps in each slot of the board, so that it holds together, and how wide they are. */
  readonly gaps: number
  readonly gapWide: number
  /** Between two rules at least: the rubber that pushes the leather out needs room. */
  readonly room: number
  /** Pieces to order a die for, by id; all of them where left out. */
  readonly pieces?: readonly string[]
}

/** As such dies usually are (J): three points of rule, its edge in the middle. */
export const USUAL_DIE: Omit<DieWish, 'pieces'> = { rule: 1.05, edge: 'middle', gaps: 4, gapWide: 8, room: 5 }

/** Between these each number of a die may be. */
export const DIE_LIMITS = {
  rule: [0.45, 3],
  gaps: [0, 12],
  gapWide: [3, 20],
  room: [2, 20],
} as const satisfies Partial<Record<keyof DieWish, readonly [number, number]>>

const WORDS: Readonly<Record<keyof typeof DIE_LIMITS, string>> = {
  rule: 'The thickness of the rule',
  gaps: 'The number of gaps',
  gapWide: 'The width of a gap',
  room: 'The room between two rules',
}

/** What is wrong with a wish, in words; nothing where a die can be made so. */
export function dieProblem(wish: DieWish, unit: Units = 'mm'): string | undefined {
  for (const [key, [min, max]] of Object.entries(DIE_LIMITS)) {
    const of = key as keyof typeof DIE_LIMITS
    const said = (n: number): string => (of === 'gaps' ? String(n) : printLength(n, unit, 2))
    if (!(wish[of] >= min && wish[of] <= max))
      return `${WORDS[of]} is between ${said(min)} and ${said(max)}; ${said(wish[of])} is not.`
  }
  return wish.pieces?.length === 0 ? 'No piece is chosen: tick those you want a die for.' : undefined
}
