import { CURRENCIES } from '../../stores/index.js'
import { type ParamsOf, choice, count, length } from '../../settings/index.js'

/** How edges are sewn and finished. */
export const EDGE = {
  margin: length('margin', 1.5, 10, 3, {
    step: 0.1,
    mayMove: 0.6,
    hint: 'from the finished edge to the stitch line',
  }),
  corner: length('corner radius', 0, 25, 6),
  trim: length('cut extra and trimmed after sewing', 0, 5, 0),
  finish: choice('finish of the edges', 'burnished', [
    ['burnished', 'burnished', 'bevelled, rubbed and waxed; for vegetable tanned leather'],
    ['painted', 'painted', 'thin coats sanded between; for chrome tanned or mixed leather'],
  ]),
}
export type EdgeParams = ParamsOf<typeof EDGE>

/** Notes it carries, and how many it usually does. */
export const NOTES = {
  currency: choice<string>('notes to carry', 'eur', [
    ['none', 'no notes', 'the size follows the cards alone'],
    ...CURRENCIES.map((c) => [c.id, `${c.name} notes`, c.source] as const),
  ]),
  notes: count('number of notes', 0, 60, 8),
}
