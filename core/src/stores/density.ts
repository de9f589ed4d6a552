import type { Leather } from './leather.js'

/** Density of leather in g/cm³ (J): vegetable tanning fills it most. Weigh a piece of known size to know better. */
const LEATHER_DENSITY: Readonly<Record<Leather['tannage'], number>> = {
  vegetable: 0.95,
  mixed: 0.88,
  chrome: 0.8,
}
/** Of cloth, board and foam, taken together (J). */
const OTHER_DENSITY = 0.7

/** Density of what a piece is cut from, g/cm³. */
export const densityOf = (leather: Leather | undefined): number =>
  leather ? LEATHER_DENSITY[leather.tannage] : OTHER_DENSITY
