import { threadDiameter } from '../formulas/index.js'
import type { Thread } from './schema.js'

/** Density of the fibre in g/cm³; docs/formulas.md §1. */
const FIBRE_DENSITY: Readonly<Record<Thread['fibre'], number>> = {
  linen: 1.5,
  cotton: 1.52,
  polyester: 1.38,
  nylon: 1.14,
}

/** Diameter of a thread in mm from its weight, fibre and packing. */
export const diameterOf = (thread: Thread): number =>
  threadDiameter(thread.tex, FIBRE_DENSITY[thread.fibre], thread.packing)
