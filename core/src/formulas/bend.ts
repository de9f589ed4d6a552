/**
 * Share k of the thickness, from the inner side, that keeps its length, where the leather is softer in compression than
 * in tension by `ratio` = Ec/Et; docs/formulas.md §0 [2.07].
 */
export const neutralFromStiffness = (ratio: number): number => 1 / (1 + Math.sqrt(ratio))

/** The same from a strip: `used` mm were used up by a bend of `angle` radians round an inner radius; §0. */
export const neutralFromStrip = (
  used: number,
  angle: number,
  innerRadius: number,
  thickness: number,
): number => (used / angle - innerRadius) / thickness

/** Height of the bulge that an excess of `excess` mm makes on a free span held at both ends; §0 [2.04]. */
export const bulge = (span: number, excess: number): number =>
  (2 / Math.PI) * Math.sqrt(span * excess) * (1 + (3 * excess) / (8 * span))

/** Flat length for a closed outside width, folded once over a gap; §2 [2.02]. */
export const foldedCut = (width: number, gap: number, thickness: number, neutral: number): number =>
  2 * width + (Math.PI / 2 - 1) * gap + (Math.PI * neutral - 2) * thickness

/** Length each of several layers uses up in a closed fold, innermost first; §2 [2.05]. */
export function nestedFolds(gap: number, thicknesses: readonly number[], neutral: number): readonly number[] {
  let inside = gap / 2
  return thicknesses.map((t) => {
    const length = Math.PI * (inside + neutral * t)
    inside += t
    return length
  })
}

/** Stiffness left at a groove as a share of the whole; §5 [5.03]. */
export const grooveStiffness = (thickness: number, depth: number): number =>
  ((thickness - depth) / thickness) ** 3

/** Length a narrow V groove uses up when folded by `angle`: it pivots on the root that is left; §5 [5.01]. */
export const vGrooveBend = (angle: number, thickness: number, depth: number, neutral: number): number =>
  angle * neutral * (thickness - depth)

/**
 * A half turn over two V grooves of a right angle each, `apart` mm from middle to middle: what it closes on, and how
 * thick it is outside; §5 [5.04]. Grooves twice their depth apart close flat.
 */
export const twoGrooves = (apart: number, thickness: number, depth: number) => ({
  inside: apart - 2 * depth,
  outside: apart + 2 * (thickness - depth),
  closesFlatAt: 2 * depth,
})

/** Least width of a flat groove that folds by a half turn over a gap without its lips meeting; §5 [5.02]. */
export const flatGroove = (gap: number, thickness: number, depth: number, neutral: number): number =>
  Math.PI * (gap / 2 + depth + neutral * (thickness - depth))
