/** Judgement values of the bench for turned edges (J); docs/formulas.md §4. Lengths in mm. */
export const TURNING = {
  /** How far leather stretches or gathers at an edge without being cut, as a share. */
  strain: 0.12,
  /** Arc of finished edge one pleat takes up. */
  pleat: 2.5,
  /** Widest gap a snip may open to. */
  gap: 2,
  /** Leather left at the corner by a mitre cut, in thicknesses: with something inside, and without. */
  mitreOverCore: 1.25,
  mitreBare: 1.5,
  /** A corner is cut off at least so far outside the cut that would leave no overlap, mm. */
  mitreClear: 0.5,
  /** A turn sharper than this is a corner, not a curve, radians. */
  sharp: Math.PI / 9,
  /** A turn sharper than this is a spike nobody can turn over, radians. */
  spike: Math.PI * 0.95,
  /** Gentler than this in all, a curve needs nothing done, radians. */
  leastAngle: Math.PI / 36,
} as const
