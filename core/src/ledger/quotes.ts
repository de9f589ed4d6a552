import { z } from 'zod'
import { daySchema } from '../makings/index.js'
import { idSchema } from '../stores/index.js'

/** A quote as it was sent: nothing of it changes when prices or the design do. */
export const quoteSchema = z.strictObject({
  id: idSchema,
  /** `2027-004`: the fourth of that year. */
  number: z.string().regex(/^\d{4}-\d{3,}$/),
  day: daySchema,
  until: daySchema,
  job: idSchema,
  example: z.boolean(),
  name: z.string().max(80),
  kind: z.string().max(40),
  size: z.string().max(120),
  client: idSchema.optional(),
  forWhom: z.string().max(120),
  count: z.number().int().min(1).max(200),
  currency: z.string().regex(/^[A-Z]{3}$/),
  /** Of one. */
  price: z.number().min(0).max(10_000_000),
  tax: z.number().min(0).max(0.5),
  materials: z.array(z.string().max(200)).max(60),
  words: z.string().max(2000),
  terms: z.string().max(2000),
  maker: z.string().max(400),
  state: z.enum(['sent', 'taken', 'declined']),
})
export type Quote = z.infer<typeof quoteSchema>

/** The next free number of a year. */
export function nextNumber(quotes: readonly Pick<Quote, 'number'>[], year: string): string {
  const used = quotes.filter((q) => q.number.startsWith(`${year}-`)).map((q) => Number(q.number.slice(5)))
  return `${year}-${String(Math.max(0, ...used) + 1).padStart(3, '0')}`
}
