/** Thread of `lea` count and `plies` strands of linen in tex (g/km), before twist and wax; docs/formulas.md §1. */
export const texOfLinen = (lea: number, plies: number): number => (1653.5 * plies) / lea
/** Metric ticket number to tex. */
export const texOfTicket = (ticket: number): number => 3000 / ticket

/**
 * Diameter in mm of a thread of `tex` g/km, `density` g/cm³, whose fibres fill `packing` (0 to 1) of its section;
 * docs/formulas.md §1.
 */
export const threadDiameter = (tex: number, density: number, packing: number): number =>
  Math.sqrt((4e-3 * tex) / (Math.PI * density * packing))
