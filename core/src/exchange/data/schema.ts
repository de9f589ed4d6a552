import { z } from 'zod'

/** Millimetres, to a millionth. */
const mm = z.number()
const said = z.string()

/** A number with how it came about. */
const size = z.object({
  key: said,
  label: said,
  value: mm.meta({ description: 'mm, or a number where its working says so' }),
  figured: mm.meta({ description: 'what it is without being written over' }),
  own: z.boolean().meta({ description: 'written over by the maker' }),
  working: said,
})

const piece = z.object({
  id: said,
  name: said,
  count: z.int(),
  flipped: z.int().meta({ description: 'how many of them are cut turned over' }),
  material: said,
  thickness: mm.nullable().meta({ description: 'null for card and the like' }),
  width: mm,
  height: mm,
  area: z.number().meta({ description: 'mm² of one' }),
  holes: z.int(),
  outline: said.meta({ description: 'the cut line as an SVG path, mm, y downwards' }),
  places: z
    .array(z.tuple([mm, mm]))
    .meta({ description: 'stitch holes, x and y in the coordinates of the outline' }),
})

const seam = z.object({
  id: said,
  name: said,
  length: mm,
  sewn: z.enum(['through', 'apart', 'machine']),
  holes: z.int(),
  otherSide: z
    .int()
    .meta({ description: 'holes of the other side where both are holed apart, else as many' }),
  times: z.int(),
  pitches: z.array(mm),
  thickest: mm,
  thread: mm,
  lengths: z.int().meta({ description: 'in how many lengths of thread' }),
})

const fitting = z.object({
  id: said,
  name: said,
  hardware: said,
  count: z.int(),
  stack: mm.nullable().meta({ description: 'what it is set through' }),
  post: mm.nullable().meta({ description: 'the post it takes' }),
})

const toBuy = z.object({
  what: said,
  count: z.number(),
  unit: z.enum(['pieces', 'mm', 'dm²']),
  note: said,
})

const finding = z.object({
  key: said,
  rank: z.enum(['stop', 'look', 'tip']),
  what: said,
  why: said,
  overruled: z.boolean(),
})

/** Everything that follows from a design, as others read it; lengths mm. Additions raise no form, what is taken away or changed does. */
export const dataSchema = z
  .object({
    format: z.literal('drumlin.data'),
    form: z.literal(1),
    design: z.object({ id: said, name: said, kind: said, draft: said }),
    sizes: z.array(size),
    pieces: z.array(piece),
    seams: z.array(seam),
    fittings: z.array(fitting),
    toBuy: z.array(toBuy),
    findings: z.array(finding),
  })
  .meta({ title: 'Drumlin data, form 1' })
export type Data = z.infer<typeof dataSchema>

/** The schema as JSON Schema (draft 2020-12), for docs and for others' programs. */
export const dataJsonSchema = (): unknown => z.toJSONSchema(dataSchema, { io: 'input' })
