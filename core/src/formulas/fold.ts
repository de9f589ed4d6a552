/**
 * Length a bend uses up on the layer that keeps its length: angle × (inner radius + k t). Radians and mm; `neutral` is
 * k, the share of the thickness from the inner side. docs/formulas.md §0.
 */
export const bendAllowance = (
  angle: number,
  innerRadius: number,
  thickness: number,
  neutral: number,
): number => angle * (innerRadius + neutral * thickness)

/** Flat length a round book fold uses up over a gap of `gap` mm; docs/formulas.md §2 [2.01]. */
export const bookFold = (gap: number, thickness: number, neutral: number): number =>
  bendAllowance(Math.PI, gap / 2, thickness, neutral)

export interface FoldedPair {
  readonly inner: { readonly thickness: number; readonly neutral: number }
  readonly outer: { readonly thickness: number; readonly neutral: number }
  /** Thickness of what lies between the two at the fold, mm. */
  readonly between: number
}

/** Distance between the layers that keep their length in the inner and the outer panel, mm; docs/formulas.md §2. */
export const betweenMiddles = ({ inner, outer, between }: FoldedPair): number =>
  (1 - inner.neutral) * inner.thickness + between + outer.neutral * outer.thickness

/** How much longer the outer panel is than the inner one when folded flat, mm; docs/formulas.md §2 [2.03]. */
export const foldDifference = (pair: FoldedPair): number => Math.PI * betweenMiddles(pair)
