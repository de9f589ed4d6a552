import { z } from 'zod'
import { CURRENCIES } from '../../stores/index.js'

/** A length in mm. */
export const mm = (least: number, most: number) => z.number().min(least).max(most)
export const count = (least: number, most: number) => z.number().int().min(least).max(most)

const currencyIds = ['none', ...CURRENCIES.map((c) => c.id)]

/** How edges are sewn and finished. */
export const EDGE_SHAPE = {
  margin: mm(1.5, 10),
  corner: mm(0, 25),
  /** Cut extra on sewn edges and trimmed flush afterwards. */
  trim: mm(0, 5),
  finish: z.enum(['burnished', 'painted']),
}
export interface EdgeParams {
  readonly margin: number
  readonly corner: number
  readonly trim: number
  readonly finish: 'burnished' | 'painted'
}
export const EDGE_DEFAULTS: EdgeParams = { margin: 3, corner: 6, trim: 0, finish: 'burnished' }

/** Notes it carries. */
export const NOTE_SHAPE = {
  currency: z.string().refine((c) => currencyIds.includes(c), { error: `one of ${currencyIds.join(', ')}` }),
  /** How many notes it usually carries. */
  notes: count(0, 60),
}
