import { z } from 'zod'
import { EDGE_DEFAULTS, EDGE_SHAPE, type EdgeParams, NOTE_SHAPE, mm } from '../parts/schema.js'
import { POCKET_DEFAULTS, POCKET_SHAPE, type PocketParams } from '../pockets/index.js'

/** What a maker decides about a bifold. Lengths in mm. */
export const bifoldParams = z.strictObject({
  ...POCKET_SHAPE,
  ...NOTE_SHAPE,
  ...EDGE_SHAPE,
  lip: mm(0, 25),
  /** 1: flush when closed, the outside bows when laid open. 0: flush when laid open. */
  foldShare: z.number().min(0).max(1),
  lining: z.enum(['none', 'lined']),
  divider: z.enum(['none', 'plain', 'lined']),
  cutAway: z.enum(['none', 'foot']),
  hidden: z.enum(['none', 'behind']),
  coins: z.enum(['none', 'right']),
})

export interface BifoldParams extends PocketParams, EdgeParams {
  readonly currency: string
  readonly notes: number
  readonly lip: number
  readonly foldShare: number
  readonly lining: 'none' | 'lined'
  readonly divider: 'none' | 'plain' | 'lined'
  readonly cutAway: 'none' | 'foot'
  readonly hidden: 'none' | 'behind'
  readonly coins: 'none' | 'right'
}

export const BIFOLD_DEFAULTS: BifoldParams = {
  ...POCKET_DEFAULTS,
  ...EDGE_DEFAULTS,
  currency: 'eur',
  notes: 8,
  lip: 4,
  foldShare: 0.6,
  lining: 'none',
  divider: 'none',
  cutAway: 'none',
  hidden: 'none',
  coins: 'none',
}
