import { EDGE, NOTES } from '../parts/settings.js'
import { type ParamsOf, choice, count, length, settings } from '../../settings/index.js'

/** What a maker decides about a strap-bound long wallet. Lengths in mm. */
const DECIDED = {
  ...NOTES,
  ...EDGE,
  /** Cards lying loose behind the notes. */
  cards: count('cards lying loose', 0, 16, 4),
  noteEase: length('room all round a note', 1, 15, 4),
  /** How much lower the front ends than the back, so that a note can be gripped. */
  lower: length('front ends lower than the back by', 0, 40, 12),
  flap: length('length of the flap', 20, 90, 50, { step: 1 }),
  inner: choice('between notes and cards', 'pocket', [
    ['pocket', 'an inner pocket', 'notes and cards do not mix; one leaf more in the side seams'],
    ['none', 'nothing', 'one compartment'],
  ]),
  strap: length('width of the strap', 8, 40, 14),
  overlap: length('overlap of the strap when full', 20, 120, 60, { step: 5 }),
}
export type StrapWalletParams = ParamsOf<typeof DECIDED>
export const STRAP_WALLET = settings(DECIDED, { usual: { notes: 20 } })
