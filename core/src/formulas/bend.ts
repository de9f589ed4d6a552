import { evaluate } from './reading.js'

/**
 * Length a bend uses up on the layer that keeps its length; §0. `k` is the share of the thickness, from the inner side,
 * at which that layer lies.
 */
export const BEND = '{angle} in radians × ({radius} + {k} × {thickness})'
export const bendAllowance = (angle: number, radius: number, thickness: number, k: number): number =>
  evaluate(BEND, { angle, radius, thickness, k })

/** The share k of a leather that is softer pressed than pulled by `ratio` = Ec/Et; §0 [2.07]. */
export const NEUTRAL_FROM_STIFFNESS = '1 / (1 + √{ratio})'

/** The same from a strip of which a bend round an inner radius used up `used`; §0. */
export const NEUTRAL_FROM_STRIP = '({used} / {angle} in radians − {radius}) / {thickness}'
export const neutralFromStrip = (used: number, angle: number, radius: number, thickness: number): number =>
  evaluate(NEUTRAL_FROM_STRIP, { used, angle, radius, thickness })

/** Height of the bulge that an excess makes on a free span held at both ends; §0 [2.04]. */
export const BULGE = '2/π × √({span} × {excess}) × (1 + 3 × {excess} / 8 / {span})'

/** Stiffness left at a groove as a share of the whole; §5 [5.03]. */
export const GROOVE_STIFFNESS = '(({thickness} − {depth}) / {thickness})³'

/** Length a narrow V groove uses up when folded: it pivots on the root that is left; §5 [5.01]. */
export const V_GROOVE = '{angle} in radians × {k} × ({thickness} − {depth} groove)'

/** Least width of a flat groove that folds by a half turn over a gap without its lips meeting; §5 [5.02]. */
export const FLAT_GROOVE = 'π × ({gap} / 2 + {depth} groove + {k} × ({thickness} − {depth}))'
