import { z } from 'zod'
import { addedIdSchema, addedProblems, addedSchema } from '../added/index.js'
import { drawnPanelSchema, tieSchema } from '../drawn/index.js'
import { kindIds, kindOf } from '../kinds/index.js'
import { cuttingSchema } from './cutting.js'
import { drawnProblems } from './drawnProblems.js'
import { HABITS, sewingSchema } from '../sewing/index.js'
import { workSchema } from '../work/index.js'
import {
  awlSchema,
  hardwareSchema,
  idSchema,
  ironSchema,
  leatherSchema,
  machineSchema,
  problemWords,
  thingSchema,
  threadSchema,
  wordsSchema,
} from '../stores/index.js'

export const DESIGN_FORMAT = 'drumlin.design'
/** The version this code writes. Older ones are brought up to it by `versions.ts`. */
export const DESIGN_VERSION = 15

/** What the maker decided, and nothing that can be worked out. Materials are copied in, so it opens anywhere. */
export const designSchema = z
  .strictObject({
    format: z.literal(DESIGN_FORMAT),
    version: z.literal(DESIGN_VERSION),
    id: idSchema,
    name: wordsSchema(80),
    /** Which draft of it this is, as the maker calls it; printed on every piece. */
    draft: wordsSchema(40),
    kind: z.enum(kindIds() as [string, ...string[]]),
    params: z.record(z.string(), z.unknown()),
    leathers: z.record(z.string(), leatherSchema),
    /** Hardware by the part it plays. */
    hardware: z.record(z.string(), hardwareSchema),
    /** What goes in, and how many of each. */
    contents: z
      .array(
        z.strictObject({
          thing: thingSchema,
          count: z.number().int().min(1).max(40),
          /** In which compartment, where there is a second one; else in the body. */
          where: z.enum(['body', 'outer']).optional(),
        }),
      )
      .max(24),
    iron: ironSchema,
    awl: awlSchema,
    thread: threadSchema,
    machine: machineSchema,
    sewing: sewingSchema,
    /** Numbers the maker wrote over computed ones, by the key of the working. */
    overrides: z.record(z.string(), z.number()),
    /** Thicknesses wanted in named bands, by the band's key, mm. */
    skives: z.record(z.string(), z.number().min(0).max(8)),
    /** In how many lengths of thread a run is sewn, by the run's id, where more than one. */
    lengths: z.record(z.string(), z.number().int().min(2).max(20)),
    /** Panels drawn by hand; one with the id of a kind's panel was taken over from it. */
    drawn: z.array(drawnPanelSchema).max(60),
    /** Edges of drawn panels that have to match. */
    ties: z.array(tieSchema).max(120),
    /** What was put on its panels, by id. */
    added: z.record(addedIdSchema, addedSchema),
    habits: HABITS.schema,
    cutting: cuttingSchema,
    /** The order of work and what it takes. */
    work: workSchema,
    /** Findings the maker knows better than, with the reason. */
    overruled: z.array(z.strictObject({ finding: z.string().min(1), reason: wordsSchema(400) })),
  })
  .superRefine((design, context) => {
    const kind = kindOf(design.kind)
    const params = kind.params.safeParse(design.params)
    for (const issue of params.error?.issues ?? [])
      context.addIssue({ code: 'custom', path: ['params', ...issue.path], message: problemWords(issue) })
    for (const role of kind.roles.filter((r) => !Object.hasOwn(design.leathers, r.id)))
      context.addIssue({
        code: 'custom',
        path: ['leathers', role.id],
        message: `a leather for the ${role.label.toLowerCase()} is needed`,
      })
    for (const role of kind.hardware.filter((r) => !Object.hasOwn(design.hardware, r.id)))
      context.addIssue({
        code: 'custom',
        path: ['hardware', role.id],
        message: `hardware for the ${role.label.toLowerCase()} is needed`,
      })
    for (const { path, message } of drawnProblems(design.drawn, design.leathers))
      context.addIssue({ code: 'custom', path: ['drawn', ...path], message })
    for (const { path, message } of addedProblems(design.added, design.leathers, design.hardware))
      context.addIssue({ code: 'custom', path: ['added', ...path], message })
  })

export type Design = z.infer<typeof designSchema>
