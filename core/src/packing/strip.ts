import { floatAt, intAt } from '../lists/index.js'
import { Board, type Shape } from './board.js'
import { type Layout, Table, copyOf } from './layout.js'
import { randomFrom } from './random.js'
import { shelved } from './shelved.js'
import { shorten } from './shorten.js'
import { tiled } from './tiled.js'

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

/** The shapes of what is asked, as they meet each other. */
export const boardOf = ({ shapes, gap }: StripAsked): Board => new Board(shapes, gap)

/** Outlines are written to a hundredth of a millimetre: what was one sheet shares no more than this where it meets, mm. */
const WRITTEN = 0.02
/** So much of the time may go into putting together what was parted, and no more things are. */
const PUTTING = { share: 0.2, most: 120 } as const

/** Things that were parted of one sheet, put together again; nothing is shorter. Undefined where they were not, or it is not found. */
function parted(asked: StripAsked, share: () => number): StripLaid | undefined {
  const count = asked.things.length
  if (asked.gap > 0 || count > PUTTING.most) return undefined
  const board = new Board(asked.shapes, 0, 0)
  const layout: Layout = {
    turn: new Int32Array(count),
    x: new Float64Array(count),
    y: new Float64Array(count),
  }
  const table = new Table(board, Int32Array.from(asked.things), layout, Infinity, asked.width)
  if (!tiled(table, () => share() / PUTTING.share) || deepest(table) > WRITTEN || !centred(table))
    return undefined
  return { board, layout: copyOf(table.layout), length: table.used() }
}

/** Moves everything so that it sticks out of the strip no more on one side than on the other; false where that is too much. */
function centred(table: Table): boolean {
  const { count, layout } = table
  let [left, above, below] = [Infinity, 0, 0]
  for (let i = 0; i < count; i += 1) {
    const room = table.room(i, intAt(layout.turn, i))
    left = Math.min(left, floatAt(layout.x, i) - room.left)
    above = Math.max(above, room.top - floatAt(layout.y, i))
    below = Math.max(below, floatAt(layout.y, i) - room.bottom)
  }
  const down = (above - below) / 2
  for (let i = 0; i < count; i += 1)
    table.lay(i, intAt(layout.turn, i), floatAt(layout.x, i) - left, floatAt(layout.y, i) + down)
  return (above + below) / 2 < WRITTEN - 0.002
}

/** How deep the two of a table meet that meet deepest, mm. */
function deepest(table: Table): number {
  const { count, layout } = table
  let most = 0
  for (let i = 0; i < count; i += 1)
    for (let j = i + 1; j < count; j += 1)
      most = Math.max(
        most,
        table.depth(i, intAt(layout.turn, i), floatAt(layout.x, i), floatAt(layout.y, i), j),
      )
  return most
}

/**
 * Lays things on a strip as short as it can. `share` tells how much of what may be spent has been, 0 to 1; the best so far is told to
 * `better` whenever there is a better one. What fits the strip at no turn has to be left out beforehand.
 */
export function packStrip(
  asked: StripAsked,
  share: () => number,
  better: (laid: StripLaid) => void = () => undefined,
): StripLaid {
  const whole = parted(asked, share)
  if (whole) {
    better(whole)
    return whole
  }
  const board = boardOf(asked)
  const start = shelved(board, asked.things, asked.width)
  const table = new Table(board, Int32Array.from(asked.things), copyOf(start), Infinity, asked.width)
  let best: StripLaid = { board, layout: start, length: table.used() }
  better(best)
  shorten({
    table,
    random: randomFrom(asked.seed),
    share,
    better: (layout, length) => {
      best = { board, layout, length }
      better(best)
    },
  })
  return best
}
