import type { Point } from '../geometry/index.js'
import { nth, foundIn } from '../lists/index.js'
import { Board, Table } from '../packing/index.js'
import type { HideFlaw } from '../stores/index.js'
import { type Bench, type LayAsked, benchOf } from './bench.js'
import type { Wanted } from './demand.js'
import { type Lying, laidThere, liesAsAsked } from './lying.js'
import { snappedAt } from './snap.js'
import { GROUNDS, type GroundSort } from './stands.js'
import { type PieceThickness, thicknessOver } from './thickness.js'

/** What is wrong with where a piece lies. */
export type LyingFault =
  | { readonly what: 'near'; readonly id: string; readonly other: string }
  | { readonly what: 'off'; readonly id: string }
  | { readonly what: 'angle'; readonly id: string }
  | { readonly what: 'flaw'; readonly id: string; readonly sort: HideFlaw['sort'] }
  | { readonly what: 'zone'; readonly id: string; readonly sort: 'edge' | 'wrinkled' | 'stretchy' }
  | { readonly what: 'pair'; readonly id: string; readonly other: string; readonly by: number }
  | {
      readonly what: 'thickness'
      readonly id: string
      readonly is: PieceThickness
      readonly reckoned: number
    }

/** A piece thinner or thicker than it is reckoned with by more than this is worth a look, mm. */
const UNLIKE = 0.3
/** Places are kept to a thousandth: what meets by less than this does not, mm. */
const SLIGHT = 0.01

/** Hides and pieces ready to be asked about, as often as a piece is dragged. */
export interface Judge {
  /** What is wrong with one piece where it lies, or where it would lie. */
  readonly of: (lying: Lying) => readonly LyingFault[]
  /** All that is wrong. */
  readonly all: () => readonly LyingFault[]
  /** Where a piece comes to lie that is let go there: out of what it meets, or up to a neighbour, where that is no farther than `reach` mm. */
  readonly snapped: (lying: Lying, reach: number) => Lying
}

/** Sets up a layout to be judged. */
export function judgeOf(asked: LayAsked): Judge {
  const bench = benchOf(asked, false)
  const { shapes, things, lying, ground, gap, length, width } = bench.asked
  const board = new Board(shapes, gap)
  const count = things.length
  const table = new Table(
    board,
    Int32Array.from(things),
    { turn: new Int32Array(count), x: new Float64Array(count), y: new Float64Array(count) },
    length,
    width,
    ground,
  )
  const turnAt = (turn: number): number =>
    board.angles.findIndex((a) => Math.abs(Math.sin((a - turn) / 2)) < 1e-6)
  lying.forEach((thing, i) => {
    if (thing) table.lay(i, Math.max(0, turnAt(thing.turn)), thing.x, thing.y)
    else table.putAside(i)
  })
  const at = new Map(bench.wanted.map((w, i) => [w.id, i]))
  const of = (one: Lying): LyingFault[] => {
    const i = at.get(one.id)
    const hide = bench.world.hides.find((h) => h.hide.id === one.hide)
    if (i === undefined || !hide) return []
    const turn = Math.max(0, turnAt(one.turn))
    return faultsAt(bench, table, i, one, turn, one.x + hide.x, one.y + hide.y)
  }
  const snapped = (one: Lying, reach: number): Lying => {
    const i = at.get(one.id)
    const hide = bench.world.hides.find((h) => h.hide.id === one.hide)
    if (i === undefined || !hide) return one
    const to = snappedAt(
      table,
      i,
      Math.max(0, turnAt(one.turn)),
      { x: one.x + hide.x, y: one.y + hide.y },
      reach,
    )
    return { ...one, x: to.x - hide.x, y: to.y - hide.y }
  }
  return {
    of,
    all: () => asked.lying.filter((l) => !asked.aside.includes(l.id)).flatMap(of),
    snapped,
  }
}

const ZONE_SORTS: readonly GroundSort[] = ['edge', 'wrinkled', 'stretchy']

function faultsAt(
  { wanted, world }: Bench,
  table: Table,
  i: number,
  lying: Lying,
  turn: number,
  x: number,
  y: number,
): LyingFault[] {
  const one = nth(wanted, i)
  const { id } = one
  const faults: LyingFault[] = []
  const room = table.room(i, turn)
  const sorts = new Set<GroundSort>()
  for (let j = 0; j < table.total; j += 1) {
    if (j === i || table.depth(i, turn, x, y, j) <= SLIGHT) continue
    if (j < table.count) faults.push({ what: 'near', id, other: nth(wanted, j).id })
    else sorts.add(nth(GROUNDS, nth(table.ground.stands, j - table.count).sort))
  }
  if (x < room.left - SLIGHT || x > room.right + SLIGHT || y < room.top - SLIGHT || y > room.bottom + SLIGHT)
    sorts.add('off')
  for (const sort of sorts) {
    if (sort === 'off') faults.push({ what: 'off', id })
    else if (ZONE_SORTS.includes(sort)) faults.push({ what: 'zone', id, sort: sort as 'edge' })
    else if (sort !== 'best') faults.push({ what: 'flaw', id, sort: sort as HideFlaw['sort'] })
  }
  if (!liesAsAsked(one, lying.turn)) faults.push({ what: 'angle', id })
  const strayed = table.strayed(i, turn, y)
  if (strayed > 0 && one.mate !== undefined) faults.push({ what: 'pair', id, other: one.mate, by: strayed })
  const hide = foundIn(world.hides, (h) => h.hide.id === lying.hide)
  return [...faults, ...unlike(one, lying, hide.hide)]
}

function unlike(
  one: Wanted,
  lying: Lying,
  hide: { readonly spots: readonly { at: Point; thickness: number }[] },
): LyingFault[] {
  const is = thicknessOver({ spots: [...hide.spots] }, laidThere(one.demand.outline, one.over, lying))
  const { thickness } = one.demand
  // What is thicker is split or skived; what is thinner stays so.
  if (!is || (is.min > thickness - UNLIKE && is.max < thickness + 3 * UNLIKE)) return []
  return [{ what: 'thickness', id: one.id, is, reckoned: thickness }]
}
