import { z } from 'zod'
import { kindIds, kindOf } from '../kinds/index.js'
import { idSchema, ironSchema, leatherSchema, threadSchema } from '../stores/index.js'

export const DESIGN_FORMAT = 'drumlin.design'
/** The version this code writes. Older ones are brought up to it by `versions.ts`. */
export const DESIGN_VERSION = 1

/** What the maker decided, and nothing that can be worked out. Materials are copied in, so it opens anywhere. */
export const designSchema = z
  .strictObject({
    format: z.literal(DESIGN_FORMAT),
    version: z.literal(DESIGN_VERSION),
    id: idSchema,
    name: z.string().trim().min(1).max(80),
    kind: z.enum(kindIds() as [string, ...string[]]),
    params: z.record(z.string(), z.unknown()),
    leathers: z.record(z.string(), leatherSchema),
    iron: ironSchema,
    thread: threadSchema,
    /** Numbers the maker wrote over computed ones, by the key of the working. */
    overrides: z.record(z.string(), z.number()),
  })
  .superRefine((design, context) => {
    const kind = kindOf(design.kind)
    const params = kind.params.safeParse(design.params)
    for (const issue of params.error?.issues ?? [])
      context.addIssue({ code: 'custom', path: ['params', ...issue.path], message: issue.message })
    for (const role of kind.roles.filter((r) => !Object.hasOwn(design.leathers, r.id)))
      context.addIssue({ code: 'custom', path: ['leathers', role.id], message: `a leather for the ${role.label.toLowerCase()} is needed` })
  }) // prettier-ignore

export type Design = z.infer<typeof designSchema>
