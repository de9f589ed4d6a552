/** A thing folded over itself several times the same way, panels of one flat length. Lengths in mm. */
export interface RollFold {
  /** From the tangent of one fold to the tangent of the next. */
  readonly flat: number
  readonly thickness: number
  readonly neutral: number
  /** What lies on each panel before the next comes over it, innermost first; one less than there are panels. */
  readonly contents: readonly number[]
  /** How far the first panel runs past its tangent line. */
  readonly runOut: number
}

export interface RolledPanels {
  readonly widths: readonly number[]
  readonly gaps: readonly number[]
  readonly bundle: number
}

const sum = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0)

/** Widths crease to crease of a roll fold whose last edge lies flush; docs/formulas.md §3 [3.01]. Two panels or more. */
export const rollFold = (fold: RollFold): RolledPanels =>
  foldedPanels(
    fold,
    // Each turn encloses all before it.
    fold.contents.map((_, i) => sum(fold.contents.slice(0, i + 1)) + i * fold.thickness),
  )

/** The same folded to and fro: each bend encloses what lies between its own two panels; §3 [3.02]. */
export const zFold = (fold: RollFold): RolledPanels => foldedPanels(fold, fold.contents)

function foldedPanels(
  { flat, thickness: t, neutral, contents, runOut }: RollFold,
  gaps: readonly number[],
): RolledPanels {
  const bends = gaps.map((gap) => Math.PI * (gap / 2 + neutral * t))
  const count = contents.length + 1
  const widths = Array.from({ length: count }, (_, i) => {
    if (i === 0) return runOut + flat + bends[0]! / 2
    if (i < count - 1) return flat + (bends[i - 1]! + bends[i]!) / 2
    const flush = count > 2 ? gaps[count - 3]! / 2 + t : 0
    return flat + bends[i - 1]! / 2 + flush
  })
  return { widths, gaps, bundle: count * t + sum(contents) }
}

/** How far panel 1 of a roll fold may run past the tangent line inside fold 2; §3 [3.03]. */
export const rollRunOut = (first: number, second: number, thickness: number): number =>
  Math.sqrt(((first + second + thickness) / 2) ** 2 - (thickness / 2 + Math.abs(first - second) / 2) ** 2)

/** Crease to crease width of a panel between two folds, its closed outside width held; §3 [3.05]. */
export const heldPanel = (
  width: number,
  gapA: number,
  gapB: number,
  thickness: number,
  neutral: number,
): number => width + (Math.PI / 4 - 0.5) * (gapA + gapB) + (Math.PI * neutral - 2) * thickness
