import { EDGE, NOTES } from '../parts/settings.js'
import { PILE_IN_PLAY, POCKETS } from '../pockets/index.js'
import { type ParamsOf, choice, count, length, share, settings } from '../../settings/index.js'

/** What a maker decides about a bifold. Lengths in mm. */
const DECIDED = {
  pockets: count('card pockets a side', 0, 6, 3),
  ...POCKETS,
  ...NOTES,
  ...EDGE,
  lip: length('outside stands above the inside by', 0, 25, 4),
  /** 1: flush when closed, the outside bows when laid open. 0: flush when laid open. */
  foldShare: share(
    'share of the fold given to the outside',
    0.6,
    '0 lies flat open · 1 lies flat closed · 0.5 to 0.7 suits most wallets',
  ),
  lining: choice('flesh side of the outside', 'none', [
    ['none', 'left as it is', 'thinnest; its flesh shows in the note compartment'],
    ['lined', 'lined', 'a lining of its own leather, longer round the fold by what lies under it'],
  ]),
  divider: choice('note compartment', 'none', [
    ['none', 'in one', 'one compartment for all notes'],
    ['plain', 'parted by a divider', 'two compartments; one leaf more in every seam'],
    ['lined', 'parted by a lined divider', 'both faces finished; two leaves more in every seam'],
  ]),
  cutAway: choice('foot of the inside at the fold', 'none', [
    ['none', 'left whole', 'one straight foot'],
    ['foot', 'cut away', 'nothing of it can buckle or fray in the fold'],
  ]),
  hidden: choice('behind the cards', 'none', [
    ['none', 'nothing', 'the pockets are sewn to the inside itself'],
    ['behind', 'a hidden pocket open to the fold', 'the pockets get a backing of their own; a leaf thicker'],
  ]),
  coins: choice('right half', 'none', [
    ['none', 'with card pockets like the left', 'both halves alike'],
    ['right', 'with a coin pocket and a snap', 'cards on the left only'],
  ]),
}
export type BifoldParams = ParamsOf<typeof DECIDED>
export const BIFOLD = settings(DECIDED, { inPlay: PILE_IN_PLAY })
