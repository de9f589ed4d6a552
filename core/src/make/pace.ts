/**
 * How long handwork takes at an unhurried bench (J): a place to start from. Speeds mm per minute, times minutes unless
 * said; docs/formulas.md §17.
 */
export const PACE = {
  /** Cutting out with a knife along a pattern. */
  cut: 200,
  /** Laying a pattern down and taking the piece up again. */
  perPiece: 1,
  /** Skiving along an edge; deeper takes longer. */
  skive: 90,
  perSkive: 0.5,
  /** Turning an edge over: glue, fold, hammer; and each pleat or cut on the way. */
  turn: 60,
  perPleat: 0.25,
  /** Coating an edge with glue; and pressing a join together. */
  glue: 400,
  perGlue: 1,
  /** Bevelling, sanding and finishing an edge in all its passes. */
  edge: 50,
} as const

/** Minutes to skive a strip `length` mm long `depth` mm deep on each of `count` pieces. */
export const skiveMinutes = (length: number, depth: number, count: number): number =>
  count * (PACE.perSkive + (length / PACE.skive) * (1 + depth))
