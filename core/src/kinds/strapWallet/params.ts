import { z } from 'zod'
import { EDGE_DEFAULTS, EDGE_SHAPE, type EdgeParams, NOTE_SHAPE, count, mm } from '../parts/schema.js'

/** What a maker decides about a strap-bound long wallet. Lengths in mm. */
export const strapWalletParams = z.strictObject({
  ...NOTE_SHAPE,
  ...EDGE_SHAPE,
  /** Cards lying loose behind the notes. */
  cards: count(0, 16),
  noteEase: mm(1, 15),
  /** How much lower the front ends than the back, so that a note can be gripped. */
  lower: mm(0, 40),
  flap: mm(20, 90),
  inner: z.enum(['none', 'pocket']),
  strap: mm(8, 40),
  overlap: mm(20, 120),
})

export interface StrapWalletParams extends EdgeParams {
  readonly currency: string
  readonly notes: number
  readonly cards: number
  readonly noteEase: number
  readonly lower: number
  readonly flap: number
  readonly inner: 'none' | 'pocket'
  readonly strap: number
  readonly overlap: number
}

export const STRAP_WALLET_DEFAULTS: StrapWalletParams = {
  ...EDGE_DEFAULTS,
  currency: 'eur',
  notes: 20,
  cards: 4,
  noteEase: 4,
  lower: 12,
  flap: 50,
  inner: 'pocket',
  strap: 14,
  overlap: 60,
}
