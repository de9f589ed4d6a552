/**
 * Diameter in mm of a thread of `tex` g/km, `density` g/cm³, whose fibres fill `packing` (0 to 1) of its section;
 * docs/formulas.md §1.
 */
export const threadDiameter = (tex: number, density: number, packing: number): number =>
  Math.sqrt((4e-3 * tex) / (Math.PI * density * packing))
