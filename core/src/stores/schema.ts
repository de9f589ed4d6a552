import { z } from 'zod'

const mm = (least: number, most: number) => z.number().min(least).max(most)
const name = z.string().trim().min(1).max(80)
export const id = z.string().regex(/^[a-z0-9][a-z0-9-]{0,63}$/, 'small letters, digits and hyphens')
const colour = z.string().regex(/^#[0-9a-fA-F]{6}$/, 'a colour such as #c9d7d1')

/** One leather: as sold, and the thickness to reckon with. All lengths in mm. */
export const leatherSchema = z.strictObject({
  id,
  name,
  tannage: z.enum(['vegetable', 'chrome', 'mixed']),
  temper: z.enum(['soft', 'medium', 'firm']),
  /** As sold: the thinnest and the thickest it may be. */
  weight: z
    .strictObject({ low: mm(0.2, 8), high: mm(0.2, 8) })
    .refine((w) => w.low <= w.high, { error: 'the low end of the weight must not be above the high end' }),
  /** The thickness everything is reckoned with. */
  thickness: mm(0.2, 8),
  /** Share of the thickness, from the inner side of a bend, that keeps its length; docs/formulas.md §0. */
  neutral: z.number().min(0.3).max(0.75),
  /** How much a face stretches once broken in, as a share of its width; docs/formulas.md §9. */
  give: z.number().min(0.001).max(0.08),
  /** The thinnest it may be skived where it is sewn, mm. */
  bears: mm(0.1, 4),
  swatch: colour,
})
export type Leather = z.infer<typeof leatherSchema>

/** A pricking iron: pitch, slot and how deep it goes. Slant in degrees from the line of the seam. */
export const ironSchema = z.strictObject({
  id,
  name,
  pitch: mm(1.5, 12),
  prongs: z.number().int().min(2).max(24),
  slotLength: mm(0.3, 4),
  slotWidth: mm(0.1, 2),
  slant: z.number().min(0).max(90),
  /** How thick a stack it still marks or cuts through from one side, mm. */
  reach: mm(0.5, 15),
})
export type Iron = z.infer<typeof ironSchema>

/** An awl: how thick a stack it opens in one push, mm. */
export const awlSchema = z.strictObject({ id, name, reach: mm(1, 40) })
export type Awl = z.infer<typeof awlSchema>

/** Thread by weight; diameter follows from fibre and packing, docs/formulas.md §1. */
export const threadSchema = z.strictObject({
  id,
  name,
  fibre: z.enum(['linen', 'cotton', 'polyester', 'nylon']),
  /** Grams per kilometre. */
  tex: z.number().min(10).max(2000),
  /** Share of the section filled by fibre. */
  packing: z.number().min(0.4).max(1),
  colour,
})
export type Thread = z.infer<typeof threadSchema>

/** Everything a workshop has on its shelves that a design may use. */
export const storesSchema = z.strictObject({
  format: z.literal('drumlin.stores'),
  version: z.literal(1),
  leathers: z.array(leatherSchema),
  irons: z.array(ironSchema),
  awls: z.array(awlSchema),
  threads: z.array(threadSchema),
})
export type Stores = z.infer<typeof storesSchema>
