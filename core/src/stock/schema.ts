import { z } from 'zod'
import { idSchema } from '../stores/index.js'
import { MEASURES } from '../price/index.js'

/** Something that changed what lies on the shelf, besides what makings took. */
export const moveSchema = z.strictObject({
  id: idSchema,
  /** When, by the machine’s clock; what was bought some day is at its noon. */
  at: z.number().int().min(0),
  sort: z.enum(['bought', 'counted', 'gone']),
  what: z.string().min(1).max(200),
  unit: z.enum(MEASURES),
  amount: z.number().min(0).max(1e9),
  /** Paid for it, and in what money. */
  price: z.number().min(0).max(10_000_000).optional(),
  currency: z
    .string()
    .regex(/^[A-Z]{3}$/)
    .optional(),
  /** From where it was bought, or why it is gone. */
  note: z.string().max(200),
})
export type Move = z.infer<typeof moveSchema>

/** The shelf as it is written down. */
export const stockSchema = z.strictObject({
  format: z.literal('drumlin.stock'),
  version: z.literal(1),
  moves: z.array(moveSchema).max(20_000),
  /** Below what something is low, in what it is counted. */
  low: z.record(z.string().max(200), z.number().min(0).max(1e9)),
})
export type Stock = z.infer<typeof stockSchema>
export const NO_STOCK: Stock = { format: 'drumlin.stock', version: 1, moves: [], low: {} }
