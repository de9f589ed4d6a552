import type { Point } from '../geometry/index.js'
import type { Ground, LandAsked, LyingThing, Worth } from '../packing/index.js'
import type { Hide } from '../stores/index.js'
import type { Wanted } from './demand.js'
import { type Lying, cutWay, straightTurn, tidy, turnsOf } from './lying.js'
import { keepsOff } from './rules.js'
import { GROUNDS, standsOf } from './stands.js'
import { type World, worldOf } from './world.js'
import { regionArea } from '../geometry/index.js'

/** Pieces of one material and the hides they are to come out of. */
export interface LayAsked {
  readonly hides: readonly Hide[]
  readonly wanted: readonly Wanted[]
  /** Room for the knife between two pieces, mm. */
  readonly gap: number
  /** Every piece at any angle: more comes out, and it may twist. */
  readonly anyAngle: boolean
  /** Where pieces lie already. */
  readonly lying: readonly Lying[]
  /** Pieces that stay where they lie, by id, and pieces that are left out. */
  readonly locked: readonly string[]
  readonly aside: readonly string[]
  readonly seed: number
}

/** What is asked of packing, and how to read what it answers. */
export interface Bench {
  readonly asked: LandAsked
  readonly world: World
  /** In the order in which they are laid. */
  readonly wanted: readonly Wanted[]
}

/** A pair lies as far from the backbone as the other, within so much, mm. */
export const PAIR_APART = 150

/** Straps first, the longest in front; then what shows or bears, and what is hidden; the largest first. */
function inOrder(wanted: readonly Wanted[]): Wanted[] {
  const rank = ({ demand }: Wanted): number => (demand.strap ? 0 : demand.shows || demand.bears ? 1 : 2)
  const size = ({ demand }: Wanted): number => demand.strap?.long ?? regionArea([demand.outline])
  return wanted.toSorted((a, b) => rank(a) - rank(b) || size(b) - size(a) || (a.id < b.id ? -1 : 1))
}

/** Shapes once each, whoever uses them. */
function shapeList(): {
  readonly shapes: { outline: readonly Point[]; turns: readonly number[] }[]
  readonly add: (key: string, outline: readonly Point[], turns: readonly number[]) => number
} {
  const shapes: { outline: readonly Point[]; turns: readonly number[] }[] = []
  const known = new Map<string, number>()
  return {
    shapes,
    add: (key, outline, turns) => {
      const there = known.get(key)
      if (there !== undefined) return there
      known.set(key, shapes.length)
      return shapes.push({ outline, turns }) - 1
    },
  }
}

/** Sets up pieces and hides for packing. `sparing` keeps what is hidden off the best of the leather. */
export function benchOf(asked: LayAsked, sparing: boolean): Bench {
  const world = worldOf(asked.hides)
  const wanted = inOrder(asked.wanted)
  const list = shapeList()
  const key = (w: Wanted): string => `${w.id.replace(/#\d+$/, '')}${w.over ? ' over' : ''}`
  const things = wanted.map((w) =>
    list.add(key(w), cutWay(w.demand.outline, w.over), turnsOf(w, asked.anyAngle)),
  )
  const lying = wanted.map((w) => asked.lying.find((l) => l.id === w.id && !asked.aside.includes(w.id)))
  // Quarter turns and whatever turn a piece lies at now, so that it can be asked about there.
  const turns = wanted.flatMap((w, i) => {
    const now = lying[i]
    return [0, 1, 2, 3].map((k) => tidy(straightTurn(w) + (k * Math.PI) / 2)).concat(now ? [now.turn] : [])
  })
  list.add(
    'turns',
    [
      { x: 0, y: 0 },
      { x: 1, y: 0 },
      { x: 0, y: 1 },
    ],
    [0, ...new Set(turns)],
  )
  const stands = standsOf(world).map(({ sort, outline }, i) => ({
    shape: list.add(`stand ${i}`, outline, [0]),
    sort: GROUNDS.indexOf(sort),
  }))
  const keeps = wanted.map((w) =>
    GROUNDS.map((sort) =>
      keepsOff(w.demand, sort, sparing).map((outline, k) =>
        outline === w.demand.outline
          ? list.add(key(w), cutWay(outline, w.over), turnsOf(w, asked.anyAngle))
          : list.add(`${key(w)} seen ${k}`, cutWay(outline, w.over), [0]),
      ),
    ),
  )
  const at = new Map(wanted.map((w, i) => [w.id, i]))
  const isHeld = (w: Wanted): boolean =>
    asked.aside.includes(w.id) || (asked.locked.includes(w.id) && asked.lying.some((l) => l.id === w.id))
  const ground: Ground = {
    stands,
    keeps,
    held: wanted.map(isHeld),
    mates: wanted.map((w) => at.get(w.mate ?? '') ?? -1),
    level: world.level,
    apart: PAIR_APART,
  }
  return {
    world,
    wanted,
    asked: {
      length: world.length,
      width: world.width,
      gap: asked.gap,
      shapes: list.shapes,
      things,
      ground,
      lying: lying.map((l) => (l ? inWorld(world, l) : undefined)),
      firm: wanted.map((w) => w.demand.strap !== undefined),
      worth: wanted.map((w) => worthOf(w, world)),
      seed: asked.seed,
    },
  }
}

/** How much more the way from the backbone counts than the way from the butt, by what a piece is. */
const STRAIGHT = 10
const FROM_BACKBONE = 0.3

function worthOf({ demand }: Wanted, { level }: World): Worth {
  const off = (top: number, bottom: number): number => Math.abs((top + bottom) / 2 - level)
  // Straps from the straight edge; what shows or bears near the backbone; what is hidden far from it.
  if (demand.strap) return (_, top, right, bottom) => STRAIGHT * off(top, bottom) + right
  const by = demand.shows || demand.bears ? FROM_BACKBONE : -FROM_BACKBONE
  return (_, top, right, bottom) => right + by * off(top, bottom)
}

function inWorld(world: World, { hide, turn, x, y }: Lying): LyingThing | undefined {
  const at = world.hides.find((h) => h.hide.id === hide)
  return at && { turn, x: x + at.x, y: y + at.y }
}
