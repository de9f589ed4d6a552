import { z } from 'zod'
import { wordsSchema } from '../stores/index.js'
import { REACH } from './place.js'
import { sortIds } from './sorts.js'

/** What the maker put on a panel: what it is, where, and its own settings. Lengths mm, degrees. */
export const addedSchema = z.strictObject({
  sort: z.enum(sortIds() as [string, ...string[]]),
  name: wordsSchema(60),
  /** The panel it is put on, and which of its sides. */
  on: z.string().min(1).max(120),
  side: z.enum(['grain', 'flesh']),
  edge: z.string().min(1).max(120),
  inward: z.number().min(REACH.inward[0]).max(REACH.inward[1]),
  aside: z.number().min(REACH.aside[0]).max(REACH.aside[1]),
  turned: z.number().min(-180).max(180),
  both: z.enum(['once', 'mirrored']),
  params: z.record(z.string(), z.unknown()),
})
export type Added = z.infer<typeof addedSchema>

/** A later one may be put on an earlier one. */
export const addedIdSchema = z.string().regex(/^added-[0-9]{1,3}$/, 'added- and a number')
