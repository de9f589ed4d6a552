import { z } from 'zod'
import { type Making, daySchema } from '../makings/index.js'
import { idSchema } from '../stores/index.js'

const size = z.number().min(10).max(3000).optional()

/** Somebody things are made for. Kept here only, exported on request, and deleted wholly on request. */
export const clientSchema = z.strictObject({
  id: idSchema,
  name: z.string().trim().min(1).max(120),
  wishes: z.string().max(2000),
  /** mm. */
  sizes: z.strictObject({ wrist: size, hand: size, belt: size }),
  note: z.string().max(2000),
  since: daySchema,
  example: z.boolean(),
})
export type Client = z.infer<typeof clientSchema>

/** A making without the client: name, wishes and who has it are gone; what was learnt of the work stays. */
export function withoutClient(making: Making, { id, name }: Pick<Client, 'id' | 'name'>): Making {
  const theirs = making.record.client === id || making.forWhom === name
  if (!theirs && making.record.has !== name) return making
  const { client: _, ...record } = making.record
  return {
    ...making,
    forWhom: theirs ? '' : making.forWhom,
    record: { ...record, wishes: [], has: '', ...(theirs ? {} : { wishes: making.record.wishes }) },
  }
}
