import { bookFold, saddleStitchThread, turnAllowance } from '../formulas/index.js'
import type { Iron, Leather } from '../stores/index.js'

/** The sizes of the test pieces of one leather, mm; docs/formulas.md §15. */
export interface CouponPlan {
  /** Between the two marks of the strip that is folded. */
  readonly marks: number
  /** Radius of the rod it is folded round. */
  readonly rod: number
  /** What the fold should use up, as the leather is reckoned now. */
  readonly foldUses: number
  readonly turnWidth: number
  /** The border is cut so far beyond the finished edge. */
  readonly turnAdded: number
  readonly skiveWidth: number
  readonly stitches: number
  readonly pitch: number
  /** Thread the row should take without its tails. */
  readonly thread: number
}

/** Marks far enough apart that a hair's breadth does not matter, a rod from any pencil case (J). */
const COUPON = { marks: 60, rod: 3, turn: 10, skive: 10, stitches: 20 } as const

export function couponPlan(leather: Leather, iron: Iron): CouponPlan {
  const { thickness: t, neutral, turn } = leather
  const stacks = Array.from({ length: COUPON.stitches + 1 }, () => 2 * t)
  return {
    marks: COUPON.marks,
    rod: COUPON.rod,
    foldUses: bookFold(2 * COUPON.rod, t, neutral),
    turnWidth: COUPON.turn,
    turnAdded: turnAllowance(COUPON.turn, t, 0, turn),
    skiveWidth: COUPON.skive,
    stitches: COUPON.stitches,
    pitch: iron.pitch,
    thread:
      saddleStitchThread({
        stitches: COUPON.stitches,
        pitch: iron.pitch,
        stacks,
        backstitches: 0,
        ends: 0,
        tail: 0,
      }) * leather.threadFactor,
  }
}
