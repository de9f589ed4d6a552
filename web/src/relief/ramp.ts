/** From chalk through moss to slate, in even steps of lightness. */
const RAMP = [
  '#e7ebdd',
  '#d5dfd0',
  '#c3d4c3',
  '#b1c8b6',
  '#a0bdaa',
  '#8eb19d',
  '#7da691',
  '#6b9b85',
  '#599079',
  '#4b846f',
  '#447668',
  '#3d6960',
  '#365c58',
  '#2f4f51',
  '#284349',
  '#213742',
  '#1b2b3a',
] as const
/** From here on figures are written in white. */
const DARK = 9

const stepOf = (band: number, bands: number): number =>
  bands <= 1 ? 0 : Math.round((Math.min(band, bands - 1) / (bands - 1)) * (RAMP.length - 1))

/** Colour of a band between two contours, the lowest first. */
export const bandColour = (band: number, bands: number): string => RAMP[stepOf(band, bands)]!
/** The ink that can be read on it. */
export const inkOn = (band: number, bands: number): string =>
  stepOf(band, bands) >= DARK ? '#ffffff' : '#1f2d33'

/** In which band a thickness lies. */
export const bandOf = (height: number, interval: number): number => Math.floor(height / interval + 1e-6)

/** How many bands a map has whose thickest place is that thick. */
export const bandCount = (thickest: number, interval: number): number => bandOf(thickest, interval) + 1
