import { z } from 'zod'

export const TRADE_FORMAT = 'drumlin.trade'

const currency = z
  .string()
  .regex(/^[A-Z]{3}$/, 'three capital letters such as EUR')
  .refine((code) => {
    try {
      new Intl.NumberFormat('en', { style: 'currency', currency: code }).format(0)
      return true
    } catch {
      return false
    }
  }, 'three capital letters such as EUR')
const money = z.number().min(0).max(10_000_000)
const share = (most: number) => z.number().min(0).max(most)
const rate = (most: number) => z.number().min(0).max(most)

/** In what a material is counted: pieces, thread by the millimetre, leather and sheets by area, what is poured or spread by weight. */
export const MEASURES = ['pieces', 'mm', 'dm²', 'g'] as const
export type Measured = (typeof MEASURES)[number]

/** So much of something for so much money. */
export const unitPriceSchema = z.strictObject({
  unit: z.enum(MEASURES),
  amount: z.number().positive().max(1e9),
  price: money,
})
export type UnitPrice = z.infer<typeof unitPriceSchema>

/** How a workshop reckons what a thing costs and what it asks for it. Shares are parts of one; hours as decimals. */
export const tradeSchema = z.strictObject({
  format: z.literal(TRADE_FORMAT),
  version: z.literal(1),
  currency,
  /** What an hour at the bench shall earn. */
  rate: money,
  /** Hours of drawing a design, shared by what is made of it. */
  drawing: z.number().min(0).max(1000),
  /** What a first making takes more, as a share. */
  learning: share(3),
  /** Rent, light, tools: a share of what the work costs, or so much an hour. */
  overheadBy: z.enum(['share', 'hour']),
  overhead: share(3),
  overheadHour: money,
  margin: share(5),
  tax: share(0.5),
  /** Prices are rounded up to a multiple of it. */
  step: z.number().min(0.01).max(10_000),
  /** Blades, needles, sandpaper for an hour at the bench. */
  wear: money,
  /** How far hours may be off either way, as a share. */
  hoursOff: share(0.9),
  /** What is left unused of a hide that nobody has laid out, as a share of what is used up; and how far that may be off. */
  waste: share(0.9),
  wasteOff: share(0.5),
  /** Glue on both sides, grams a square decimetre; how wide a seam is coated, mm. */
  glue: rate(50),
  glueWidth: rate(60),
  /** Edge paint or dressing, grams a metre and coat. */
  edge: rate(50),
  /** Dye and oil, grams a square decimetre. */
  dye: rate(50),
  oil: rate(50),
  /** What materials cost, by name: what was paid last, or what the maker wrote. */
  prices: z.record(z.string().min(1).max(200), unitPriceSchema),
  /** On every quote: name and address of the workshop; terms; how many days it holds. */
  maker: z.string().max(400),
  terms: z.string().max(2000),
  validDays: z.number().int().min(1).max(365),
})
export type Trade = z.infer<typeof tradeSchema>

/** Where a workshop starts, ordinary shop practice (J); docs/formulas.md §23. */
export const USUAL_TRADE: Trade = {
  format: TRADE_FORMAT,
  version: 1,
  currency: 'EUR',
  rate: 30,
  drawing: 3,
  learning: 0.25,
  overheadBy: 'share',
  overhead: 0.15,
  overheadHour: 4,
  margin: 0.1,
  tax: 0,
  step: 5,
  wear: 0.8,
  hoursOff: 0.2,
  waste: 0.3,
  wasteOff: 0.1,
  glue: 2.5,
  glueWidth: 8,
  edge: 1,
  dye: 1.5,
  oil: 1,
  prices: {},
  maker: '',
  terms: '',
  validDays: 30,
}
