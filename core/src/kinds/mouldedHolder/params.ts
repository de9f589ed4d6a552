import { EDGE } from '../parts/settings.js'
import { type ParamsOf, choice, length, share, settings } from '../../settings/index.js'

/** What a maker decides about a moulded holder. Lengths in mm. */
const DECIDED = {
  ...EDGE,
  /** The thing itself, or the form made for it. */
  wide: length('width of the thing', 15, 250, 62),
  high: length('height of the thing', 20, 300, 105),
  deep: length('thickness of the thing', 3, 60, 16),
  /** Radius of the form's upper edge. */
  edge: length('radius of the form’s edge', 0, 30, 4),
  /** How much of the thing stands out of the mouth. */
  shown: length('standing out of the mouth', 0, 120, 25),
  shrink: share('shrinks in drying', 0.03, '0.02 to 0.05 for most vegetable tanned leather', 0.08, 0.005),
  rough: length('left to trim all round', 5, 30, 12),
  formed: choice('when it is formed', 'first', [
    ['first', 'the front alone, before it is sewn', 'for deep things; the back stays flat'],
    ['sewn', 'as one pouch, once it is sewn', 'for shallow things; both sides stretch over the block'],
  ]),
  hung: choice('hung by', 'loop', [
    ['loop', 'a loop through two slots in the back', 'the belt does not touch what is inside'],
    ['wings', 'the belt through a slot in each wing', 'lies close to the body; wider'],
    ['none', 'nothing', 'carried in a pocket or a bag; the smallest'],
  ]),
  belt: length('width of the belt', 10, 70, 38),
  beltThick: length('thickness of the belt', 1, 8, 4),
}
export type HolderParams = ParamsOf<typeof DECIDED>
export const HOLDER = settings(DECIDED, {
  usual: { margin: 4, corner: 10 },
  inPlay: {
    rough: (p) => p.formed === 'first',
    belt: (p) => p.hung !== 'none',
    beltThick: (p) => p.hung !== 'none',
  },
})
