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

/** Two large things that meet weigh more than two small ones: by this power of their areas. */
const LARGE = 0.5

/** Things laid on a strip, how much each meets each other, and how much that weighs. */
export class Table {
  readonly count: number
  readonly weights: Float64Array
  /** What each pair weighs at the least, by its size. */
  readonly base: Float64Array
  readonly pushes: Push[] = []
  /** The box of each thing where it lies. */
  private readonly left: Float64Array
  private readonly top: Float64Array
  private readonly right: Float64Array
  private readonly bottom: Float64Array

  constructor(
    readonly board: Board,
    /** The shape of each thing. */
    readonly shape: Int32Array,
    readonly layout: Layout,
    public length: number,
    readonly width: number,
  ) {
    this.count = shape.length
    this.weights = new Float64Array(this.count ** 2)
    this.base = new Float64Array(this.count ** 2)
    const mean = board.area.reduce((a, b) => a + b, 0) / board.area.length
    for (let i = 0; i < this.count; i += 1)
      for (let j = 0; j < this.count; j += 1)
        this.base[i * this.count + j] =
          ((board.area[shape[i]!]! * board.area[shape[j]!]!) / mean ** 2) ** LARGE
    this.weights.set(this.base)
    this.left = new Float64Array(this.count)
    this.top = new Float64Array(this.count)
    this.right = new Float64Array(this.count)
    this.bottom = new Float64Array(this.count)
    this.take(layout)
  }

  /** Lays a thing there. */
  lay(i: number, turn: number, x: number, y: number): void {
    const { board, layout, shape } = this
    layout.turn[i] = turn
    layout.x[i] = x
    layout.y[i] = y
    const at = 4 * (shape[i]! * board.angles.length + turn)
    this.left[i] = x + board.boxes[at]!
    this.top[i] = y + board.boxes[at + 1]!
    this.right[i] = x + board.boxes[at + 2]!
    this.bottom[i] = y + board.boxes[at + 3]!
  }

  /** Lays everything as a layout has it. */
  take({ turn, x, y }: Layout): void {
    for (let i = 0; i < this.count; i += 1) this.lay(i, turn[i]!, x[i]!, y[i]!)
  }

  /** How far along the strip anything reaches, mm. */
  used(): number {
    let right = 0
    for (const r of this.right) right = Math.max(right, r)
    return right
  }

  /** The middle of a thing’s box. */
  middle(i: number): readonly [number, number] {
    return [(this.left[i]! + this.right[i]!) / 2, (this.top[i]! + this.bottom[i]!) / 2]
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
    const { shape, count, weights } = this
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
      if (
        this.left[j]! >= right ||
        this.right[j]! <= left ||
        this.top[j]! >= bottom ||
        this.bottom[j]! <= top
      )
        continue
      const depth = this.depth(i, turn, x, y, j)
      if (depth === 0) continue
      const weight = weights[i * count + j]!
      // How far they are side by side where they meet: with the depth as much as they share, mm².
      const across = Math.min(right, this.right[j]!) - Math.max(left, this.left[j]!)
      const down = Math.min(bottom, this.bottom[j]!) - Math.max(top, this.top[j]!)
      const price = weight * depth * (Math.abs(found.y) * across + Math.abs(found.x) * down)
      sum += price
      if (sum > bound) return sum
      if (push) this.pushes.push({ x: found.x, y: found.y, depth: found.depth, weight: price })
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
