import { EDGE } from '../parts/settings.js'
import { PILE_IN_PLAY, POCKETS } from '../pockets/index.js'
import { type ParamsOf, choice, count, length, settings } from '../../settings/index.js'

/** What a maker decides about a gusseted case. Lengths in mm. */
const DECIDED = {
  pockets: count('card pockets on the back', 0, 3, 1),
  ...POCKETS,
  ...EDGE,
  /** What goes in, as it lies in the case. */
  wide: length('width of what goes in', 40, 300, 150),
  high: length('height of what goes in', 30, 250, 62),
  deep: length('thickness of what goes in', 8, 90, 36),
  ease: length('room all round', 1, 15, 4),
  flap: length('length of the flap', 20, 120, 45, { step: 1 }),
  bridge: choice('inside', 'bridge', [
    ['bridge', 'with a support under the bridge', 'spectacles do not lie on their lenses'],
    ['none', 'left plain', 'for tools and other things'],
  ]),
  foot: choice('foot', 'point', [
    ['point', 'front and back sewn together', 'the gussets run out to a point; lies flat when empty'],
    ['flat', 'flat, front and back in one piece', 'stands by itself; the gussets end in a short side'],
  ]),
  footDeep: length('depth of the foot', 4, 80, 14, { goes: { with: 'deep', power: 1, min: 4 } }),
  /** Punched where the flanges of a gusset with a flat foot meet, so that they don't tear. */
  relief: length('holes in the corners of the gusset', 0, 6, 2),
  facing: choice('behind the flap', 'none', [
    ['none', 'nothing', 'the flesh side shows'],
    ['facing', 'a facing', 'the flap keeps its shape; the snap is set through both'],
  ]),
  closure: choice('closed by', 'snap', [
    ['snap', 'a snap', 'set in flap and front before they are sewn'],
    ['tuck', 'the flap alone', 'nothing that scratches'],
  ]),
}
export type CaseParams = ParamsOf<typeof DECIDED>
/** Whether there is a piece behind the flap. */
export const isFaced = ({ facing }: Pick<CaseParams, 'facing'>): boolean => facing === 'facing'
/** Whether front and back are one piece over a flat foot. */
export const isFlat = ({ foot }: Pick<CaseParams, 'foot'>): boolean => foot === 'flat'
export const CASE = settings(DECIDED, {
  usual: { corner: 8 },
  inPlay: { ...PILE_IN_PLAY, footDeep: isFlat, relief: isFlat },
})
