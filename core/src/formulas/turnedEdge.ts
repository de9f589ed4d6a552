import { evaluate } from './reading.js'

/** What the bend of a turned edge costs against its outermost extent, over a core with a round edge; §4 [4.01]. */
export const TURN_COST = '(π/2 − 1) × {core} core + (π × {k} − 2) × {thickness}'
/** The same over a core cut square; §4 [4.03]. */
export const TURN_COST_SQUARE = '{core} core + (π × {k} − 2) × {thickness}'
/** From the finished edge out to the cut line; §4. */
export const TURN_ALLOWANCE = '{width} turn + {cost} round the bend'
/** From the cut edge in to the line the edge is folded to; §4 [4.02]. */
export const FOLD_TO = '{allowance} + {width}'

/** What is cut beyond the finished edge for a border `width` wide turned over a round core, mm; §4. */
export const turnAllowance = (width: number, thickness: number, core: number, k: number): number =>
  evaluate(TURN_ALLOWANCE, { width, cost: evaluate(TURN_COST, { core, k, thickness }) })

/** Edge too much (or missing) where a cut line lands round an angle; §4 [4.05]. */
export const EDGE_EXCESS = '{angle} in radians × ({allowance} + {width})'
/** How many layers lie where there was one on an outward curve; §4 [4.05]. Up to 2 pleats do it. */
export const BUNCHING = '({radius} + {allowance}) / ({radius} − {width})'
export const bunching = (radius: number, allowance: number, width: number): number =>
  evaluate(BUNCHING, { radius, allowance, width })
/** Edge still too much where V cuts stop short of the finished edge; §4 [4.06]. */
export const EXCESS_AT_ROOT = '{angle} in radians × 2 × {root}'
/** Leather left at a snip on an inward curve whose edge may stretch by a share; §4 [4.06]. */
export const SNIP_ROOT = '{strain} × {radius} / (2 + {strain})'
export const snipRoot = (radius: number, strain: number): number => evaluate(SNIP_ROOT, { radius, strain })

/** Where a mitre is cut with no overlap, from the finished corner; §4 [4.07]. */
export const MITRE = '{cost} / (2 × sine of {half} half the corner)'
/** Overlap across a mitre cut further out; §4. */
export const MITRE_OVERLAP = '2 × ({at} − {min})'

/** Thickness some way in from the cut edge of an even skive; §4 [4.04]. */
export const EVEN_SKIVE =
  '{edge} + ({thickness} − {edge}) × (the smaller of {from} and 2 × {fold}) / (2 × {fold})'
