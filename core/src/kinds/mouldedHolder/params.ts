import { z } from 'zod'
import { EDGE_DEFAULTS, EDGE_SHAPE, type EdgeParams, mm } from '../parts/schema.js'

/** What a maker decides about a moulded holder. Lengths in mm. */
export const holderParams = z.strictObject({
  ...EDGE_SHAPE,
  /** The thing itself, or the form made for it. */
  wide: mm(15, 250),
  high: mm(20, 300),
  deep: mm(3, 60),
  /** Radius of the form's upper edge. */
  edge: mm(0, 30),
  /** How much of the thing stands out of the mouth. */
  shown: mm(0, 120),
  shrink: z.number().min(0).max(0.08),
  rough: mm(5, 30),
  hung: z.enum(['loop', 'wings']),
  belt: mm(10, 70),
  beltThick: mm(1, 8),
})

export interface HolderParams extends EdgeParams {
  readonly wide: number
  readonly high: number
  readonly deep: number
  readonly edge: number
  readonly shown: number
  readonly shrink: number
  readonly rough: number
  readonly hung: 'loop' | 'wings'
  readonly belt: number
  readonly beltThick: number
}

export const HOLDER_DEFAULTS: HolderParams = {
  ...EDGE_DEFAULTS,
  margin: 4,
  corner: 10,
  wide: 62,
  high: 105,
  deep: 16,
  edge: 4,
  shown: 25,
  shrink: 0.03,
  rough: 12,
  hung: 'loop',
  belt: 38,
  beltThick: 4,
}
