/** A field of the key to a map, and a row of them with their figures, px. */
export const [LEGEND_FIELD, LEGEND_ROW] = [36, 34] as const

/** How many fields stand side by side under a map so many px wide. */
export const legendColumns = (wide: number): number => Math.max(1, Math.floor(wide / LEGEND_FIELD))

/** Rows of the key to so many bands. */
export const legendRows = (bands: number, wide: number): number => Math.ceil(bands / legendColumns(wide))
