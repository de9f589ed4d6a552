import { Board, type Shape } from './board.js'
import { type Layout, Table, copyOf } from './layout.js'
import { type Random, randomFrom } from './random.js'
import type { Effort } from './search.js'
import { type Patience, separate } from './separate.js'
import { shelved } from './shelved.js'

/** Things for a strip of a width, to be laid on the least of its length. Lengths mm. */
export interface StripAsked {
  readonly width: number
  readonly gap: number
  readonly shapes: readonly Shape[]
  /** The shape of each thing, as a place in the list of shapes. */
  readonly things: readonly number[]
  readonly seed: number
}

/** A layout without overlaps and the length it takes, mm. */
export interface StripLaid {
  readonly board: Board
  readonly layout: Layout
  readonly length: number
}

/** What is done at all: how closely each place is sought, and how much of the time goes into daring steps. */
const EFFORT: Effort = { anywhere: 24, near: 12, touching: 24, bettered: 2 }
const DARING: Patience = { rounds: 60, strikes: 2 }
const CAREFUL: Patience = { rounds: 50, strikes: 1 }
const SHARE_DARING = 0.72
/** The strip is made shorter by such shares: boldly at first, then as far as it still comes out. */
const SHORTER = { first: 0.08, daring: 0.008, careful: 0.004, least: 0.0002 } as const

function used(table: Table): number {
  const { board, layout, shape, count } = table
  let right = 0
  for (let i = 0; i < count; i += 1) {
    const at = 4 * (shape[i]! * board.angles.length + layout.turn[i]!)
    right = Math.max(right, layout.x[i]! + board.boxes[at + 2]!)
  }
  return right
}

/** Draws everything into a shorter strip. */
function drawnIn(table: Table): void {
  for (let i = 0; i < table.count; i += 1) {
    const room = table.room(i, table.layout.turn[i]!)
    if (table.layout.x[i]! > room.right) table.layout.x[i] = Math.max(room.left, room.right)
  }
}

/** Two of the larger things change places, so that what could not come apart is tried otherwise. */
function disturbed(table: Table, random: Random): void {
  const { board, shape, layout, count } = table
  if (count < 2) return
  const bySize = Array.from({ length: count }, (_, i) => i).sort((a, b) => board.area[shape[b]!]! - board.area[shape[a]!]!)
  const large = bySize.slice(0, Math.max(2, Math.ceil(count * 0.75)))
  const a = large[Math.floor(random() * large.length)]!
  const others = large.filter((i) => i !== a && shape[i] !== shape[a])
  const b = others[Math.floor(random() * others.length)]
  if (b === undefined) return
  const middle = (i: number): readonly [number, number] => {
    const at = 4 * (shape[i]! * board.angles.length + layout.turn[i]!)
    return [
      layout.x[i]! + (board.boxes[at]! + board.boxes[at + 2]!) / 2,
      layout.y[i]! + (board.boxes[at + 1]! + board.boxes[at + 3]!) / 2,
    ]
  }
  const [ma, mb] = [middle(a), middle(b)]
  for (const [i, [mx, my], [tx, ty]] of [
    [a, ma, mb],
    [b, mb, ma],
  ] as const) {
    const room = table.room(i, layout.turn[i]!)
    layout.x[i] = Math.min(Math.max(layout.x[i]! + tx - mx, room.left), Math.max(room.left, room.right))
    layout.y[i] = Math.min(Math.max(layout.y[i]! + ty - my, room.top), Math.max(room.top, room.bottom))
  }
}

/** A layout that did not come apart, and how far it was from it. */
interface Failed {
  readonly layout: Layout
  readonly sum: number
}

/**
 * Lays things on a strip as short as it can. `share` tells how much of what may be spent has been, 0 to 1; the best so far is told to
 * `better` whenever there is a better one. What fits the strip at no turn has to be left out beforehand.
 */
export function packStrip(asked: StripAsked, share: () => number, better: (laid: StripLaid) => void = () => undefined): StripLaid {
  const board = new Board(asked.shapes, asked.gap)
  const random = randomFrom(asked.seed)
  const start = shelved(board, asked.things, asked.width)
  const table = new Table(board, Int32Array.from(asked.things), copyOf(start), Infinity, asked.width)
  let best: StripLaid = { board, layout: start, length: used(table) }
  better(best)
  const take = (layout: Layout): void => {
    table.layout.turn.set(layout.turn)
    table.layout.x.set(layout.x)
    table.layout.y.set(layout.y)
  }
  const attempt = (length: number, patience: Patience, until: number): Failed | undefined => {
    table.length = length
    drawnIn(table)
    const { apart, sum } = separate(table, EFFORT, patience, random, () => share() < until)
    if (!apart) return { layout: copyOf(table.layout), sum }
    best = { board, layout: copyOf(table.layout), length: used(table) }
    better(best)
    return undefined
  }
  explore(table, () => best.length, take, attempt, share, random)
  let step: number = SHORTER.careful
  while (share() < 1 && step > SHORTER.least) {
    take(best.layout)
    if (attempt(best.length * (1 - step), CAREFUL, 1)) step *= 0.75
  }
  return best
}

/** Goes for shorter and shorter strips; where one does not come out it is tried from elsewhere. */
function explore(
  table: Table,
  length: () => number,
  take: (layout: Layout) => void,
  attempt: (length: number, patience: Patience, until: number) => Failed | undefined,
  share: () => number,
  random: Random,
): void {
  let step: number = SHORTER.first
  let pool: Failed[] = []
  while (share() < SHARE_DARING) {
    const before = copyOf(table.layout)
    const failed = attempt(length() * (1 - step), DARING, SHARE_DARING)
    if (!failed) {
      pool = []
      continue
    }
    if (step > SHORTER.daring) {
      step = Math.max(SHORTER.daring, step / 2)
      take(pool.length === 0 ? before : failed.layout)
      continue
    }
    pool = [...pool, failed].sort((a, b) => a.sum - b.sum).slice(0, 12)
    // The nearer one was to coming apart the likelier it is tried again.
    const again = pool[Math.floor(random() ** 2 * pool.length)]
    if (again) take(again.layout)
    disturbed(table, random)
  }
}
