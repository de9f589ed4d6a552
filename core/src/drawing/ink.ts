import {
  type Box,
  type Path,
  type Point,
  boxGrown,
  boxHeight,
  boxWidth,
  cellsInside,
  pathBox,
  pathPoints,
} from '../geometry/index.js'
import { nth } from '../lists/index.js'

/** A sheet of so many cells at the most is kept of a piece: finer for a small one. */
const CELLS = 16_000
const FINEST = 0.6
/** Chords of what is drawn lie this near to it, mm. */
const CHORDS = 0.05

/** Sums over all cells up to a row and column, so that any box of them is asked at once. */
class Sums {
  private readonly sums: Int32Array
  constructor(
    private readonly columns: number,
    rows: number,
    cells: Uint8Array,
  ) {
    const wide = columns + 1
    this.sums = new Int32Array(wide * (rows + 1))
    for (let r = 0; r < rows; r += 1) {
      let row = 0
      for (let c = 0; c < columns; c += 1) {
        row += nth(cells, r * columns + c)
        this.sums[(r + 1) * wide + c + 1] = nth(this.sums, r * wide + c + 1) + row
      }
    }
  }

  count(c0: number, r0: number, c1: number, r1: number): number {
    const wide = this.columns + 1
    const { sums } = this
    return (
      nth(sums, r1 * wide + c1) -
      nth(sums, r0 * wide + c1) -
      nth(sums, r1 * wide + c0) +
      nth(sums, r0 * wide + c0)
    )
  }
}

/**
 * What is drawn on a piece, as cells that are inked or free, and which lie inside its outline: where words can stand.
 * Beyond its border everything is free and outside.
 */
export class Ink {
  readonly cell: number
  private readonly columns: number
  private readonly rows: number
  private readonly inked: Uint8Array
  private readonly beyond: Uint8Array
  private sums: Sums | undefined
  private outside: Sums | undefined

  constructor(
    outline: Path,
    private readonly box: Box,
  ) {
    this.cell = Math.max(FINEST, Math.sqrt((boxWidth(box) * boxHeight(box)) / CELLS))
    this.columns = Math.ceil(boxWidth(box) / this.cell) + 1
    this.rows = Math.ceil(boxHeight(box) / this.cell) + 1
    this.inked = new Uint8Array(this.columns * this.rows)
    this.beyond = new Uint8Array(this.columns * this.rows).fill(1)
    const { left, top } = box
    const { cell, columns, rows } = this
    cellsInside(pathPoints(outline, CHORDS), { left, top, cell, columns, rows }, (row, from, to) =>
      this.beyond.fill(0, row * columns + from, row * columns + to + 1),
    )
  }

  /** Every cell a stroke runs through. */
  draw(path: Path): void {
    const points = pathPoints(path, CHORDS)
    const last = path.closed ? points.length : points.length - 1
    for (let i = 0; i < last; i += 1) this.chord(nth(points, i), nth(points, (i + 1) % points.length))
    this.sums = undefined
  }

  dot({ x, y }: Point): void {
    const [c, r] = [Math.floor((x - this.box.left) / this.cell), Math.floor((y - this.box.top) / this.cell)]
    if (c >= 0 && r >= 0 && c < this.columns && r < this.rows) this.inked[r * this.columns + c] = 1
  }

  private chord(a: Point, b: Point): void {
    const steps = Math.max(1, Math.ceil(Math.hypot(b.x - a.x, b.y - a.y) / (this.cell / 2)))
    for (let i = 0; i <= steps; i += 1)
      this.dot({ x: a.x + ((b.x - a.x) * i) / steps, y: a.y + ((b.y - a.y) * i) / steps })
  }

  /** Cells set in a box grown by `pad` mm, and how many cells that are. */
  private count(sums: Sums, box: Box, pad: number): readonly [set: number, all: number] {
    const { left, top } = this.box
    const c0 = Math.max(0, Math.floor((box.left - pad - left) / this.cell))
    const r0 = Math.max(0, Math.floor((box.top - pad - top) / this.cell))
    const c1 = Math.min(this.columns, Math.floor((box.right + pad - left) / this.cell) + 1)
    const r1 = Math.min(this.rows, Math.floor((box.bottom + pad - top) / this.cell) + 1)
    return c0 >= c1 || r0 >= r1 ? [0, 0] : [sums.count(c0, r0, c1, r1), (c1 - c0) * (r1 - r0)]
  }

  /** Whether nothing is drawn in a box, nor within `pad` mm of it. */
  free(box: Box, pad: number): boolean {
    this.sums ??= new Sums(this.columns, this.rows, this.inked)
    // A stroke is walked in half cells: it may cut a corner of a cell that is then not marked.
    return this.count(this.sums, box, Math.max(pad, this.cell * 0.36))[0] === 0
  }

  /** Whether a box lies inside the outline as a whole. */
  inside(box: Box): boolean {
    const { left, top, right, bottom } = this.box
    if (box.left < left || box.top < top || box.right > right || box.bottom > bottom) return false
    this.outside ??= new Sums(this.columns, this.rows, this.beyond)
    return this.count(this.outside, box, 0)[0] === 0
  }

  /** Whether a box lies outside the outline as a whole. */
  clear(box: Box): boolean {
    this.outside ??= new Sums(this.columns, this.rows, this.beyond)
    const [set, all] = this.count(this.outside, box, this.cell)
    return set === all
  }
}

/** The sheet round a piece's outline on which words are looked for a place. */
export const inkRound = (outline: Path, margin: number): Ink =>
  new Ink(outline, boxGrown(pathBox(outline), margin))
