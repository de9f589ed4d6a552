/** What bevelling takes off an edge, mm (J). */
const BEVEL = 0.5
/** Leather that must stay between the bevel and a hole, mm (J). */
const LAND = 0.5
/** A bevelled edge wants this many thicknesses of its leather to the holes (J); docs/formulas.md §7. */
const THICKNESSES = 1.5

/** The least margin where holes that take `half` on either side of the seam don’t break into the bevel, mm. */
export const marginLeast = (half: number): number => half + BEVEL

/** The margin that a maker wants for such holes in leather of this thickness, mm. */
export const marginWanted = (half: number, thickness: number): number =>
  Math.max(marginLeast(half) + LAND, THICKNESSES * thickness)
