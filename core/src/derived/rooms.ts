import { type Point3, point3, point3Add } from '../geometry/index.js'
import type { Design } from '../design/index.js'
import type { InsideThing, Room } from '../master/index.js'
import { type Packed, type Packing, packInto, roomCorner } from '../whole/index.js'
import type { Derived } from './derive.js'

/** What goes into a bag as it stands in it; undefined for a thing that says nothing of its room. */
export function packingOf({ master, design }: Derived): Packing | undefined {
  const { room } = master
  return room && packedIn(room, inBody(design, room))
}

const packedIn = (room: Room, contents: Design['contents']): Packing =>
  packInto(
    contents,
    { wide: room.wide.value, high: room.high.value, deep: room.deep.value },
    room.ease,
    room.dividers,
  )

/** What goes into the body: all of it where there is no second compartment. */
export const inBody = ({ contents }: Design, room: Room): Design['contents'] =>
  room.second ? contents.filter((c) => c.where !== 'outer') : contents

/** A compartment with what goes into it. */
export interface PackedRoom {
  readonly room: Room
  /** What it is called where there are two; empty for the only one. */
  readonly name: string
  readonly packing: Packing
}

/** Every compartment of a bag as it is packed. */
export function packedRooms({ master, design }: Derived): readonly PackedRoom[] {
  const { room } = master
  if (!room) return []
  const { second } = room
  return [
    { room, name: second ? 'main compartment' : '', packing: packedIn(room, inBody(design, room)) },
    ...(second
      ? [
          {
            room: second,
            name: 'outer compartment',
            packing: packedIn(
              second,
              design.contents.filter((c) => c.where === 'outer'),
            ),
          },
        ]
      : []),
  ]
}

/** Something packed, in its own room, and how far that room lies from the left lower back corner of the body’s, mm. */
interface Placed {
  readonly own: Room
  readonly packed: Packed
  readonly from: Point3
}

/** All that is packed, where it stands: what is in a second compartment stands before the room of the body. */
function placed(derived: Derived): Placed[] {
  const { room } = derived.master
  return packedRooms(derived).flatMap(({ room: own, packing }, i) => {
    const { second } = room ?? {}
    const from =
      i > 0 && room && second
        ? point3((room.wide.value - second.wide.value) / 2, second.above, room.deep.value + second.before)
        : point3(0, 0, 0)
    return packing.packed.map((packed) => ({ own, packed, from }))
  })
}

/** Things where they stand in the room of the body: those of a second compartment before it. */
export const standingIn = (derived: Derived): readonly Packed[] =>
  placed(derived).map(({ packed, from }) => ({
    ...packed,
    x: packed.x + from.x,
    y: packed.y + from.y,
    z: packed.z + from.z,
  }))

/** Between walls that lean together at the foot a thing is pressed, and no thinner than so much, mm: where it stands is seen. */
const PRESSED = 0.2

/** How far forward a place of a room comes to stand, so far over its floor, the bag open by so much. */
function pressed({ leans, deep }: Room, opened: number): (z: number, up: number) => number {
  if (!leans) return (z) => z
  const middle = leans.from === 'middle' ? deep.value / 2 : 0
  return (z, up) => {
    const share = Math.min(1, Math.max(PRESSED, leans.to(opened, up)) / deep.value)
    return middle + (z - middle) * share
  }
}

/** Things where they stand in space, the bag open by so much. */
export function thingsInside(derived: Derived, opened: number): readonly InsideThing[] {
  const { room } = derived.master
  if (!room) return []
  const corner = roomCorner(room)
  return placed(derived).map(({ own, packed: { thing, x, y, z, wide, high, deep }, from }): InsideThing => {
    const out = pressed(own, opened)
    const level = (up: number): Point3[] =>
      (
        [
          [x, z],
          [x + wide, z],
          [x + wide, z + deep],
          [x, z + deep],
        ] as const
      ).map(([across, back]) => point3Add(point3Add(corner, from), point3(across, up, out(back, up))))
    return { name: thing.name, foot: level(y), top: level(y + high) }
  })
}
