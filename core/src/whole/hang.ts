import { firstOf, lastOf } from '../lists/index.js'
import {
  type Point3,
  boxHeight,
  boxWidth,
  pathArea,
  pathBox,
  point3,
  point3Add,
  point3Scale,
  pointInside,
  pointMoved,
} from '../geometry/index.js'
import type { LaidUp } from '../layup/index.js'
import type { Master, Room } from '../master/index.js'
import { type OnStage, onStage, placeInSpace } from '../space/index.js'
import { type Leather, densityOf } from '../stores/index.js'
import type { Packed } from './packing.js'

/** How a bag hangs from its strap or handle. Angles in degrees. */
export interface Hang {
  readonly name: string
  /** Grams of leather and of what is in it. */
  readonly leather: number
  readonly contents: number
  /** Where all of it balances, and the middle of what it hangs from. */
  readonly balance: Point3
  readonly from: Point3
  /** How far the top leans: to the front where positive. */
  readonly tilt: number
  /** Share of the weight on the right one of two points. */
  readonly right: number
}

/** Places a sheet is sampled at each way, to find its middle. */
const SAMPLES = 11

interface Mass {
  readonly grams: number
  readonly at: Point3
}

function massOf(one: OnStage, leathers: Readonly<Record<string, Leather>>): Mass | undefined {
  const panel = one.laid.work?.panel
  if (!panel) return undefined
  const { outline, thickness } = one.laid
  const box = pathBox(outline)
  const places: Point3[] = []
  for (let i = 0; i < SAMPLES; i += 1)
    for (let k = 0; k < SAMPLES; k += 1) {
      const p = {
        x: box.left + ((i + 0.5) * boxWidth(box)) / SAMPLES,
        y: box.top + ((k + 0.5) * boxHeight(box)) / SAMPLES,
      }
      if (pointInside(p, outline)) places.push(placeInSpace(one.parts, pointMoved(p, one.toHost)).at)
    }
  if (places.length === 0) return undefined
  const own = panel.stock ? undefined : leathers[panel.role]
  return {
    grams: (Math.abs(pathArea(outline)) * thickness * densityOf(own)) / 1000,
    at: point3Scale(places.reduce(point3Add), 1 / places.length),
  }
}

const balanceOf = (masses: readonly Mass[]): Mass => {
  const grams = masses.reduce((sum, m) => sum + m.grams, 0)
  const at = masses.reduce<Point3>((sum, m) => point3Add(sum, point3Scale(m.at, m.grams)), point3(0, 0, 0))
  return { grams, at: grams > 0 ? point3Scale(at, 1 / grams) : at }
}

/** Where the left lower back corner of a bag’s room stands in space, mm: its middle lies over the middle of the bag’s foot. */
export const roomCorner = ({ wide, deep, floor }: Room): Point3 =>
  point3(-wide.value / 2, floor, -deep.value / 2)

/** Things as they stand in the room with that corner. */
const massOfThing =
  (corner: Point3) =>
  ({ thing, x, y, z, wide, high, deep }: Packed): Mass => ({
    grams: thing.grams,
    at: point3Add(corner, point3(x + wide / 2, y + high / 2, z + deep / 2)),
  })

/** How the work hangs from each of what it can be carried by, with things in it. */
export function hangsOf(
  master: Master,
  open: LaidUp,
  leathers: Readonly<Record<string, Leather>>,
  packed: readonly Packed[],
): Hang[] {
  const { hanging = [], room } = master
  if (hanging.length === 0 || !master.standing) return []
  const stage = onStage(master, open, 0)
  const leather = balanceOf(stage.flatMap((s) => (s.group ? [] : (massOf(s, leathers) ?? []))))
  const contents = balanceOf(packed.map(massOfThing(room ? roomCorner(room) : point3(0, 0, 0))))
  const all = balanceOf([leather, contents])
  return hanging.flatMap(({ name, points }) => {
    const places = points.flatMap(({ sheet, at }) => {
      const on = stage.find((s) => s.laid.sheet.id === sheet)
      return on ? [placeInSpace(on.parts, pointMoved(at, on.toHost)).at] : []
    })
    if (places.length === 0) return []
    const from = point3Scale(places.reduce(point3Add), 1 / places.length)
    const drop = Math.max(1, from.y - all.at.y)
    const [a, b] = [firstOf(places), lastOf(places)]
    const apart = a.x - b.x
    return [
      {
        name,
        leather: leather.grams,
        contents: contents.grams,
        balance: all.at,
        from,
        // Hanging free, the balance comes to lie under the line through the points: what is heavy in front tips forward.
        tilt: (Math.atan2(all.at.z - from.z, drop) * 180) / Math.PI,
        right: Math.abs(apart) > 1 ? Math.min(1, Math.max(0, (all.at.x - b.x) / apart)) : 0.5,
      },
    ]
  })
}
