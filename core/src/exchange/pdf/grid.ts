import { textSpan } from '../../drawing/index.js'
import {
  type Move,
  type Point,
  cellsInside,
  moveThen,
  pathMoved,
  pathPoints,
  pointMoved,
  shift,
} from '../../geometry/index.js'
import { firstOf, nth } from '../../lists/index.js'
import { ROOM } from './paper.js'
import type { PrintItem } from './printed.js'

/** Side of a cell, mm: how exactly pieces are fitted beside each other. */
export const CELL = 2

/** The room a piece takes, as cells: of each row the cells from and to, both included. */
export interface Mask {
  readonly columns: number
  readonly rows: number
  readonly runs: readonly (readonly [number, number])[][]
  /** From the piece's own coordinates to the upper left corner of the mask. */
  readonly home: Move
  readonly turn: Move
  readonly cells: number
}

/** Layers whose strokes may lie beyond the outline; all others lie on the piece. */
const REACHING: ReadonlySet<string> = new Set(['notches', 'fold', 'marks', 'openings', 'grain', 'label'])

/** Cells of a piece, its letters and the room round it, turned as asked. */
export function maskOf(item: PrintItem, turn: Move): Mask {
  const known = masks.get(item.drawn) ?? new Map<Move, Mask>()
  const mask = known.get(turn) ?? freshMask(item, turn)
  masks.set(item.drawn, known.set(turn, mask))
  return mask
}
/** Copies of a piece are drawn alike. */
const masks = new WeakMap<PrintItem['drawn'], Map<Move, Mask>>()

function freshMask({ drawn, outline }: PrintItem, turn: Move): Mask {
  const rings: Point[][] = [[...pathPoints({ ...pathMoved(outline, turn), closed: true }, 0.2)]]
  const lines: Point[][] = []
  for (const d of drawn) {
    if (d.type === 'text') {
      const box = textSpan(d)
      rings.push(
        [
          { x: box.left, y: box.top },
          { x: box.right, y: box.top },
          { x: box.right, y: box.bottom },
          { x: box.left, y: box.bottom },
        ].map((p) => pointMoved(p, turn)),
      )
    } else if (d.type === 'stroke' && REACHING.has(d.layer))
      lines.push(pathPoints(pathMoved(d.path, turn), 0.2).slice())
  }
  const all = [...rings, ...lines].flat()
  const [left, top] = [Math.min(...xs(all)) - ROOM, Math.min(...ys(all)) - ROOM]
  const columns = Math.ceil((Math.max(...xs(all)) + ROOM - left) / CELL)
  const rows = Math.ceil((Math.max(...ys(all)) + ROOM - top) / CELL)
  const cells = new Uint8Array(columns * rows)
  const mark = (x: number, y: number): void => {
    const reach = ROOM / CELL
    const [c, r] = [(x - left) / CELL, (y - top) / CELL]
    for (let j = Math.max(0, Math.floor(r - reach)); j <= Math.min(rows - 1, Math.floor(r + reach)); j += 1)
      for (
        let i = Math.max(0, Math.floor(c - reach));
        i <= Math.min(columns - 1, Math.floor(c + reach));
        i += 1
      )
        cells[j * columns + i] = 1
  }
  for (const ring of rings)
    cellsInside(ring, { left, top, cell: CELL, columns, rows }, (row, from, to) =>
      cells.fill(1, row * columns + from, row * columns + to + 1),
    )
  for (const line of [...lines, ...rings.map((r) => [...r, firstOf(r)])])
    for (let k = 1; k < line.length; k += 1) {
      const [a, b] = [nth(line, k - 1), nth(line, k)]
      const steps = Math.max(1, Math.ceil(Math.hypot(b.x - a.x, b.y - a.y) / CELL))
      for (let s = 0; s <= steps; s += 1)
        mark(a.x + ((b.x - a.x) * s) / steps, a.y + ((b.y - a.y) * s) / steps)
    }
  return {
    columns,
    rows,
    runs: runsOf(cells, columns, rows),
    home: moveThen(turn, shift(-left, -top)),
    turn,
    cells: cells.reduce((sum, c) => sum + c, 0),
  }
}
const xs = (points: readonly Point[]): number[] => points.map((p) => p.x)
const ys = (points: readonly Point[]): number[] => points.map((p) => p.y)

function runsOf(cells: Uint8Array, columns: number, rows: number): [number, number][][] {
  return Array.from({ length: rows }, (_, r) => {
    const runs: [number, number][] = []
    for (let c = 0; c < columns; c += 1) {
      if (!cells[r * columns + c]) continue
      const start = c
      while (c + 1 < columns && cells[r * columns + c + 1]) c += 1
      runs.push([start, c])
    }
    return runs
  })
}

/** Of each corner between cells, how many cells of the mask lie above and to the left of it. */
const counts = new WeakMap<Mask, Int32Array>()
function countsOf(mask: Mask): Int32Array {
  const known = counts.get(mask)
  if (known) return known
  const wide = mask.columns + 1
  const made = new Int32Array(wide * (mask.rows + 1))
  mask.runs.forEach((runs, r) => {
    const row = made.subarray((r + 1) * wide, (r + 2) * wide)
    for (const [from, to] of runs) row.fill(1, from + 1, to + 2)
    for (let c = 1; c < wide; c += 1) row[c]! += nth(row, c - 1)
    for (let c = 1; c < wide; c += 1) row[c]! += nth(made, r * wide + c)
  })
  counts.set(mask, made)
  return made
}

/** Whether any cell of a mask lies in a part of it, `right` and `foot` not included. */
export function anyIn(mask: Mask, left: number, top: number, right: number, foot: number): boolean {
  const [sums, wide] = [countsOf(mask), mask.columns + 1]
  const [above, below] = [top * wide, foot * wide]
  return (
    nth(sums, below + right) - nth(sums, above + right) - nth(sums, below + left) + nth(sums, above + left) >
    0
  )
}

/** A sheet of cells, taken or free. */
export class Grid {
  private readonly taken: Uint8Array
  constructor(
    readonly columns: number,
    readonly rows: number,
  ) {
    this.taken = new Uint8Array(columns * rows)
  }

  fits(mask: Mask, column: number, row: number): boolean {
    for (let r = 0; r < mask.rows; r += 1) {
      const base = (row + r) * this.columns + column
      for (const [from, to] of nth(mask.runs, r))
        for (let c = from; c <= to; c += 1) if (this.taken[base + c]) return false
    }
    return true
  }

  take(mask: Mask, column: number, row: number): void {
    for (let r = 0; r < mask.rows; r += 1)
      for (const [from, to] of nth(mask.runs, r))
        this.taken.fill(
          1,
          (row + r) * this.columns + column + from,
          (row + r) * this.columns + column + to + 1,
        )
  }

  /** Free cells of a part of the sheet. */
  freeIn(column: number, row: number, columns: number, rows: number): number {
    let free = 0
    for (let r = row; r < row + rows; r += 1)
      for (let c = column; c < column + columns; c += 1) if (!this.taken[r * this.columns + c]) free += 1
    return free
  }
}
