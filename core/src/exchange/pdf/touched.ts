import { nth } from '../../lists/index.js'
import { CELL, type Mask, anyIn } from './grid.js'
import type { Tile } from './paper.js'

/** How many pages a sheet is joined of. */
interface Pages {
  readonly columns: number
  readonly rows: number
}

/** A mask at a place of a sheet, in cells. */
interface Lying {
  readonly mask: Mask
  readonly column: number
  readonly row: number
}

/** The first cell of each page, and one past the last of all; pages are parted in the middle of what neighbours share. */
const firstCells = (pages: number, length: number, overlap: number): number[] =>
  Array.from({ length: pages + 1 }, (_, k) =>
    k === 0 ? 0 : k === pages ? Infinity : Math.ceil((k * (length - overlap) + overlap / 2) / CELL - 0.5),
  )

/** Every page of a sheet, by number, on which something of a piece lies. Ends where told to. */
export function eachPage(
  { mask, column, row }: Lying,
  [across, down]: readonly [readonly number[], readonly number[]],
  visit: (page: number) => boolean,
): void {
  const columns = across.length - 1
  for (let y = 0; y < down.length - 1; y += 1) {
    const [top, foot] = [Math.max(0, nth(down, y) - row), Math.min(mask.rows, nth(down, y + 1) - row)]
    if (top >= foot) continue
    for (let x = 0; x < columns; x += 1) {
      const [left, right] = [
        Math.max(0, nth(across, x) - column),
        Math.min(mask.columns, nth(across, x + 1) - column),
      ]
      if (left < right && anyIn(mask, left, top, right, foot) && !visit(y * columns + x)) return
    }
  }
}

/** The first cells of the pages of a sheet, across and down. */
export const cellsOf = (sheet: Pages, tile: Tile): [number[], number[]] => [
  firstCells(sheet.columns, tile.width, tile.overlap),
  firstCells(sheet.rows, tile.height, tile.overlap),
]

/** Pages of a sheet on which something of a piece lies, by number. */
export function pagesTouched(laid: Lying, tile: Tile, sheet: Pages): Set<number> {
  const touched = new Set<number>()
  eachPage(laid, cellsOf(sheet, tile), (page) => {
    touched.add(page)
    return true
  })
  return touched
}
