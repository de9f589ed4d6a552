import { z } from 'zod'
import { leatherSchema } from './leather.js'
import { colour, id, mm, name } from './parts.js'

export {
  type HidePart,
  type Leather,
  type Trial,
  HIDE_PARTS,
  leatherSchema,
  reckonedThickness,
  thicknessRange,
} from './leather.js'
export { id } from './parts.js'

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
  version: z.literal(2),
  leathers: z.array(leatherSchema),
  irons: z.array(ironSchema),
  awls: z.array(awlSchema),
  threads: z.array(threadSchema),
})
export type Stores = z.infer<typeof storesSchema>
