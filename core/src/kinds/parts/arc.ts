import { ARC_ANGLE, ARC_RADIUS } from '../../formulas/index.js'
import type { Reckoned, Term } from '../../working/index.js'
import type { sizeBy } from './basics.js'

/** Radius and angle of an arc that rises so far over a span, each with its working; docs/formulas.md §10 [10.01]. */
export const arcSizes = (
  size: ReturnType<typeof sizeBy>,
  key: string,
  span: Term,
  rise: Term,
): { readonly radius: Reckoned; readonly angle: Reckoned } => ({
  radius: size(`${key}.radius`, 'radius of the arc', ARC_RADIUS, '§10', { chord: span, rise }),
  angle: size(`${key}.angle`, 'angle of the arc', ARC_ANGLE, '§10', { chord: span, rise }, 'angle'),
})
