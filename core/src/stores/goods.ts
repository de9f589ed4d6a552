import type { Shelf } from './column.js'
import { followingUsual } from './leather.js'
import type { Hide } from './hides.js'
import { type Leather, type Stores, reckonedThickness } from './schema.js'

export type Good = Stores[Shelf][number]

/**
 * A leather with the thickness its choice asks for; one whose thickness was written over is reckoned with that. What is
 * usual of its tannage, temper and thickness follows them until the maker writes something else.
 */
function settled(leather: Leather, before: Leather | undefined): Leather {
  const written = before && before.use === leather.use && before.thickness !== leather.thickness
  const use = written ? 'own' : leather.use
  const now = { ...leather, use, thickness: reckonedThickness({ ...leather, use }) }
  return before ? followingUsual(before, now) : now
}

/** The stores with one thing put on a shelf in place of the one of its id, or at the end. */
export function withGood(stores: Stores, shelf: Shelf, good: Good): Stores {
  const list = stores[shelf] as readonly Good[]
  const known = list.some((g) => g.id === good.id)
  const put =
    shelf === 'leathers'
      ? settled(good as Leather, list.find((g) => g.id === good.id) as Leather | undefined)
      : good
  return { ...stores, [shelf]: known ? list.map((g) => (g.id === good.id ? put : g)) : [...list, put] }
}

/** The stores without the thing of that id. A shelf keeps its last one: a new job needs something to start with. */
export function withoutGood(stores: Stores, shelf: Shelf, id: string): Stores {
  const left = (stores[shelf] as readonly Good[]).filter((g) => g.id !== id)
  return left.length === 0 ? stores : { ...stores, [shelf]: left }
}

/** The stores with a hide put on the shelf, in place of the one of its id or at the end. */
export const withHide = (stores: Stores, hide: Hide): Stores => ({
  ...stores,
  hides: stores.hides.some((h) => h.id === hide.id)
    ? stores.hides.map((h) => (h.id === hide.id ? hide : h))
    : [...stores.hides, hide],
})

/** The stores without a hide. */
export const withoutHide = (stores: Stores, id: string): Stores => ({
  ...stores,
  hides: stores.hides.filter((h) => h.id !== id),
})
