import { z } from 'zod'
import { drawnPanelSchema, tieSchema } from '../drawn/index.js'
import { kindIds, kindOf } from '../kinds/index.js'
import { drawnProblems } from './drawnProblems.js'
import { sewingSchema } from '../sewing/index.js'
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
export const DESIGN_VERSION = 7

/** What version 4 did not ask, with what it reckoned with (J); docs/formulas.md §17 and §19. */
const SINCE_5 = { play: 0.04, evenOver: 5, stitchSeconds: 35, runMinutes: 2 } as const
/** What version 6 did not ask: a blow of an iron with marking and setting it, and what a corner takes longer (J). */
const SINCE_7 = { blowSeconds: 25, cornerSeconds: 20 } as const

/** The workshop's own ways; lengths in mm. */
export const habitsSchema = z.strictObject({
  cornerSchool: z.enum(['hole', 'straddled']),
  /** Thread left at each needle. */
  tail: z.number().min(20).max(500),
  /** Share of thread added for what is pulled in and cut off. */
  waste: z.number().min(0).max(0.5),
  /** The longest thread one likes to sew with. */
  comfortable: z.number().min(200).max(10000),
  /** A hole keeps at least this far from the step of a pocket. */
  stepClearance: z.number().min(0).max(5),
  /** Share by which a pitch may differ from the iron's own before it shows. */
  play: z.number().min(0).max(0.2).default(SINCE_5.play),
  /** Over how many last stitches a stepped side is evened out. */
  evenOver: z.number().int().min(1).max(30).default(SINCE_5.evenOver),
  /** Seconds for a blow of an iron, for a stitch by hand, for a corner besides; minutes to thread up and begin a run. */
  blowSeconds: z.number().min(0.5).max(300).default(SINCE_7.blowSeconds),
  stitchSeconds: z.number().min(2).max(180).default(SINCE_5.stitchSeconds),
  cornerSeconds: z.number().min(0).max(300).default(SINCE_7.cornerSeconds),
  runMinutes: z.number().min(0).max(30).default(SINCE_5.runMinutes),
})
export type Habits = z.infer<typeof habitsSchema>

/** Ordinary shop practice (J). */
export const DEFAULT_HABITS: Habits = {
  cornerSchool: 'hole',
  tail: 150,
  waste: 0.06,
  comfortable: 2000,
  stepClearance: 1,
  ...SINCE_5,
  ...SINCE_7,
}

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
    contents: z.array(z.strictObject({ thing: thingSchema, count: z.number().int().min(1).max(40) })).max(24),
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
    habits: habitsSchema,
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
    for (const role of (kind.hardware ?? []).filter((r) => !Object.hasOwn(design.hardware, r.id)))
      context.addIssue({
        code: 'custom',
        path: ['hardware', role.id],
        message: `hardware for the ${role.label.toLowerCase()} is needed`,
      })
    for (const { path, message } of drawnProblems(design.drawn, design.leathers))
      context.addIssue({ code: 'custom', path: ['drawn', ...path], message })
  })

export type Design = z.infer<typeof designSchema>
