import type { Derived } from '../derived/index.js'
import { halfAcross, marginLeast } from '../formulas/index.js'
import type { RunWays } from '../stitch/index.js'
import { diameterOf, needleFor } from '../stores/index.js'

/** What makes the holes of a run, and half of what one takes across the seam, mm: a slot at its slant, or a round needle. */
export interface HoleMade {
  readonly by: 'iron' | 'needle'
  readonly half: number
}

/** How a run is holed: by its own iron, or by a machine's needle, which goes with the thread. */
export function holeOf(
  { holes, iron }: Pick<RunWays, 'holes' | 'iron'>,
  { design }: Pick<Derived, 'design'>,
): HoleMade {
  return holes === 'machine'
    ? { by: 'needle', half: needleFor(diameterOf(design.thread)) / 200 }
    : { by: 'iron', half: halfAcross(iron.slotLength, (iron.slant * Math.PI) / 180) }
}

/** The least margin where a hole does not break into the bevel, mm. */
export const leastMargin = ({ half }: HoleMade): number => marginLeast(half)
