import { type Point, cellsInside } from '../geometry/index.js'
import { type Extent, extentOf } from './world.js'
import { lastOf, intAt } from '../lists/index.js'

/** Fineness of the grid on which what is left is measured, mm. */
const CELL = 4

/** A grid over a hide: 1 where leather is free. */
export interface Grid {
  readonly cell: number
  readonly left: number
  readonly top: number
  readonly columns: number
  readonly rows: number
  readonly free: Uint8Array
}

/** What is free of an outline without other outlines, as cells. */
export function freeCells(within: readonly Point[], without: readonly (readonly Point[])[]): Grid {
  const box = extentOf(within)
  const frame = {
    left: box.left,
    top: box.top,
    cell: CELL,
    columns: Math.ceil((box.right - box.left) / CELL),
    rows: Math.ceil((box.bottom - box.top) / CELL),
  }
  const free = new Uint8Array(frame.columns * frame.rows)
  const fill =
    (value: 0 | 1) =>
    (row: number, from: number, to: number): void =>
      void free.fill(value, row * frame.columns + from, row * frame.columns + to + 1)
  cellsInside(within, frame, fill(1))
  for (const ring of without) cellsInside(ring, frame, fill(0))
  return { ...frame, free }
}

/** The largest upright rectangle of free cells, in mm; undefined where nothing is free. */
export function largestRectangle(grid: Grid): Extent | undefined {
  return bestRectangle(grid, (w, h) => w * h)
}

/** The longest strip along the backbone that is at least so wide, mm; undefined where there is none. */
export function longestStrip(grid: Grid, wide: number): Extent | undefined {
  return bestRectangle(grid, (w, h) => (h + 1e-6 >= wide ? w + h / 1e6 : 0))
}

/** The rectangle of free cells that is worth most, by its width and height in mm: row by row over columns of heights. */
function bestRectangle(
  { cell, left, top, columns, rows, free }: Grid,
  worth: (w: number, h: number) => number,
): Extent | undefined {
  const heights = new Int32Array(columns + 1)
  let [best, most] = [undefined as Extent | undefined, 0]
  for (let row = 0; row < rows; row += 1) {
    for (let k = 0; k < columns; k += 1) heights[k] = free[row * columns + k] ? intAt(heights, k) + 1 : 0
    const open: number[] = []
    for (let k = 0; k <= columns; k += 1) {
      while (open.length > 0 && intAt(heights, lastOf(open)) >= intAt(heights, k)) {
        const h = intAt(heights, open.pop()!)
        const from = open.length > 0 ? lastOf(open) + 1 : 0
        const value = h === 0 ? 0 : worth((k - from) * cell, h * cell)
        if (value <= most) continue
        most = value
        best = {
          left: left + from * cell,
          right: left + k * cell,
          top: top + (row + 1 - h) * cell,
          bottom: top + (row + 1) * cell,
        }
      }
      open.push(k)
    }
  }
  return best
}
