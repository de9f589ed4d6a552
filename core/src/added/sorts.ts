import type { AddedSort } from './sort.js'
import { long, skive } from './sorts/edges.js'
import { border } from './sorts/border.js'
import { burr, lock, magnet, rivet, snap } from './sorts/fasteners.js'
import { lash } from './sorts/lash.js'
import { loop } from './sorts/loop.js'
import { holes, slot } from './sorts/openings.js'
import { overlay } from './sorts/overlay.js'
import { patch } from './sorts/patch.js'
import { pocket } from './sorts/pocket.js'
import { reinforcement } from './sorts/reinforcement.js'
import { sleeve } from './sorts/sleeve.js'
import { stamp } from './sorts/stamp.js'
import { strip } from './sorts/strip.js'
import { tab } from './sorts/tab.js'
import { zipPocket } from './sorts/zipPocket.js'

/** Everything that can be put on a panel, in the order in which it is offered; a new sort is its file and its line here. */
export const SORTS: readonly AddedSort[] = [
  pocket,
  zipPocket,
  patch,
  overlay,
  reinforcement,
  tab,
  loop,
  strip,
  sleeve,
  lash,
  rivet,
  burr,
  snap,
  magnet,
  lock,
  slot,
  holes,
  stamp,
  border,
  skive,
  long,
]

const BY_ID: ReadonlyMap<string, AddedSort> = new Map(SORTS.map((s) => [s.id, s]))
export const sortIds = (): readonly string[] => SORTS.map((s) => s.id)

/** The sort of that id; throws for one that is not known, which the design's schema rules out. */
export function sortOf(id: string): AddedSort {
  const sort = BY_ID.get(id)
  if (!sort) throw new RangeError(`no sort of part “${id}”`)
  return sort
}
