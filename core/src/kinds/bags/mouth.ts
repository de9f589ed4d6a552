/** A zip stops so far short of either end of the mouth, mm. */
export const ZIP_ENDS = 12

/** A hem is sewn so far short of the edge that is turned in, and no nearer to the top than this, mm. */
const HEM = { short: 6, least: 3 } as const

/** How far below the top edge a hem of a width is sewn, mm. */
export const hemRow = (wide: number): number => Math.max(HEM.least, wide - HEM.short)
