import { z } from 'zod'
import { hardwareSchema } from './hardware.js'
import { hideSchema } from './hides.js'
import { leatherSchema } from './leather.js'
import { colour, id, mm, name } from './parts.js'
import { thingSchema } from './things.js'

export {
  type Leather,
  type Trial,
  leatherSchema,
  reckonedThickness,
  thicknessRange,
  trialSchema,
} from './leather.js'
export { id, words } from './parts.js'

/** An iron has at least two prongs: the first stands in the last hole and so keeps the pitch. */
const prongs = z
  .number()
  .int('a whole number of prongs')
  .min(2, 'at least 2 prongs: one point alone keeps no distance and counts as an awl')
  .max(24)

/** A pricking iron: pitch, slot and how deep it goes. Slant in degrees from the line of the seam. */
export const ironSchema = z
  .strictObject({
    id,
    name,
    pitch: mm(1.5, 12),
    prongs,
    /** The same iron in narrower widths, for curves, corners and ends: how many prongs each has. */
    narrow: z.array(prongs).max(6).default([2]),
    slotLength: mm(0.3, 4),
    slotWidth: mm(0.1, 2),
    slant: z.number().min(0).max(90),
    /** How thick a stack it still marks or cuts through from one side, mm. */
    reach: mm(0.5, 15),
  })
  .refine((iron) => iron.slotLength * Math.cos((iron.slant * Math.PI) / 180) < iron.pitch, {
    path: ['slotLength'],
    message: 'a slot ends before the next begins: shorter than the pitch, as far as it lies along the seam',
  })
export type Iron = z.infer<typeof ironSchema>

/** An awl: how thick a stack it opens in one push, mm. */
export const awlSchema = z.strictObject({ id, name, reach: mm(1, 40) })
export type Awl = z.infer<typeof awlSchema>

/** What version 2 did not ask: a spool of 100 m (J). */
export const SINCE_3 = { spool: 100 } as const

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
  /** Thread on a full spool, m. */
  spool: z.number().min(1).max(20000).default(SINCE_3.spool),
})
export type Thread = z.infer<typeof threadSchema>

/** A sewing machine for lockstitch; lengths in mm. */
export const machineSchema = z
  .strictObject({
    id,
    name,
    /** The stitch it is set to. */
    stitch: mm(1, 12),
    /** How thick the work may be under the lifted foot. */
    lift: mm(1, 30),
    /** How thick a stack its needle sews through. */
    reach: mm(0.5, 25),
    /** Stitches a minute as it is really sewn with. */
    speed: z.number().min(10).max(3000),
    /** The bobbin: across the full winding, across its core, and between its flanges. */
    bobbinAcross: mm(8, 80),
    bobbinCore: mm(2, 60),
    bobbinWide: mm(3, 60),
  })
  .refine((m) => m.bobbinCore < m.bobbinAcross, {
    path: ['bobbinCore'],
    message: 'the core of a bobbin is narrower than the bobbin with its thread on',
  })
export type Machine = z.infer<typeof machineSchema>

/** Everything a workshop has on its shelves that a design may use. */
export const storesSchema = z.strictObject({
  format: z.literal('drumlin.stores'),
  version: z.literal(5),
  leathers: z.array(leatherSchema),
  irons: z.array(ironSchema),
  awls: z.array(awlSchema),
  threads: z.array(threadSchema),
  machines: z.array(machineSchema),
  hardware: z.array(hardwareSchema),
  things: z.array(thingSchema),
  hides: z.array(hideSchema),
})
export type Stores = z.infer<typeof storesSchema>
