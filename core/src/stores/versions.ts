import { LEATHER_SINCE_2 } from './leather.js'
import { STARTER_STORES } from './starter.js'
import { type Stores, storesSchema } from './schema.js'

type Plain = Record<string, unknown>

/** A leather of version 1 brought up to version 2: it turned as it folded. */
export const leatherOf1 = (leather: unknown): unknown => {
  const one = leather as Plain
  return 'use' in one ? one : { ...LEATHER_SINCE_2, turn: one.neutral, ...one }
}

/** Reads stores of any version. Throws what the schema says where they do not hold. */
export function readStoresData(data: unknown): Stores {
  let found = data as Plain
  if (found.version === 1)
    found = { ...found, version: 2, leathers: (found.leathers as unknown[]).map(leatherOf1) }
  // Version 2 knew no machines; irons and threads it knew with less said of them, which the schema fills in.
  if (found.version === 2) found = { ...found, version: 3, machines: STARTER_STORES.machines }
  // Version 3 knew no hardware and nothing to put into a bag.
  if (found.version === 3)
    found = { ...found, version: 4, hardware: STARTER_STORES.hardware, things: STARTER_STORES.things }
  return storesSchema.parse(found)
}
