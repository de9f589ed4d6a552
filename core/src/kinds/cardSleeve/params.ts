import { EDGE } from '../parts/settings.js'
import { PILE_IN_PLAY, POCKETS } from '../pockets/index.js'
import { type ParamsOf, choice, count, settings } from '../../settings/index.js'

/** What a maker decides about a card sleeve. Lengths in mm. */
const DECIDED = {
  pockets: count('card pockets a side', 1, 4, 2),
  ...POCKETS,
  ...EDGE,
  sides: choice('pockets on', 'both', [
    ['both', 'both faces', 'the two faces are alike'],
    ['one', 'one face only', 'the other face is the plain back'],
  ]),
  centre: choice('between the faces', 'open', [
    ['open', 'a compartment open at the top', 'for folded notes; takes two backs'],
    [
      'side',
      'a compartment open at the top and one side',
      'each half is sewn there first, then both are joined',
    ],
    ['three', 'a compartment open on three sides', 'each half is sewn there first; joined at the foot only'],
    ['none', 'nothing', 'one back carries both faces; thinnest'],
  ]),
  lining: choice('backs', 'none', [
    ['none', 'not lined', 'the flesh side shows inside'],
    ['lined', 'lined', 'finished inside; a leaf more in the seam'],
  ]),
}
export type SleeveParams = ParamsOf<typeof DECIDED>
export const SLEEVE = settings(DECIDED, { usual: { topPocket: 'full' }, inPlay: PILE_IN_PLAY })
