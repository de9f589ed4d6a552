import { type Derived } from './derive.js'
import type { Edit } from './design/index.js'
import type { StrapRun } from './master/index.js'
import {
  type Box3,
  type Hang,
  type Packing,
  type ToBuy,
  type Turnable,
  hangsOf,
  longestRun,
  packInto,
  shoppingList,
  smallestRoom,
  turnableOf,
} from './whole/index.js'
import { reckoner } from './working/index.js'

/** What goes into a bag as it stands in it; undefined for a thing that says nothing of its room. */
export function packingOf({ master, design }: Derived): Packing | undefined {
  const { room } = master
  if (!room) return undefined
  const size = { wide: room.wide.value, high: room.high.value, deep: room.deep.value }
  return packInto(design.contents, size, room.ease, room.dividers)
}

/** The smallest room that takes what is to go in, in whole millimetres and within what its settings take; undefined where none does. */
export function smallestFor({ master, design, kind }: Derived): Box3 | undefined {
  const { room } = master
  if (!room) return undefined
  const end = (side: keyof Box3, which: 'least' | 'most'): number => {
    const field = kind.fields.find((f) => f.id === room.fields[side])
    return field?.type === 'length' ? field[which] : which === 'least' ? 0 : Infinity
  }
  const most = { wide: end('wide', 'most'), high: end('high', 'most'), deep: end('deep', 'most') }
  const need = smallestRoom(design.contents, room.ease, most, room.dividers)
  if (!need || design.contents.length === 0) return undefined
  const side = (of: keyof Box3): number => Math.max(end(of, 'least'), Math.ceil(need[of]))
  return { wide: side('wide'), high: side('high'), deep: side('deep') }
}

/** The room inside made as large as that, as one edit. */
export const makeRoom = ({ master }: Derived, to: Box3): Edit => ({
  name: 'the smallest that takes them',
  changes: (['wide', 'high', 'deep'] as const).map((side) => ({
    path: ['params', master.room!.fields[side]],
    value: to[side],
  })),
})

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

/** A length of strap with its leather, and the longest run its shelf gives, mm; undefined where none of it is there. */
export interface StrapLength extends StrapRun {
  readonly leather: string
  readonly longest: number | undefined
}

/** Every strap that is cut in one run, with what the shelf gives for it. */
export const strapsOf = ({ master, design }: Pick<Derived, 'master' | 'design'>): StrapLength[] =>
  (master.strapRuns ?? []).flatMap((run) => {
    const leather = design.leathers[run.role]
    return leather ? [{ ...run, leather: leather.name, longest: longestRun(leather) }] : []
  })
