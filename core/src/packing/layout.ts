import { type Board, depthIn, found } from './board.js'

/** What is laid where: the shape of each thing, its turn (a place in the board’s list) and the place of its origin, mm. */
export interface Layout {
  readonly turn: Int32Array
  readonly x: Float64Array
  readonly y: Float64Array
}

export const copyOf = ({ turn, x, y }: Layout): Layout => ({ turn: turn.slice(), x: x.slice(), y: y.slice() })

/** Where a shape may be put so that all of it lies within the length and the width. */
export interface Room {
  readonly left: number
  readonly right: number
  readonly top: number
  readonly bottom: number
}

/** What a place costs pushes it that way, by the weight of what it meets. */
export interface Push {
  x: number
  y: number
  depth: number
  weight: number
}

/** Things laid on a strip, how much each meets each other, and how much that weighs. */
export class Table {
  readonly count: number
  readonly weights: Float64Array
  readonly pushes: Push[] = []

  constructor(
    readonly board: Board,
    /** The shape of each thing. */
    readonly shape: Int32Array,
    public layout: Layout,
    public length: number,
    readonly width: number,
  ) {
    this.count = shape.length
    this.weights = new Float64Array(this.count ** 2).fill(1)
  }

  room(i: number, turn: number): Room {
    const { boxes, angles } = this.board
    const at = 4 * (this.shape[i]! * angles.length + turn)
    return {
      left: -boxes[at]!,
      top: -boxes[at + 1]!,
      right: this.length - boxes[at + 2]!,
      bottom: this.width - boxes[at + 3]!,
    }
  }

  /** How deep one thing would meet another if it lay there; `found` tells which way the other leaves it. */
  depth(i: number, turn: number, x: number, y: number, j: number): number {
    const { board, shape, layout } = this
    const [a, b] = [shape[i]!, shape[j]!]
    const other = layout.turn[j]!
    const [dx, dy] = [layout.x[j]! - x, layout.y[j]! - y]
    // Of two shapes the first of the list is the one that stands still, so that each pair is reckoned once.
    if (a <= b) {
      const [c, s] = [board.cos[turn]!, board.sin[turn]!]
      const depth = depthIn(board.pair(a, turn, b, other), dx * c + dy * s, dy * c - dx * s)
      if (depth > 0) turnFound(c, s, -1)
      return depth
    }
    const [c, s] = [board.cos[other]!, board.sin[other]!]
    const depth = depthIn(board.pair(b, other, a, turn), -dx * c - dy * s, dx * s - dy * c)
    if (depth > 0) turnFound(c, s, 1)
    return depth
  }

  /** What it costs to lay a thing there, or anything above `bound` where it costs more. `push` gathers what pushes it away. */
  cost(i: number, turn: number, x: number, y: number, bound: number, push = false): number {
    const { boxes, angles, gap } = this.board
    const { shape, layout, count, weights } = this
    const at = 4 * (shape[i]! * angles.length + turn)
    const [left, top, right, bottom] = [
      x + boxes[at]! - gap,
      y + boxes[at + 1]! - gap,
      x + boxes[at + 2]! + gap,
      y + boxes[at + 3]! + gap,
    ]
    if (push) this.pushes.length = 0
    let sum = 0
    for (let j = 0; j < count; j += 1) {
      if (j === i) continue
      const [ox, oy] = [layout.x[j]!, layout.y[j]!]
      const on = 4 * (shape[j]! * angles.length + layout.turn[j]!)
      if (ox + boxes[on]! >= right || ox + boxes[on + 2]! <= left) continue
      if (oy + boxes[on + 1]! >= bottom || oy + boxes[on + 3]! <= top) continue
      const depth = this.depth(i, turn, x, y, j)
      if (depth === 0) continue
      const weight = weights[i * count + j]!
      sum += weight * depth
      if (sum > bound) return sum
      if (push) this.pushes.push({ x: found.x, y: found.y, depth: found.depth, weight: weight * depth })
    }
    return sum
  }
}

/** The way out as the sheet sees it, for the thing that moves. */
function turnFound(c: number, s: number, way: 1 | -1): void {
  const { x, y } = found
  found.x = way * (x * c - y * s)
  found.y = way * (x * s + y * c)
}
