import { LEATHER_SINCE_2 } from './leather.js'
import type { GroundPart } from './hides.js'
import { STARTER_STORES } from './starter.js'
import { typicalGround } from './typical.js'
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
  // Version 4 knew hides only as parts of a leather, with an area.
  if (found.version === 4) found = storesOf4(found)
  return storesSchema.parse(found)
}

/** Each part that lay on the shelf as the hide that such a part usually is. */
function storesOf4(four: Plain): Plain {
  const leathers = four.leathers as Plain[]
  const hides = leathers.flatMap(({ id, name, parts }) =>
    ((parts ?? []) as { part: GroundPart; area: number; price: number; currency: string }[]).map(
      ({ part, area, price, currency }, i) => ({
        id: `${String(id)}-${i + 1}`.slice(0, 64),
        name: `${String(name)}, ${part}`.slice(0, 80),
        of: id,
        part,
        batch: '',
        price,
        currency,
        ...typicalGround(part, area),
        flaws: [],
        spots: [],
      }),
    ),
  )
  return { ...four, version: 5, leathers: leathers.map(({ parts: _, ...rest }) => rest), hides }
}
