/** Post that is left for setting over a stack, the stack pressed to a share of itself; docs/formulas.md §12 [12.04]. */
export const postLength = (stack: number, pressed: number, setting: number): number =>
  stack * pressed + setting

/** Shank that becomes a dome on a burr, by volume; §12 [12.01]. */
export const domeShank = (shank: number, head: number, height: number): number =>
  (4 * ((Math.PI * height * ((3 * head ** 2) / 4 + height ** 2)) / 6)) / (Math.PI * shank ** 2)

/** Shank that is lost in a hole wider than itself: it is driven out to fill it, all through the stack; §12 [12.02]. */
export const shankInHole = (stack: number, shank: number, hole: number): number =>
  stack * ((hole / shank) ** 2 - 1)

/** Tube that curls into a flange; §12 [12.03]. */
export const curlLength = (tube: number, flange: number): number => (Math.PI * (flange - tube)) / 4

export interface Moulding {
  readonly height: number
  /** Slope of the wall to the table, radians. */
  readonly slope: number
  readonly topRadius: number
  readonly footRadius: number
  readonly thickness: number
  readonly neutral: number
}

/** What a panel needs over its footprint to be wet-formed, flanges and trim apart; §11 [11.01]. */
export function mouldingExtra({
  height,
  slope,
  topRadius,
  footRadius,
  thickness,
  neutral,
}: Moulding): number {
  const foot = Math.max(footRadius, thickness)
  const half = Math.tan(slope / 2)
  return (
    2 * height * half +
    2 * (topRadius + foot) * (slope - 2 * half) +
    2 * slope * (2 * neutral - 1) * thickness
  )
}

export interface Turning {
  /** Stiffness of the leather, N/mm². */
  readonly modulus: number
  readonly poisson: number
  readonly thickness: number
  readonly girth: number
  readonly opening: number
}

/** How hard a bag is to turn: fold radius in the opening, strain, pull in N; §13 [13.01]. */
export function turning({ modulus, poisson, thickness, girth, opening }: Turning) {
  const stiffness = (modulus * thickness ** 3) / (12 * (1 - poisson ** 2))
  const radius = opening ** 2 / (4 * Math.PI) / (2 * girth)
  return {
    stiffness,
    radius,
    strain: thickness / (2 * radius),
    pull: (girth * stiffness) / (2 * radius ** 2),
  }
}

/** Square feet to square decimetres, exact; §14. */
export const SQUARE_FOOT_DM2 = 9.290304

/** Leather to buy for a net area, dm²; §14 [14.03]. */
export const areaToBuy = (net: number, nesting: number, quality: number, edgeLoss: number): number =>
  net / (nesting * quality * (1 - edgeLoss))

/**
 * Share of a hide of that perimeter (mm) and area (mm²) that pieces of side `side` lose along its edge, on average over
 * how they are placed; §14 [14.02].
 */
export const edgeLoss = (perimeter: number, area: number, side: number): number =>
  ((2 / Math.PI) * perimeter * side) / area - (side * side) / area
