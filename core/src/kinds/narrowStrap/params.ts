import { EDGE } from '../parts/settings.js'
import { type ParamsOf, choice, count, length, settings } from '../../settings/index.js'

/** What a maker decides about a narrow strap of two pieces. Lengths in mm. */
const DECIDED = {
  margin: length('margin', 1.2, 6, 2.2, { step: 0.1, hint: 'from the finished edge to the stitch line' }),
  finish: EDGE.finish,
  /** Round the wrist, or whatever it goes round. */
  girth: length('girth', 80, 600, 172, { step: 1, hint: 'round the wrist, or whatever it goes round' }),
  ease: length('ease', 0, 40, 6),
  /** What lies between the two bars, bar to bar; 0 where the ends share a ring. */
  between: length('from bar to bar between the pieces', 0, 120, 46, {
    hint: '0 where both ends share a ring',
  }),
  wideEnd: length('width at the bar', 8, 40, 20),
  narrowEnd: length('width at the buckle', 6, 40, 16),
  barEnd: length('thickness of the bar', 1, 6, 1.8, { step: 0.1 }),
  barBuckle: length('thickness of the buckle’s bar', 1, 6, 2, { step: 0.1 }),
  /** Bar to bar of the buckle piece. */
  short: length('length of the buckle piece', 30, 250, 72, { step: 1 }),
  holes: count('holes', 1, 11, 7, 'an odd number puts the measure on the middle one'),
  spacing: length('from hole to hole', 4, 25, 6),
  hole: length('size of a hole', 1, 5, 2, { step: 0.1 }),
  /** From the last hole to the tip. */
  tongue: length('from the last hole to the tip', 8, 60, 22),
  tip: choice('tip', 'pointed', [
    ['pointed', 'pointed', 'finds the buckle easily'],
    ['round', 'round', 'nothing to bend up'],
  ]),
  lap: length('turned back', 6, 40, 14, { mayMove: 2 }),
  lining: choice('flesh side', 'lined', [
    ['lined', 'lined', 'smooth against the skin'],
    ['none', 'left as it is', 'thinnest; the flesh lies against the skin'],
  ]),
  edges: choice('edges', 'turned', [
    ['turned', 'turned over', 'no raw edge shows; the lining covers the border'],
    ['raw', 'raw and finished', 'for firmer leather'],
  ]),
  turn: length('width of the turn', 3, 12, 5),
  prong: length('thickness of the prong', 0.8, 5, 2, { step: 0.1 }),
}
export type StrapParams = ParamsOf<typeof DECIDED>
export const STRAP = settings(DECIDED)
