import { z } from 'zod'
import { EDGE_DEFAULTS, EDGE_SHAPE, type EdgeParams, NOTE_SHAPE, count, mm } from '../parts/schema.js'

const { margin, corner, finish } = EDGE_SHAPE

/** What a maker decides about a wrap wallet. Lengths in mm. */
export const wrapParams = z.strictObject({
  ...NOTE_SHAPE,
  margin,
  corner,
  finish,
  folds: count(3, 6),
  cards: count(0, 16),
  ease: mm(1, 12),
  /** Share of the contents' thickness that reaches into a fold; docs/formulas.md §3. */
  fill: z.number().min(0).max(1),
  noteFlaps: z.enum(['turned', 'none']),
  flapWidth: mm(15, 60),
  ear: mm(4, 30),
  turn: mm(4, 12),
  band: z.enum(['loop', 'none']),
})

export interface WrapParams extends Omit<EdgeParams, 'trim'> {
  readonly currency: string
  readonly notes: number
  readonly folds: number
  readonly cards: number
  readonly ease: number
  readonly fill: number
  readonly noteFlaps: 'turned' | 'none'
  readonly flapWidth: number
  readonly ear: number
  readonly turn: number
  readonly band: 'loop' | 'none'
}

export const WRAP_DEFAULTS: WrapParams = {
  margin: EDGE_DEFAULTS.margin,
  finish: EDGE_DEFAULTS.finish,
  corner: 8,
  currency: 'eur',
  notes: 6,
  folds: 3,
  cards: 4,
  ease: 3,
  fill: 0.3,
  noteFlaps: 'turned',
  flapWidth: 30,
  ear: 10,
  turn: 7,
  band: 'loop',
}
