import { type Derived } from './derive.js'
import {
  type Hang,
  type Packing,
  type ToBuy,
  type Turnable,
  hangsOf,
  packInto,
  shoppingList,
  turnableOf,
} from './whole/index.js'
import { reckoner } from './working/index.js'

/** What goes into a bag as it stands in it; undefined for a thing that says nothing of its room. */
export function packingOf({ master, design }: Derived): Packing | undefined {
  const { room } = master
  if (!room) return undefined
  const ease = typeof design.params.ease === 'number' ? design.params.ease : 0
  const size = { wide: room.wide.value, high: room.high.value, deep: room.deep.value }
  return packInto(design.contents, size, ease)
}

/** How the work hangs with what is in it. */
export function hangingOf(derived: Derived): Hang[] {
  const [open] = derived.works
  if (!open) return []
  return hangsOf(derived.master, open, derived.design.leathers, packingOf(derived)?.packed ?? [])
}

/** How hard it is to turn; undefined where it is not sewn inside out. */
export const turningOf = ({ master, design }: Derived): Turnable | undefined =>
  turnableOf(master, design.leathers, reckoner(design.overrides))

/** What has to be bought for it besides leather and thread. */
export const toBuy = ({ fittings, edges, master }: Derived): ToBuy[] => shoppingList(fittings, edges, master)
