import { EDGE, NOTES } from '../parts/settings.js'
import { type ParamsOf, choice, count, length, settings } from '../../settings/index.js'

/** What a maker decides about a strap-bound long wallet. Lengths in mm. */
const DECIDED = {
  ...NOTES,
  ...EDGE,
  sized: choice('sized by', 'notes', [
    ['notes', 'the notes it carries', 'as wide and high as they are, with room round them'],
    ['own', 'sizes of its own', 'from an old one, or for something else'],
  ]),
  ownWide: length('width closed', 60, 320, 200, { step: 1 }),
  ownHigh: length('height of the back', 40, 200, 95, { step: 1 }),
  /** Cards lying loose behind the notes. */
  cards: count('cards lying loose', 0, 16, 4),
  noteEase: length('room all round a note', 1, 15, 4),
  /** How much lower the front ends than the back, so that a note can be gripped. */
  lower: length('front ends lower than the back by', 0, 40, 12),
  flap: length('length of the flap', 20, 90, 50, { step: 1 }),
  inner: choice('between notes and cards', 'pocket', [
    ['pocket', 'an inner pocket', 'notes and cards do not mix; one leaf more in the side seams'],
    ['laid', 'a second pocket laid on the back', 'sewn on three sides before the front is folded up'],
    ['none', 'nothing', 'one compartment'],
  ]),
  tabPlace: choice('tab of the flap', 'centred', [
    ['centred', 'in the middle of the flap', 'right over the tab of the back'],
    ['edge', 'so far from the edge of the flap', 'where an old one has it, or where the fingers find it'],
  ]),
  tabFrom: length('tab from the edge of the flap', 2, 60, 8),
  strap: length('width of the strap', 8, 40, 14),
  overlap: length('overlap of the strap when full', 20, 120, 60, { step: 5 }),
  strapFix: choice('the strap', 'through', [
    ['through', 'goes through the slots of both tabs', 'can be taken out and replaced'],
    ['sewn', 'is sewn to the tab of the back', 'is not lost; goes through the slots of the flap only'],
  ]),
  strapLong: length('strap cut longer by', 0, 60, 0, {
    hint: 'trimmed on the closed and filled work, so that its end lies where it should',
  }),
}
export type StrapWalletParams = ParamsOf<typeof DECIDED>
export const STRAP_WALLET = settings(DECIDED, {
  usual: { notes: 20 },
  inPlay: {
    noteEase: (p) => p.sized === 'notes',
    ownWide: (p) => p.sized === 'own',
    ownHigh: (p) => p.sized === 'own',
    tabFrom: (p) => p.tabPlace === 'edge',
  },
})
