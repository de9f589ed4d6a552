import type { Reckoned, Term } from '../../working/index.js'
import type { sizeBy } from './basics.js'

/** Radius and angle of an arc that rises so far over a span, each with its working; docs/formulas.md §10 [10.01]. */
export const arcSizes = (
  size: ReturnType<typeof sizeBy>,
  key: string,
  span: Term,
  rise: Term,
): { readonly radius: Reckoned; readonly angle: Reckoned } => ({
  radius: size(`${key}.radius`, 'radius of the arc', '({span}² / 4 + {rise}²) / (2 × {rise})', '§10', {
    span,
    rise,
  }),
  angle: size(
    `${key}.angle`,
    'angle of the arc',
    '4 × the angle whose tangent is (2 × {rise} / {span})',
    '§10',
    { span, rise },
    'angle',
  ),
})
