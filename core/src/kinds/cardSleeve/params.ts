import { z } from 'zod'
import { EDGE_DEFAULTS, EDGE_SHAPE, type EdgeParams, count } from '../parts/schema.js'
import { POCKET_DEFAULTS, POCKET_SHAPE, type PocketParams } from '../pockets/index.js'

/** What a maker decides about a card sleeve. Lengths in mm. */
export const sleeveParams = z.strictObject({
  ...POCKET_SHAPE,
  ...EDGE_SHAPE,
  pockets: count(1, 4),
  sides: z.enum(['both', 'one']),
  centre: z.enum(['open', 'none']),
  lining: z.enum(['none', 'lined']),
})

export interface SleeveParams extends PocketParams, EdgeParams {
  readonly sides: 'both' | 'one'
  readonly centre: 'open' | 'none'
  readonly lining: 'none' | 'lined'
}

export const SLEEVE_DEFAULTS: SleeveParams = {
  ...POCKET_DEFAULTS,
  ...EDGE_DEFAULTS,
  pockets: 2,
  topPocket: 'full',
  sides: 'both',
  centre: 'open',
  lining: 'none',
}
