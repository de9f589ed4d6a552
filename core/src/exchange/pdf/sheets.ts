import {
  type Move,
  type Path,
  QUARTER_TURN,
  STAY,
  boxHeight,
  boxWidth,
  moveThen,
  pathBox,
  pathMoved,
  shift,
} from '../../geometry/index.js'
import type { Placed } from '../../reckon/index.js'
import { OVERLAP, type Tile } from './paper.js'

/** A large sheet that is printed on `columns` × `rows` pages and joined. */
export interface PrintSheet<T> {
  readonly columns: number
  readonly rows: number
  readonly placed: readonly Placed<T>[]
}

/** Room kept round every piece for its notches and letters, mm. */
const ROOM = 6

interface Row {
  readonly top: number
  readonly height: number
  x: number
}
interface Bin<T> {
  readonly rows: Row[]
  bottom: number
  readonly placed: Placed<T>[]
}

interface Sized<T> {
  readonly item: T
  readonly width: number
  readonly height: number
  /** To a place whose upper left corner, room included, is the origin. */
  readonly home: Move
}

function sized<T>(item: T, outline: Path, turned: boolean): Sized<T> {
  const move = turned ? QUARTER_TURN : STAY
  const box = pathBox(pathMoved(outline, move))
  return {
    item,
    width: boxWidth(box) + 2 * ROOM,
    height: boxHeight(box) + 2 * ROOM,
    home: moveThen(move, shift(ROOM - box.left, ROOM - box.top)),
  }
}

function intoBin<T>(bin: Bin<T>, one: Sized<T>, tile: Tile): boolean {
  const row = bin.rows.find((r) => r.x + one.width <= tile.width && one.height <= r.height)
  if (row) {
    bin.placed.push({ item: one.item, move: moveThen(one.home, shift(row.x, row.top)) })
    row.x += one.width
    return true
  }
  if (bin.bottom + one.height > tile.height || one.width > tile.width) return false
  bin.placed.push({ item: one.item, move: moveThen(one.home, shift(0, bin.bottom)) })
  bin.rows.push({ top: bin.bottom, height: one.height, x: one.width })
  bin.bottom += one.height
  return true
}

const pagesFor = (length: number, tile: number): number =>
  length <= tile ? 1 : 1 + Math.ceil((length - tile) / (tile - OVERLAP))

/** A piece larger than a page gets a sheet of its own, turned whichever way takes fewer pages. */
function ownSheet<T>(item: T, outline: Path, tile: Tile): PrintSheet<T> {
  const [upright, turned] = [false, true].map((way) => {
    const one = sized(item, outline, way)
    return { one, columns: pagesFor(one.width, tile.width), rows: pagesFor(one.height, tile.height) }
  }) as [Tried<T>, Tried<T>]
  const { one, columns, rows } =
    upright.columns * upright.rows <= turned.columns * turned.rows ? upright : turned
  return { columns, rows, placed: [{ item, move: one.home }] }
}
interface Tried<T> {
  readonly one: Sized<T>
  readonly columns: number
  readonly rows: number
}

/**
 * Spreads pieces over pages: whole wherever they fit on one, tallest first, turned a quarter where only that fits;
 * larger ones over several pages that overlap.
 */
export function planSheets<T>(items: readonly T[], outline: (item: T) => Path, tile: Tile): PrintSheet<T>[] {
  const bins: Bin<T>[] = []
  const large: PrintSheet<T>[] = []
  const fits = (s: Sized<T>): boolean => s.width <= tile.width && s.height <= tile.height
  const ways = items.map((item) => [false, true].map((turned) => sized(item, outline(item), turned)))
  const order = ways.toSorted((a, b) => b[0]!.height - a[0]!.height)
  for (const [upright, turned] of order as [Sized<T>, Sized<T>][]) {
    const one = fits(upright) ? upright : fits(turned) ? turned : undefined
    if (!one) large.push(ownSheet(upright.item, outline(upright.item), tile))
    else if (!bins.some((bin) => intoBin(bin, one, tile))) {
      const bin: Bin<T> = { rows: [], bottom: 0, placed: [] }
      intoBin(bin, one, tile)
      bins.push(bin)
    }
  }
  return [...bins.map(({ placed }) => ({ columns: 1, rows: 1, placed })), ...large]
}

export const pageCount = <T>(sheets: readonly PrintSheet<T>[]): number =>
  sheets.reduce((sum, s) => sum + s.columns * s.rows, 0)
