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

/** What things are laid on besides a plain strip: shapes that stand where they are, and who has to keep off which. */
export interface Ground {
  /** Shapes unturned at the origin, each with its place in the list of sorts of ground. */
  readonly stands: readonly { readonly shape: number; readonly sort: number }[]
  /** By thing and by sort of ground: shapes, in the thing’s own coordinates, that may not lie on it. */
  readonly keeps: readonly (readonly (readonly number[])[])[]
  /** Things that stay where they lie. */
  readonly held: readonly boolean[]
  /** The thing each has to lie as far from the level line as, within `apart` mm; below nothing where it is alone. */
  readonly mates: readonly number[]
  readonly level: number
  readonly apart: number
}

/** Where things lie that are left out: nothing meets them there, mm. */
const ASIDE = -1e7

/** Nothing but the strip itself. */
export const bareGround = (count: number): Ground => ({
  stands: [],
  keeps: [],
  held: new Array<boolean>(count).fill(false),
  mates: new Array<number>(count).fill(-1),
  level: 0,
  apart: 0,
})

/** Things laid on a strip, how much each meets each other and what stands there, and how much that weighs. */
export class Table {
  readonly count: number
  /** Things and what stands on the ground, in that order. */
  readonly total: number
  readonly weights: Float64Array
  /** What each pair weighs at the least, by its size. */
  readonly base: Float64Array
  /** Things that are not moved for the time being, though nobody holds them. */
  readonly stays: Uint8Array
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
    readonly ground: Ground = bareGround(shape.length),
  ) {
    this.count = shape.length
    this.total = this.count + ground.stands.length
    this.stays = new Uint8Array(this.count)
    this.weights = new Float64Array(this.count * this.total)
    this.base = this.weighed()
    this.weights.set(this.base)
    this.left = new Float64Array(this.total)
    this.top = new Float64Array(this.total)
    this.right = new Float64Array(this.total)
    this.bottom = new Float64Array(this.total)
    ground.stands.forEach((stand, k) => this.boxed(this.count + k, stand.shape, 0, 0, 0))
    this.take(layout)
  }

  private weighed(): Float64Array {
    const { board, shape, count, total } = this
    const base = new Float64Array(count * total)
    let mean = 0
    for (const s of shape) mean += board.area[s]! / count
    for (let i = 0; i < count; i += 1)
      for (let j = 0; j < total; j += 1) {
        const [a, b] = [board.area[shape[i]!]!, board.area[shape[j < count ? j : i]!]!]
        base[i * total + j] = ((a * b) / mean ** 2) ** LARGE
      }
    return base
  }

  private boxed(k: number, shape: number, turn: number, x: number, y: number): void {
    const { boxes, angles } = this.board
    const at = 4 * (shape * angles.length + turn)
    this.left[k] = x + boxes[at]!
    this.top[k] = y + boxes[at + 1]!
    this.right[k] = x + boxes[at + 2]!
    this.bottom[k] = y + boxes[at + 3]!
  }

  /** Lays a thing there. */
  lay(i: number, turn: number, x: number, y: number): void {
    const { layout, shape } = this
    layout.turn[i] = turn
    layout.x[i] = x
    layout.y[i] = y
    this.boxed(i, shape[i]!, turn, x, y)
  }

  /** Puts a thing where nothing meets it. */
  putAside(i: number): void {
    this.lay(i, this.board.turnsOf[this.shape[i]!]![0]!, ASIDE, ASIDE)
  }

  /** Whether a thing is laid at all. */
  isLaid(i: number): boolean {
    return this.layout.x[i]! > ASIDE / 2
  }

  /** Whether a thing may be moved: it is laid, does not stay, and nobody holds it. */
  moves(i: number): boolean {
    return !this.ground.held[i] && !this.stays[i] && this.isLaid(i)
  }

  /** Lays everything as a layout has it. */
  take({ turn, x, y }: Layout): void {
    for (let i = 0; i < this.count; i += 1) this.lay(i, turn[i]!, x[i]!, y[i]!)
  }

  /** How far along the strip anything reaches, or any of those asked for, mm. */
  used(of: (i: number) => boolean = () => true): number {
    let right = 0
    for (let i = 0; i < this.count; i += 1) if (of(i)) right = Math.max(right, this.right[i]!)
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

  /** How deep one thing would meet another, or what stands there, if it lay there; `found` tells which way it leaves that. */
  depth(i: number, turn: number, x: number, y: number, j: number): number {
    const { boxes, angles, gap } = this.board
    const at = 4 * (this.shape[i]! * angles.length + turn)
    // What lies apart by its box is apart, however blunt the corners are taken to be.
    const apart =
      this.left[j]! >= x + boxes[at + 2]! + gap ||
      this.right[j]! <= x + boxes[at]! - gap ||
      this.top[j]! >= y + boxes[at + 3]! + gap ||
      this.bottom[j]! <= y + boxes[at + 1]! - gap
    return apart ? 0 : this.depthOf(i, turn, x, y, j)
  }

  private depthOf(i: number, turn: number, x: number, y: number, j: number): number {
    const { shape, layout, count, ground } = this
    if (j < count)
      return this.between(shape[i]!, turn, shape[j]!, layout.turn[j]!, layout.x[j]! - x, layout.y[j]! - y)
    const stand = ground.stands[j - count]!
    let sum = 0
    let [fx, fy, deepest] = [0, 0, 0]
    for (const own of ground.keeps[i]?.[stand.sort] ?? []) {
      sum += this.between(own, turn, stand.shape, 0, -x, -y)
      if (found.depth > deepest) [fx, fy, deepest] = [found.x, found.y, found.depth]
    }
    found.x = fx
    found.y = fy
    found.depth = deepest
    return sum
  }

  private between(a: number, turn: number, b: number, other: number, dx: number, dy: number): number {
    const { board } = this
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

  /** By how much one of a pair lies farther from the level than it may, and which way it has to go. */
  strayed(i: number, turn: number, y: number): number {
    const { mates, level, apart } = this.ground
    const j = mates[i] ?? -1
    if (j < 0 || !this.isLaid(j)) return 0
    const { boxes, angles } = this.board
    const at = 4 * (this.shape[i]! * angles.length + turn)
    const own = y + (boxes[at + 1]! + boxes[at + 3]!) / 2 - level
    const more = Math.abs(own) - Math.abs((this.top[j]! + this.bottom[j]!) / 2 - level)
    found.x = 0
    found.y = Math.sign(own || 1) * -Math.sign(more)
    found.depth = Math.max(0, Math.abs(more) - apart)
    return found.depth
  }

  /** What it costs to lay a thing there, or anything above `bound` where it costs more. `push` gathers what pushes it away. */
  cost(i: number, turn: number, x: number, y: number, bound: number, push = false): number {
    const { boxes, angles, gap } = this.board
    const { shape, total, weights } = this
    const at = 4 * (shape[i]! * angles.length + turn)
    const [left, top, right, bottom] = [
      x + boxes[at]! - gap,
      y + boxes[at + 1]! - gap,
      x + boxes[at + 2]! + gap,
      y + boxes[at + 3]! + gap,
    ]
    if (push) this.pushes.length = 0
    let sum = this.strayedCost(i, turn, y, push)
    for (let j = 0; j < total; j += 1) {
      if (j === i) continue
      if (
        this.left[j]! >= right ||
        this.right[j]! <= left ||
        this.top[j]! >= bottom ||
        this.bottom[j]! <= top
      )
        continue
      const depth = this.depthOf(i, turn, x, y, j)
      if (depth === 0) continue
      const weight = weights[i * total + j]!
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

  private strayedCost(i: number, turn: number, y: number, push: boolean): number {
    const depth = this.strayed(i, turn, y)
    if (depth === 0) return 0
    const weight = this.weights[i * this.total + this.ground.mates[i]!]!
    const price = weight * depth * Math.sqrt(this.board.area[this.shape[i]!]!)
    if (push) this.pushes.push({ x: found.x, y: found.y, depth, weight: price })
    return price
  }
}

/** The way out as the sheet sees it, for the thing that moves. */
function turnFound(c: number, s: number, way: 1 | -1): void {
  const { x, y } = found
  found.x = way * (x * c - y * s)
  found.y = way * (x * s + y * c)
}
