import { nth, required } from '../lists/index.js'
import { type Derived } from './derive.js'
import { inBody, standingIn } from './rooms.js'
import type { Edit } from '../design/index.js'
import type { Units } from '../measure/index.js'
import type { Room, StrapRun } from '../master/index.js'
import {
  type Box3,
  type Hang,
  type ToBuy,
  type Turnable,
  hangsOf,
  longestRun,
  shoppingList,
  smallestRoom,
  turnableOf,
} from '../whole/index.js'
import { reckoner } from '../working/index.js'

const SIDES = ['wide', 'high', 'deep'] as const
type Side = (typeof SIDES)[number]

/** What each setting of a side stands above the smallest of them: a taper is kept. */
function aboveLeast({ design }: Derived, room: Room, side: Side): { field: string; above: number }[] {
  const { fields } = room.settings[side]
  const values = fields.map((f) => Number(design.params[f]))
  return fields.map((field, i) => ({ field, above: nth(values, i) - Math.min(...values) }))
}

/** How large or small a side of the room can be made with its settings, mm. */
function endOf(derived: Derived, side: Side, which: 'min' | 'max'): number {
  const room = required(derived.master.room, 'room')
  const ends = aboveLeast(derived, room, side).map(({ field, above }) => {
    const found = derived.kind.fields.find((f) => f.id === field)
    return found?.type === 'length' ? found[which] - above : which === 'min' ? 0 : Infinity
  })
  return room.settings[side].share * (which === 'min' ? Math.max(...ends) : Math.min(...ends))
}

/** The smallest room that takes what is to go in, its settings whole millimetres and within what they take; undefined where none does. */
export function smallestFor(derived: Derived): Box3 | undefined {
  const { room } = derived.master
  if (!room) return undefined
  const contents = inBody(derived.design, room)
  if (contents.length === 0) return undefined
  const end = (side: Side): number => endOf(derived, side, 'max')
  const need = smallestRoom(
    contents,
    room.ease,
    { wide: end('wide'), high: end('high'), deep: end('deep') },
    room.dividers,
  )
  if (!need) return undefined
  const sized = (side: Side): number => {
    const { share } = room.settings[side]
    return Math.max(endOf(derived, side, 'min'), share * Math.ceil(need[side] / share - 1e-9))
  }
  return { wide: sized('wide'), high: sized('high'), deep: sized('deep') }
}

/** What the settings of one side of a room are to be so that it is `to` mm; whole millimetres of them. */
export const sideMade = (derived: Derived, room: Room, side: Side, to: number): Edit['changes'] => {
  const { share, besides = 0 } = room.settings[side]
  return aboveLeast(derived, room, side).map(({ field, above }) => ({
    path: ['params', field],
    value: Math.ceil((to + besides) / share - 1e-9) + above,
  }))
}

/** The room inside made as large as that, as one edit. */
export const makeRoom = (derived: Derived, to: Box3): Edit => ({
  name: 'the smallest that takes them',
  changes: SIDES.flatMap((side) => sideMade(derived, required(derived.master.room, 'room'), side, to[side])),
})

/** How the work hangs with what is in it. */
export function hangingOf(derived: Derived): Hang[] {
  const [open] = derived.works
  if (!open) return []
  return hangsOf(derived.master, open, derived.design.leathers, standingIn(derived))
}

/** How hard it is to turn; undefined where it is not sewn inside out. */
export const turningOf = ({ master, design }: Derived): Turnable | undefined =>
  turnableOf(master, design.leathers, reckoner(design.overrides))

/** What has to be bought for it besides leather and thread. */
export const toBuy = ({ fittings, edges, master }: Derived, unit: Units = 'mm'): ToBuy[] =>
  shoppingList(fittings, edges, master, unit)

/** A length of strap with its leather, and the longest run the hides give, mm; undefined where none are chosen. */
export interface StrapLength extends StrapRun {
  readonly leather: string
  readonly longest: number | undefined
}

const hidesOf = ({ cutting }: Derived['design'], id: string) => cutting.hides.filter((h) => h.of === id)

/** Every strap that is cut in one run, with what the hides that it is cut from give for it. */
export const strapsOf = ({ master, design }: Pick<Derived, 'master' | 'design'>): StrapLength[] =>
  (master.strapRuns ?? []).flatMap((run) => {
    const leather = design.leathers[run.role]
    return leather
      ? [{ ...run, leather: leather.name, longest: longestRun(hidesOf(design, leather.id)) }]
      : []
  })
