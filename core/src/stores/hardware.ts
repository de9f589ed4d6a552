import { nth } from '../lists/index.js'
import { z } from 'zod'
import { id, mm, name } from './parts.js'

/** What hardware there is. */
export const HARDWARE_SORTS = [
  'rivet',
  'burr',
  'snap',
  'ring',
  'buckle',
  'hook',
  'lock',
  'loop',
  'magnet',
  'foot',
  'zip',
] as const
export type HardwareSort = (typeof HARDWARE_SORTS)[number]

/** Those that are set through a hole with a post or a shank. */
export const POSTED: readonly HardwareSort[] = ['rivet', 'burr', 'snap', 'lock', 'magnet', 'foot']

/** The woven tape of a zip is so thick (J), mm; docs/formulas.md §20. */
export const ZIP_TAPE = 0.7

/** A piece of hardware. Lengths in mm; 0 where a thing has no such part. */
export const hardwareSchema = z.strictObject({
  id,
  name,
  sort: z.enum(HARDWARE_SORTS),
  /** Across its cap or face; the clear width of a ring, hook, loop or buckle; the tape of a zip. */
  across: mm(2, 120),
  /** The other way, for what isn’t round, 0 where it is; of a hook, from the eye’s bar to where it bears. */
  high: mm(0, 120),
  /** Thickness of its wire or bar; of a shank, its diameter. */
  bar: mm(0, 12),
  /** The hole to punch for its post; the slot to cut where it has prongs. */
  hole: mm(0, 60),
  /** Prongs through slots instead of a post through a hole: how many. */
  prongs: z.number().int().min(0).max(4),
  /** From prong to prong. */
  apart: mm(0, 60),
  /** Post lengths that can be had, shortest first. */
  posts: z
    .array(mm(1, 40))
    .max(12)
    .refine(
      (all) => all.every((p, i) => i === 0 || p > nth(all, i - 1)),
      'post lengths from the shortest to the longest',
    ),
  /** What setting takes of a post: the part that is spread or riveted over. */
  setting: mm(0, 10),
  /** Share of the stack that is left when it is pressed together. */
  pressed: z.number().min(0.6).max(1),
  /** A washer to make up a post that is too long, or a burr. */
  washer: mm(0, 4),
})
export type Hardware = z.infer<typeof hardwareSchema>

const ware = (of: Pick<Hardware, 'id' | 'name' | 'sort' | 'across'> & Partial<Hardware>): Hardware => ({
  high: 0,
  bar: 0,
  hole: 0,
  prongs: 0,
  apart: 0,
  posts: [],
  setting: 0,
  pressed: 0.92,
  washer: 0,
  ...of,
})

/** Common hardware of no maker; sizes as such things are usually made (J). */
export const STARTER_HARDWARE: readonly Hardware[] = [
  ware({
    id: 'rivet-9',
    name: 'double-cap rivet, 9 mm',
    sort: 'rivet',
    across: 9,
    bar: 2.8,
    hole: 3,
    posts: [6, 8, 10, 12],
    setting: 2.5,
    washer: 0.8,
  }),
  ware({
    id: 'burr-3',
    name: 'copper rivet with burr, 3 mm',
    sort: 'burr',
    across: 9,
    bar: 3,
    hole: 3,
    posts: [12, 16, 20, 25],
    setting: 1.9,
    washer: 1,
  }),
  ware({
    id: 'snap-12',
    name: 'ring snap, 12.5 mm',
    sort: 'snap',
    across: 12.5,
    bar: 3.6,
    hole: 4,
    posts: [5, 6.5, 8],
    setting: 2.6,
    washer: 0.7,
  }),
  ware({ id: 'ring-25', name: 'D-ring, 25 mm', sort: 'ring', across: 25, high: 20, bar: 4 }),
  ware({ id: 'ring-35', name: 'D-ring, 35 mm', sort: 'ring', across: 35, high: 27, bar: 4 }),
  ware({ id: 'hook-25', name: 'swivel hook, 25 mm', sort: 'hook', across: 25, high: 45, bar: 4 }),
  ware({ id: 'hook-35', name: 'swivel hook, 35 mm', sort: 'hook', across: 35, high: 52, bar: 4.5 }),
  ware({ id: 'buckle-35', name: 'roller buckle, 35 mm', sort: 'buckle', across: 35, high: 30, bar: 4 }),
  ware({ id: 'bar-20', name: 'centre-bar buckle, 20 mm', sort: 'buckle', across: 20, high: 30, bar: 3 }),
  ware({
    id: 'lock-turn',
    name: 'turning lock, 34 × 22 mm',
    sort: 'lock',
    across: 34,
    high: 22,
    hole: 5,
    prongs: 2,
    apart: 18,
    posts: [5],
    setting: 1.5,
    washer: 1,
  }),
  ware({
    id: 'lock-tuck',
    name: 'plate of a tuck lock, 40 × 28 mm',
    sort: 'lock',
    across: 40,
    high: 28,
    hole: 4,
    prongs: 2,
    apart: 32,
    posts: [5],
    setting: 1.5,
  }),
  ware({
    id: 'lock-tongue',
    name: 'tongue of a tuck lock, 26 × 30 mm',
    sort: 'lock',
    across: 26,
    high: 30,
    bar: 2,
    hole: 2,
    posts: [5],
    setting: 1,
  }),
  ware({ id: 'loop-25', name: 'wire loop, 25 mm', sort: 'loop', across: 25, high: 10, bar: 3 }),
  ware({
    id: 'magnet-18',
    name: 'magnet closure, 18 mm',
    sort: 'magnet',
    across: 18,
    hole: 5,
    prongs: 2,
    apart: 9,
    posts: [6, 8],
    setting: 3,
    washer: 0.5,
  }),
  ware({
    id: 'foot-10',
    name: 'bag foot with screw, 10 mm',
    sort: 'foot',
    across: 10,
    bar: 3,
    hole: 3,
    posts: [5, 7, 9, 12],
    setting: 1.5,
    washer: 1,
  }),
  ware({ id: 'zip-5', name: 'metal zip, teeth 5 mm', sort: 'zip', across: 32, bar: 5 }),
]
