import { z } from 'zod'
import { hideSchema, idSchema, wordsSchema } from '../stores/index.js'

/** How a piece lies to the backbone: along it, across it, either of the two, or at any angle. */
export const LIES = ['along', 'across', 'either', 'any'] as const
export type Lies = (typeof LIES)[number]

const mm = z.number().min(-100_000).max(100_000)
const place = z.strictObject({ x: mm, y: mm })
const ring = z.array(place).min(3).max(4000).readonly()

/** What one piece of a design asks of the hide it is cut from. In the piece’s own coordinates, mm. */
export const demandSchema = z.strictObject({
  /** The panel’s id. */
  key: z.string().min(1).max(200),
  name: wordsSchema(200),
  /** The leather’s id on the shelf, or what a sheet is of. */
  of: wordsSchema(80),
  material: wordsSchema(80),
  swatch: z.string().max(20),
  /** Leather has a backbone; board and cloth have not. */
  leather: z.boolean(),
  /** As it is reckoned with, mm. */
  thickness: mm,
  /** What is cut: the rough block where there is one. */
  outline: ring,
  block: z.boolean(),
  count: z.number().int().min(1).max(500),
  /** How many of them are cut turned over. */
  flipped: z.number().int().min(0).max(500),
  /** The grain arrow, radians: it runs along the backbone. */
  grain: z.number(),
  lies: z.enum(LIES),
  shows: z.boolean(),
  bears: z.boolean(),
  /** Where its grain is seen: rings, holes wound the other way. */
  seen: z.array(ring).max(200).readonly(),
  /** Where it is skived: a cut on the flesh side matters there. */
  thinned: z.array(ring).max(200).readonly(),
  /** A long strip of one width: its length and width. */
  strap: z.strictObject({ long: mm, wide: mm }).optional(),
})
export type Demand = z.infer<typeof demandSchema>

/** What the maker asks of a piece otherwise than follows from the design. */
const asksSchema = z.strictObject({
  lies: z.enum(LIES).optional(),
  shows: z.boolean().optional(),
  bears: z.boolean().optional(),
})
export type Asks = z.infer<typeof asksSchema>

/** Where a piece lies on a hide: turned over where it is cut so, turned by `turn` radians, then moved; mm. */
const lyingSchema = z.strictObject({
  hide: idSchema,
  turn: z.number().min(-7).max(7),
  x: mm,
  y: mm,
  /** It stays there when the rest is laid. */
  locked: z.boolean().optional(),
})

/** So many copies at most, and so many other designs cut along with it. */
const [MOST_COPIES, MOST_DESIGNS, MOST_HIDES] = [100, 12, 24] as const

/** What the maker decided about cutting: out of which hides, how many, what asks for what, and where each piece lies. */
export const cuttingSchema = z.strictObject({
  /** Copies of hides of the shelf, as they were when they were taken. */
  hides: z.array(hideSchema).max(MOST_HIDES),
  copies: z.number().int().min(1).max(MOST_COPIES),
  /** Other designs cut along with it, with what their pieces asked for when they were taken. */
  also: z
    .array(
      z.strictObject({
        design: idSchema,
        name: wordsSchema(120),
        copies: z.number().int().min(1).max(MOST_COPIES),
        demands: z.array(demandSchema).max(300),
      }),
    )
    .max(MOST_DESIGNS),
  /** By `design/panel`. */
  asks: z.record(z.string(), asksSchema),
  /** Room for the knife between two pieces, mm. */
  gap: z.number().min(0).max(20),
  /** Straight to the backbone, or at any angle for the sake of economy. */
  angles: z.enum(['straight', 'any']),
  seed: z.number().int().min(0).max(4_294_967_295),
  /** By the piece’s id, `design/panel#2`. */
  lying: z.record(z.string(), lyingSchema),
  /** Pieces that are left out, by id. */
  aside: z.array(z.string().min(1).max(300)).max(2000),
})
export type Cutting = z.infer<typeof cuttingSchema>

/** A knife is led round by hand: 3 mm between two pieces (J). */
export const PLAIN_CUTTING: Cutting = {
  hides: [],
  copies: 1,
  also: [],
  asks: {},
  gap: 3,
  angles: 'straight',
  seed: 1,
  lying: {},
  aside: [],
}
