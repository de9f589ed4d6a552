import { EDGE, NOTES } from '../parts/settings.js'
import { type ParamsOf, choice, count, length, share, settings } from '../../settings/index.js'

/** What a maker decides about a wrap wallet. Lengths in mm. */
const DECIDED = {
  ...NOTES,
  margin: EDGE.margin,
  corner: EDGE.corner,
  finish: EDGE.finish,
  folds: count('folds', 3, 6, 3),
  cards: count('cards', 0, 16, 4),
  ease: length('room all round', 1, 12, 3),
  /** Share of the contents' thickness that reaches into a fold; docs/formulas.md §3. */
  fill: share(
    'share of the contents that reaches into a fold',
    0.3,
    'cards stop short of the folds; 0.3 suits most',
  ),
  noteFlaps: choice('sides of the second panel', 'turned', [
    [
      'turned',
      'with a note flap on each, edges turned',
      'holds the notes in; the ears are cut off so that nothing catches in the folds',
    ],
    ['none', 'left straight', 'nothing holds the notes but the wrapping'],
    ['sewn', 'sewn to those of the first', 'the first turn is a pocket, open at its top: cards stay in'],
    [
      'both',
      'sewn to those of the first, note flaps on the third',
      'the first turn is a pocket for cards, the flaps of the third hold the notes in',
    ],
  ]),
  flapWidth: length('width of a note flap', 15, 60, 30, { step: 1 }),
  ear: length('cut off each ear', 4, 30, 10),
  turn: length('turned over', 4, 12, 7),
  band: choice('held shut by', 'loop', [
    ['loop', 'a loop pushed over it', 'sized for the full bundle'],
    ['none', 'nothing', 'stays shut by itself only when it is soft'],
  ]),
}
export type WrapParams = ParamsOf<typeof DECIDED>
type Sides = Pick<WrapParams, 'noteFlaps'>
/** Whether the sides of the first turn are sewn, and whether there are note flaps. */
export const isSewn = ({ noteFlaps }: Sides): boolean => noteFlaps === 'sewn' || noteFlaps === 'both'
export const hasFlaps = ({ noteFlaps }: Sides): boolean => noteFlaps === 'turned' || noteFlaps === 'both'
export const WRAP = settings(DECIDED, {
  usual: { notes: 6, corner: 8 },
  inPlay: {
    margin: (p) => p.noteFlaps !== 'none',
    flapWidth: hasFlaps,
    ear: hasFlaps,
    turn: hasFlaps,
  },
})
