import { z } from 'zod'
import { EDGE_DEFAULTS, EDGE_SHAPE, type EdgeParams, count, mm } from '../parts/schema.js'
import { POCKET_DEFAULTS, POCKET_SHAPE, type PocketParams } from '../pockets/index.js'

/** What a maker decides about a gusseted case. Lengths in mm. */
export const caseParams = z.strictObject({
  ...POCKET_SHAPE,
  ...EDGE_SHAPE,
  pockets: count(0, 3),
  /** What goes in, as it lies in the case. */
  wide: mm(40, 300),
  high: mm(30, 250),
  deep: mm(8, 90),
  ease: mm(1, 15),
  flap: mm(20, 120),
  bridge: z.enum(['none', 'bridge']),
  closure: z.enum(['snap', 'tuck']),
})

export interface CaseParams extends PocketParams, EdgeParams {
  readonly wide: number
  readonly high: number
  readonly deep: number
  readonly ease: number
  readonly flap: number
  readonly bridge: 'none' | 'bridge'
  readonly closure: 'snap' | 'tuck'
}

export const CASE_DEFAULTS: CaseParams = {
  ...POCKET_DEFAULTS,
  ...EDGE_DEFAULTS,
  corner: 8,
  pockets: 1,
  wide: 150,
  high: 62,
  deep: 36,
  ease: 4,
  flap: 45,
  bridge: 'bridge',
  closure: 'snap',
}
