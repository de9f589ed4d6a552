import { firstOf, nth } from '../lists/index.js'
import { setField } from '../design/index.js'
import { fieldsOf } from '../kinds/index.js'
import { printBoth, printLength } from '../measure/index.js'
import type { Room } from '../master/index.js'
import type { Packing } from '../whole/index.js'
import { packedRooms, sideMade } from '../derived/index.js'
import { type Fix, type Found, check } from './finding.js'

const SLACK = 0.05
const SIDES = [
  ['wide', 'width'],
  ['high', 'height'],
  ['deep', 'depth'],
] as const

/** What is short of room; lengths mm. */
type Misfit = Inside | (Stuck & { readonly where: string })
export interface Inside {
  readonly sort: 'inside'
  /** Which compartment: the body, or the second one. */
  readonly room: number
  /** “the outer compartment”; empty for the only one. */
  readonly where: string
  readonly side: Side
  readonly needs: number
  readonly has: number
}
export interface Stuck {
  readonly sort: 'mouth'
  readonly along: 'wide' | 'deep'
  readonly needs: number
  readonly has: number
}
type Side = (typeof SIDES)[number]

/** Things that fit inside, but not through the mouth. */
function stuck(
  { packed }: Packing,
  room: Room,
): { readonly id: string; readonly name: string; readonly misfit: Stuck }[] {
  return packed.flatMap((q) => {
    const over = [
      { along: 'wide', needs: q.wide, has: room.mouthWide.value },
      { along: 'deep', needs: q.deep, has: room.mouthDeep.value },
    ] as const
    const worst = over.toSorted((a, b) => b.needs - b.has - (a.needs - a.has))[0]
    return worst && worst.needs > worst.has + SLACK
      ? [{ id: q.thing.id, name: q.thing.name, misfit: { sort: 'mouth', ...worst } }]
      : []
  })
}

/** What is to go in does not fit, or does not go through the mouth. */
export const contentsFit = check({
  code: 'contents-fit',
  screen: 'brief',
  find: (derived): readonly Found<Misfit>[] =>
    packedRooms(derived).flatMap(({ room, name, packing }, i): readonly Found<Misfit>[] => {
      if (packing.packed.length === 0) return []
      const places = [{ panelId: room.panelId, at: { x: 30, y: 30 } }]
      const own = i === 0 ? '' : 'outer:'
      const where = name ? `the ${name}` : ''
      const short = SIDES.filter(([side]) => packing.needs[side] > room[side].value + SLACK)
      return short.length > 0
        ? short.map((side) => ({
            key: `contents-fit:${own}${side[0]}`,
            rank: 'stop',
            places,
            about: `${side[1]} inside${where ? `, ${name}` : ''}`,
            data: {
              sort: 'inside',
              room: i,
              where,
              side,
              needs: packing.needs[side[0]],
              has: room[side[0]].value,
            },
          }))
        : stuck(packing, room).map(({ id, name: thing, misfit }) => ({
            key: `contents-fit:${own}mouth:${id}`,
            rank: 'stop',
            places,
            about: thing,
            data: { ...misfit, where },
          }))
    }),
  say: ({ about, data }, unit) =>
    data.sort === 'mouth'
      ? {
          what: `The ${about} does not go through the mouth${data.where ? ` of ${data.where}` : ''}, which is ${printBoth(data.has, data.needs, unit)[0]} ${data.along}: it needs ${printBoth(data.has, data.needs, unit)[1]}.`,
          why: 'It fits inside, but can’t be put in or pulled out.',
        }
      : {
          what: `What goes in${data.where ? `to ${data.where}` : ''} needs ${printBoth(data.needs, data.has, unit)[0]} of ${data.side[1]}; there are ${printBoth(data.needs, data.has, unit)[1]}.`,
          why: 'Room round it is counted. Make the bag larger, or carry less.',
        },
  fixes: ({ data }, derived, _tryOut, unit): Fix[] => {
    if (data.sort === 'mouth') return []
    const room = nth(packedRooms(derived), data.room).room
    const { kind } = derived
    const [side] = data.side
    const changes = sideMade(derived, room, side, data.needs)
    const field = fieldsOf(kind).find((f) => f.id === firstOf(changes).path[1])
    if (!field) return []
    const larger = `the ${field.label} ${printLength(Number(firstOf(changes).value), unit)}`
    const walls =
      side === 'deep' && room.dividers.count > 0 ? fieldsOf(kind).find((f) => f.id === 'divider') : undefined
    return [
      { label: `Make ${larger}`, edit: { name: larger.slice('the '.length), changes } },
      ...(walls
        ? [{ label: 'Leave the divider out', edit: setField('no divider', walls.path, 'none') }]
        : []),
    ]
  },
})
