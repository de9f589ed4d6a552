import { nth } from '../lists/index.js'
import type { Point } from './point.js'

/** Where the level line at y enters and leaves a closed ring of chords, from left to right. */
export function levelCrossings(ring: readonly Point[], y: number): number[] {
  const found: number[] = []
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i, i += 1) {
    const [a, b] = [nth(ring, i), nth(ring, j)]
    if (a.y > y !== b.y > y) found.push(((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x)
  }
  return found.sort((a, b) => a - b)
}

/** A frame of square cells, its upper left corner and the size of a cell in mm. */
export interface Cells {
  readonly left: number
  readonly top: number
  readonly cell: number
  readonly columns: number
  readonly rows: number
}

/** Cells whose middle lies inside a ring, told row by row: from one column to another, both counted. */
export function cellsInside(
  ring: readonly Point[],
  { left, top, cell, columns, rows }: Cells,
  visit: (row: number, from: number, to: number) => void,
): void {
  for (let row = 0; row < rows; row += 1) {
    const stops = levelCrossings(ring, top + (row + 0.5) * cell)
    for (let k = 0; k + 1 < stops.length; k += 2) {
      const from = Math.max(0, Math.ceil((nth(stops, k) - left) / cell - 0.5))
      const to = Math.min(columns - 1, Math.floor((nth(stops, k + 1) - left) / cell - 0.5))
      if (to >= from) visit(row, from, to)
    }
  }
}
