import { type Drawn, stroke, text } from '../../drawing/index.js'
import { line, openPath, point } from '../../geometry/index.js'
import type { Tile } from './paper.js'
import type { PrintSheet, SheetPage } from './sheets.js'

/** A page of the pattern. */
export interface PagePlace {
  /** Letter of the joined sheet, so that marks of different sheets are not mistaken for each other. */
  readonly letter: string
  readonly sheet: PrintSheet
  readonly page: SheetPage
  readonly number: number
}

const CROSS = 4
const CROSS_TYPE = 2.8

/** A cross both pages repeat; its name stands along the strip they share, inside the page. */
function cross(x: number, y: number, name: string, upright: boolean): Drawn[] {
  const along = CROSS + 1
  return [
    stroke('notches', openPath([line(point(x - CROSS, y), point(x + CROSS, y))]), 0.2),
    stroke('notches', openPath([line(point(x, y - CROSS), point(x, y + CROSS))]), 0.2),
    upright
      ? text('notches', point(x - 1, y - along), name, CROSS_TYPE, 'start', true, -Math.PI / 2)
      : text('notches', point(x + along, y - 1), name, CROSS_TYPE, 'start', true),
  ]
}

/** Crosses in the middle of every overlap with a page that is printed, named by both, and the line to trim to. */
export function joinMarks({ sheet, letter, page: { column, row } }: PagePlace, tile: Tile): Drawn[] {
  const [left, top] = [column * (tile.width - tile.overlap), row * (tile.height - tile.overlap)]
  const printed = (c: number, r: number): boolean => sheet.pages.some((p) => p.column === c && p.row === r)
  const trim = (from: { x: number; y: number }, to: { x: number; y: number }): Drawn =>
    stroke('finished', openPath([line(from, to)]), 0.12, [1.5, 1.5])
  const upright = (x: number, between: number): Drawn[] => [
    trim(point(x, top), point(x, top + tile.height)),
    ...[0.2, 0.8].flatMap((share) =>
      cross(
        x,
        top + tile.height * share,
        `${letter} row ${row + 1}, ${between}|${between + 1} ${share < 0.5 ? 'a' : 'b'}`,
        true,
      ),
    ),
  ]
  const level = (y: number, between: number): Drawn[] => [
    trim(point(left, y), point(left + tile.width, y)),
    ...[0.2, 0.8].flatMap((share) =>
      cross(
        left + tile.width * share,
        y,
        `${letter} column ${column + 1}, ${between}|${between + 1} ${share < 0.5 ? 'a' : 'b'}`,
        false,
      ),
    ),
  ]
  const middle = tile.overlap / 2
  return [
    ...(printed(column - 1, row) ? upright(left + middle, column) : []),
    ...(printed(column + 1, row) ? upright(left + tile.width - middle, column + 1) : []),
    ...(printed(column, row - 1) ? level(top + middle, row) : []),
    ...(printed(column, row + 1) ? level(top + tile.height - middle, row + 1) : []),
  ]
}
