import { Board, type Shape } from './board.js'
import { type Layout, Table, copyOf } from './layout.js'
import { randomFrom } from './random.js'
import { shelved } from './shelved.js'
import { shorten } from './shorten.js'

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

/**
 * Lays things on a strip as short as it can. `share` tells how much of what may be spent has been, 0 to 1; the best so far is told to
 * `better` whenever there is a better one. What fits the strip at no turn has to be left out beforehand.
 */
export function packStrip(
  asked: StripAsked,
  share: () => number,
  better: (laid: StripLaid) => void = () => undefined,
): StripLaid {
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
