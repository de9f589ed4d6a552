import { floatAt, intAt } from '../lists/index.js'
import { TOUCH } from './board.js'
import { type Layout, type Table, copyOf } from './layout.js'
import type { Random } from './random.js'
import type { Effort } from './search.js'
import { type Patience, separate } from './separate.js'

/** What is done at all: how closely each place is sought, and how much of the time goes into daring steps. */
export const EFFORT: Effort = { anywhere: 24, near: 12, touching: 24, bettered: 2 }
const DARING: Patience = { rounds: 60, strikes: 1 }
const CAREFUL: Patience = { rounds: 50, strikes: 1 }
export const BOLD: Patience = { rounds: 6, strikes: 1 }
const SHARE_DARING = 0.72
/** The strip is made shorter by such shares: boldly at first, then as far as it still comes out. */
const SHORTER = { first: 0.08, daring: 0.006, careful: 0.004, least: 0.0002 } as const

/** Draws everything into a shorter strip. */
function drawnIn(table: Table): void {
  for (let i = 0; i < table.count; i += 1) {
    if (!table.moves(i)) continue
    const { turn, x, y } = table.layout
    const room = table.room(i, intAt(turn, i))
    if (floatAt(x, i) > room.right)
      table.lay(i, intAt(turn, i), Math.max(room.left, room.right), floatAt(y, i))
  }
}

/** Brings a thing’s middle to a place, as far as the strip lets it. */
function brought(table: Table, i: number, [tx, ty]: readonly [number, number]): void {
  const { layout } = table
  const turn = intAt(layout.turn, i)
  const room = table.room(i, turn)
  const [mx, my] = table.middle(i)
  const held = (value: number, min: number, max: number): number => Math.max(min, Math.min(value, max))
  table.lay(
    i,
    turn,
    held(floatAt(layout.x, i) + tx - mx, room.left, room.right),
    held(floatAt(layout.y, i) + ty - my, room.top, room.bottom),
  )
}

/** Two that change places lie no farther apart than this in the order of size, as a share of all; the smallest quarter stays. */
const REACH = 0.5
const LARGER = 0.75

/** Two of the larger things change places, so that what could not come apart is tried otherwise. */
export function disturbed(table: Table, random: Random): void {
  const { board, shape } = table
  const bySize = Array.from(shape, (_, i) => i)
    .filter((i) => table.moves(i))
    .sort((a, b) => floatAt(board.area, intAt(shape, b)) - floatAt(board.area, intAt(shape, a)))
  const count = bySize.length
  if (count < 2) return
  const reach = Math.max(1, Math.ceil(count * REACH))
  const first = Math.floor(random() * Math.max(2, Math.ceil(count * LARGER)))
  const a = bySize[Math.min(first, count - 1)]!
  const near = bySize
    .slice(Math.max(0, first - reach), first + reach + 1)
    .filter((i) => i !== a && shape[i] !== shape[a])
  const b = near[Math.floor(random() * near.length)]
  if (b === undefined) return
  const [ma, mb] = [table.middle(a), table.middle(b)]
  brought(table, a, mb)
  brought(table, b, ma)
}

/** So often a whole stretch of the strip is stirred instead of two things, and it is such a share of the strip. */
const WINDOWED = 0.4
const STRETCH = 0.2

/** All that lies in one stretch of the strip changes places with each other. */
function stirred(table: Table, random: Random): void {
  const { length } = table
  const wide = STRETCH * length
  const from = random() * (length - wide)
  const inside = Array.from({ length: table.count }, (_, i) => i).filter((i) => {
    const [x] = table.middle(i)
    return table.moves(i) && x >= from && x <= from + wide
  })
  const middles = inside.map((i) => table.middle(i))
  for (const i of inside) {
    const [to] = middles.splice(Math.floor(random() * middles.length), 1)
    if (to) brought(table, i, to)
  }
}

/** What no strip is shorter than, mm: what is not moved, and the longest thing at the turn that takes the least of it. */
function longest(table: Table): number {
  const { board, shape, width } = table
  let most = table.used((i) => !table.moves(i))
  for (const s of new Set(shape.filter((_, i) => table.isLaid(i)))) {
    let least = Infinity
    for (const turn of board.turnsOf[s] ?? []) {
      const [left = 0, top = 0, right = 0, bottom = 0] = board.boxes.subarray(
        4 * (s * board.angles.length + turn),
      )
      if (bottom - top <= width + TOUCH) least = Math.min(least, right - left)
    }
    if (least < Infinity) most = Math.max(most, least)
  }
  return most
}

/** A layout that did not come apart, and how far it was from it. */
interface Failed {
  readonly layout: Layout
  readonly sum: number
}

/** A layout without overlaps, and how long a strip it takes, mm. */
interface Apart {
  readonly layout: Layout
  readonly length: number
}

/** What shortening is given, and whom it tells of a better layout. */
export interface ShortenAsked {
  readonly table: Table
  readonly random: Random
  /** How much of what may be spent has been, 0 to 1. */
  readonly share: () => number
  readonly better: (layout: Layout, length: number) => void
}

/**
 * Makes the strip that a table’s layout takes shorter and shorter, from a layout without overlaps; what is held stays. The best
 * is told to `better`, and left on the table.
 */
export function shorten({ table, random, share, better }: ShortenAsked): void {
  let best: Apart = { layout: copyOf(table.layout), length: table.used() }
  const floor = longest(table)
  /** Nothing is shorter than its longest piece: then there is no more to do. */
  const spent = (): number => (best.length <= floor + TOUCH ? 1 : share())
  const attempt = (shorter: number, patience: Patience): Failed | Apart => {
    const length = Math.max(shorter, floor)
    table.length = length
    drawnIn(table)
    const { apart, sum } = separate(table, EFFORT, patience, random, () => spent() < 1)
    // What is longer than the strip at its turn sticks out of it: that is no shorter layout.
    const layout = copyOf(table.layout)
    if (!apart || table.used() > length + TOUCH) return { layout, sum }
    const found = { layout, length: table.used() }
    if (found.length < best.length) {
      best = found
      better(layout, found.length)
    }
    return found
  }
  for (let until = SHARE_DARING; spent() < 1; until = 1) {
    explore({ table, random, from: best.length, attempt, share: () => spent() / until })
    let step: number = SHORTER.careful
    while (spent() < 1 && step > SHORTER.least) {
      table.take(best.layout)
      if ('sum' in attempt(best.length * (1 - step), CAREFUL)) step *= 0.75
    }
    table.take(best.layout)
    disturbed(table, random)
  }
  table.take(best.layout)
}

interface Exploring extends Pick<ShortenAsked, 'table' | 'random' | 'share'> {
  readonly from: number
  readonly attempt: (length: number, patience: Patience) => Failed | Apart
}

/** As many of those that came nearest are kept to be taken up again. */
const KEPT = 12

/** Goes for shorter and shorter strips; where one does not come out it is tried from elsewhere. */
function explore({ table, random, from, attempt, share }: Exploring): void {
  let length = from
  let step: number = SHORTER.first
  let pool: Failed[] = []
  while (share() < 1) {
    const before = copyOf(table.layout)
    const bold = step > SHORTER.daring
    const tried = attempt(length * (1 - step * (bold ? 1 : 0.4 + 1.2 * random())), bold ? BOLD : DARING)
    if (!('sum' in tried)) {
      ;({ length } = tried)
      pool = []
      continue
    }
    if (bold) {
      step = Math.max(SHORTER.daring, step / 2)
      table.take(before)
      continue
    }
    pool = [...pool, tried].sort((a, b) => a.sum - b.sum).slice(0, KEPT)
    // The nearer one was to coming apart the likelier it is tried again.
    const again = pool[Math.floor(random() ** 2 * pool.length)]
    if (again) table.take(again.layout)
    if (random() < WINDOWED) stirred(table, random)
    else disturbed(table, random)
  }
}
