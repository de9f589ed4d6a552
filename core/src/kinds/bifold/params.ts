import { z } from 'zod'
import { CURRENCIES } from '../../stores/index.js'

const currencyIds = ['none', ...CURRENCIES.map((c) => c.id)]

/** What a maker decides about a bifold. Lengths in mm. */
export const bifoldParams = z.strictObject({
  /** Card pockets on each half. */
  pockets: z.number().int().min(0).max(6),
  cardsPerPocket: z.number().int().min(1).max(4),
  currency: z.string().refine((c) => currencyIds.includes(c), { error: `one of ${currencyIds.join(', ')}` }),
  /** How many notes it usually carries. */
  notes: z.number().int().min(0).max(60),
  school: z.enum(['butted', 'lapped']),
  reveal: z.number().min(6).max(30),
  /** How much of a card stands out of its own pocket. */
  shown: z.number().min(2).max(25),
  topPocket: z.enum(['full', 'clear']),
  margin: z.number().min(1.5).max(10),
  corner: z.number().min(0).max(25),
  lip: z.number().min(0).max(25),
  /** 1: flush when closed, the outside bows when laid open. 0: flush when laid open. */
  foldShare: z.number().min(0).max(1),
  /** Cut extra on sewn edges and trimmed flush afterwards. */
  trim: z.number().min(0).max(5),
  finish: z.enum(['burnished', 'painted']),
})
export type BifoldParams = z.infer<typeof bifoldParams>

export const BIFOLD_DEFAULTS: BifoldParams = {
  pockets: 3,
  cardsPerPocket: 1,
  currency: 'eur',
  notes: 8,
  school: 'lapped',
  reveal: 12,
  shown: 8,
  topPocket: 'clear',
  margin: 3,
  corner: 6,
  lip: 4,
  foldShare: 0.6,
  trim: 0,
  finish: 'burnished',
}
