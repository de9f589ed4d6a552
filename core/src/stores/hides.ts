import { z } from 'zod'
import { HIDE_PARTS } from './leather.js'
import { id, mm, name, words } from './parts.js'
import { ringArea, ringCrosses } from './ring.js'

/** What can lie on a shelf to be cut from: parts of hides as they are sold, what was left of one, sheets of board or cloth. */
export const GROUND_PARTS = [...HIDE_PARTS, 'scrap', 'sheet'] as const
/** Sorts of ground on a hide; what no zone covers is good. */
export const ZONES = ['best', 'good', 'stretchy', 'wrinkled'] as const
export const FLAWS = ['hole', 'scar', 'brand', 'flesh cut', 'stain'] as const

/** No hide is larger, mm. */
const LARGEST = 5000
/** Nothing smaller is told, mm². */
const LEAST = 1
const place = z.strictObject({ x: mm(-LARGEST, LARGEST), y: mm(-LARGEST, LARGEST) })
const outline = z
  .array(place)
  .min(3, 'an outline has at least three corners')
  .max(600)
  .refine((points) => !ringCrosses(points), 'the outline crosses itself')
  .refine((points) => ringArea(points) > LEAST, 'the outline holds no area')
  .readonly()

const zoneSchema = z.strictObject({ sort: z.enum(ZONES), outline })
const flawSchema = z.strictObject({
  sort: z.enum(FLAWS),
  shape: z.discriminatedUnion('type', [
    z.strictObject({ type: z.literal('circle'), at: place, radius: mm(0.5, 1000) }),
    z.strictObject({ type: z.literal('line'), from: place, to: place, width: mm(0.5, 200) }),
    z.strictObject({ type: z.literal('outline'), outline }),
  ]),
})

/**
 * One hide, part of one, scrap or sheet, seen on its grain side. It lies so that the backbone runs along x, the butt towards
 * smaller x. Lengths mm.
 */
export const hideSchema = z.strictObject({
  id,
  name,
  /** The leather’s id on the shelf, or the name of what a sheet is of. */
  of: words(80),
  part: z.enum(GROUND_PARTS),
  batch: words(40, 0),
  price: z.number().min(0).max(100_000),
  currency: z.string().regex(/^[A-Z]{3}$/, 'three capital letters such as EUR'),
  outline,
  /** Where the backbone lies, y; null where it has none, as a sheet or a scrap whose lie is not known. */
  backbone: mm(-LARGEST, LARGEST).nullable(),
  /** How wide the edge is that is rarely used. */
  band: mm(0, 200),
  zones: z.array(zoneSchema).max(40),
  flaws: z.array(flawSchema).max(200),
  /** Thickness as measured. */
  spots: z.array(z.strictObject({ at: place, thickness: mm(0.2, 10) })).max(200),
})
export type Hide = z.infer<typeof hideSchema>
export type HideZone = Hide['zones'][number]
export type HideFlaw = Hide['flaws'][number]
export type GroundPart = Hide['part']
