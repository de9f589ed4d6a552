import {
  type Move,
  type Path,
  QUARTER_TURN,
  STAY,
  line,
  moveBack,
  moveThen,
  openPath,
  pathMoved,
  point,
  shift,
} from '../../geometry/index.js'
import { atKey, firstOf, required } from '../../lists/index.js'
import { CELL, Grid, type Mask, maskOf } from './grid.js'
import type { Tile } from './paper.js'
import type { PrintItem } from './printed.js'
import { cellsOf, eachPage, pagesTouched } from './touched.js'

export interface Placed {
  readonly item: PrintItem
  readonly move: Move
}

/** A page of a sheet that is printed: the others are empty. */
export interface SheetPage {
  readonly column: number
  readonly row: number
  /** What lies on it. */
  readonly items: readonly PrintItem[]
}

/** A large sheet that is printed on pages of `columns` × `rows` and joined; those where nothing lies are left out. */
export interface PrintSheet {
  readonly columns: number
  readonly rows: number
  readonly placed: readonly Placed[]
  readonly pages: readonly SheetPage[]
}

interface Laid {
  readonly item: PrintItem
  readonly mask: Mask
  readonly column: number
  readonly row: number
}

interface Sheet {
  readonly columns: number
  readonly rows: number
  readonly grid: Grid
  readonly laid: Laid[]
}

/** Cells that fit a length. */
const cellsIn = (length: number): number => Math.floor(length / CELL)

/** Pages of a length, each repeating some of the one before it, that reach so far; and how far so many reach. */
const pagesFor = (length: number, page: number, overlap: number): number =>
  length <= page ? 1 : 1 + Math.ceil((length - page) / (page - overlap))
const spanOf = (pages: number, page: number, overlap: number): number => page + (pages - 1) * (page - overlap)

/** Both ways up a piece can lie. */
const TURNS: readonly Move[] = [STAY, QUARTER_TURN]

const printedOf = (sheet: Sheet, tile: Tile): Set<number> =>
  new Set(sheet.laid.flatMap((l) => [...pagesTouched(l, tile, sheet)]))

/** How many pages a piece at a place of a sheet adds to those that are printed anyway, counted no further than `enough`. */
function morePages(sheet: Sheet, tile: Tile): (laid: Omit<Laid, 'item'>, enough: number) => number {
  const printed = printedOf(sheet, tile)
  const cells = cellsOf(sheet, tile)
  return (laid, enough) => {
    let more = 0
    eachPage(laid, cells, (page) => {
      if (!printed.has(page)) more += 1
      return more < enough
    })
    return more
  }
}

/** Shifts of a piece across its pages that are tried, shares of what is free. */
const SHARES = [0.5, 0.35, 0.65, 0.2, 0.8, 0, 1] as const

/** A piece larger than a page on a sheet of its own: turned and shifted to take the fewest pages, evenly. */
function largeSheet(item: PrintItem, tile: Tile): Sheet {
  let best: { sheet: Omit<Sheet, 'grid' | 'laid'>; laid: Laid; pages: number } | undefined
  for (const turn of TURNS) {
    const mask = maskOf(item, turn)
    const [columns, rows] = [
      pagesFor(mask.columns * CELL, tile.width, tile.overlap),
      pagesFor(mask.rows * CELL, tile.height, tile.overlap),
    ]
    const room = {
      x: Math.max(0, cellsIn(spanOf(columns, tile.width, tile.overlap)) - mask.columns),
      y: Math.max(0, cellsIn(spanOf(rows, tile.height, tile.overlap)) - mask.rows),
    }
    for (const x of SHARES)
      for (const y of SHARES) {
        const laid = { item, mask, column: Math.round(room.x * x), row: Math.round(room.y * y) }
        const pages = pagesTouched(laid, tile, { columns, rows }).size
        if (!best || pages < best.pages) best = { sheet: { columns, rows }, laid, pages }
      }
  }
  const { sheet: planned, laid } = required(best, 'way to lay it')
  const { columns, rows } = planned
  const grid = new Grid(
    Math.ceil(spanOf(columns, tile.width, tile.overlap) / CELL) + 1,
    Math.ceil(spanOf(rows, tile.height, tile.overlap) / CELL) + 1,
  )
  const sheet: Sheet = { columns, rows, grid, laid: [] }
  layOffJoins(sheet, laid, tile)
  return sheet
}

/** Strips of a sheet that two pages share, as lines over its whole length. */
function joinsOf({ columns, rows }: Sheet, tile: Tile): Path[] {
  const [wide, high] = [spanOf(columns, tile.width, tile.overlap), spanOf(rows, tile.height, tile.overlap)]
  const lines = (count: number, length: number, made: (at: number) => Path): Path[] =>
    Array.from({ length: count - 1 }, (_, k) => (k + 1) * (length - tile.overlap)).flatMap((at) =>
      [0, 0.25, 0.5, 0.75, 1].map((share) => made(at + share * tile.overlap)),
    )
  return [
    ...lines(columns, tile.width, (x) => openPath([line(point(x, 0), point(x, high))])),
    ...lines(rows, tile.height, (y) => openPath([line(point(0, y), point(wide, y))])),
  ]
}

/** Lays a piece on a sheet, its words written anew so that none is cut by a join. */
function layOffJoins(sheet: Sheet, laid: Laid, tile: Tile): void {
  const move = moveOf(laid)
  const back = moveBack(move)
  const item = laid.item.keptOff(joinsOf(sheet, tile).map((path) => pathMoved(path, back)))
  const mask = maskOf(item, laid.mask.turn)
  // Where its outline lay it lies again: only its words moved.
  const at = (mine: number, was: number, cell: number, room: number): number =>
    Math.max(0, Math.min(room, cell + Math.round((was - mine) / CELL)))
  const placed = {
    item,
    mask,
    column: at(mask.home.e, laid.mask.home.e, laid.column, sheet.grid.columns - mask.columns),
    row: at(mask.home.f, laid.mask.home.f, laid.row, sheet.grid.rows - mask.rows),
  }
  sheet.grid.take(mask, placed.column, placed.row)
  sheet.laid.push(placed)
}

const moveOf = ({ mask, column, row }: Laid): Move => moveThen(mask.home, shift(column * CELL, row * CELL))

/** A piece larger than a page into the gaps of a sheet that is joined anyway, where that prints fewer pages more. */
function besideLarge(sheet: Sheet, item: PrintItem, alone: number, tile: Tile): boolean {
  const pages = morePages(sheet, tile)
  let best: { laid: Laid; more: number } | undefined
  for (const turn of TURNS) {
    const mask = maskOf(item, turn)
    for (let row = 0; row + mask.rows <= sheet.grid.rows - 1 && best?.more !== 0; row += 2)
      for (let column = 0; column + mask.columns <= sheet.grid.columns - 1; column += 2) {
        const enough = best?.more ?? alone
        const laid = { item, mask, column, row }
        const more = pages(laid, enough)
        if (more < enough && sheet.grid.fits(mask, column, row)) best = { laid, more }
      }
  }
  if (!best) return false
  layOffJoins(sheet, best.laid, tile)
  return true
}

const smallSheet = (tile: Tile): Sheet => ({
  columns: 1,
  rows: 1,
  grid: new Grid(cellsIn(tile.width), cellsIn(tile.height)),
  laid: [],
})

/** The part of a page that its neighbours don't repeat: what is trimmed off for joining would cut a piece in two. */
function ownPart(sheet: Sheet, tile: Tile, x: number, y: number) {
  const shared = tile.overlap / CELL
  const [left, top] = [x * (tile.width / CELL - shared), y * (tile.height / CELL - shared)]
  return {
    left: Math.ceil(left + (x > 0 ? shared : 0)),
    top: Math.ceil(top + (y > 0 ? shared : 0)),
    right: Math.floor(left + tile.width / CELL - (x < sheet.columns - 1 ? shared : 0)),
    bottom: Math.floor(top + tile.height / CELL - (y < sheet.rows - 1 ? shared : 0)),
  }
}

/** Where a mask fits on one page of a sheet, topmost first; undefined where it does not. */
function placeOnPage(
  sheet: Sheet,
  mask: Mask,
  tile: Tile,
  x: number,
  y: number,
): Omit<Laid, 'item'> | undefined {
  const { left, top, right, bottom } = ownPart(sheet, tile, x, y)
  if (mask.columns > right - left || mask.rows > bottom - top) return undefined
  if (sheet.laid.length > 0 && sheet.grid.freeIn(left, top, right - left, bottom - top) < mask.cells)
    return undefined
  for (let row = top; row + mask.rows <= bottom; row += 1)
    for (let column = left; column + mask.columns <= right; column += 1)
      if (sheet.grid.fits(mask, column, row)) return { mask, column, row }
  return undefined
}

/** Into a gap of a sheet whose page is printed anyway; false where there is none. */
function intoSheet(sheet: Sheet, item: PrintItem, masks: readonly Mask[], tile: Tile): boolean {
  const printed = printedOf(sheet, tile)
  for (let y = 0; y < sheet.rows; y += 1)
    for (let x = 0; x < sheet.columns; x += 1) {
      if (sheet.laid.length > 0 && !printed.has(y * sheet.columns + x)) continue
      for (const mask of masks) {
        const place = placeOnPage(sheet, mask, tile, x, y)
        if (!place) continue
        sheet.grid.take(mask, place.column, place.row)
        sheet.laid.push({ item, ...place })
        return true
      }
    }
  return false
}

/**
 * Spreads pieces over pages: those that fit a page lie on one as a whole, largest first, in the gaps that larger ones
 * leave; larger ones go over several pages that overlap. By a grid of `CELL` mm; the packing of hides is another matter.
 */
export function planSheets(items: readonly PrintItem[], tile: Tile): PrintSheet[] {
  const fits = (m: Mask): boolean => m.columns <= cellsIn(tile.width) && m.rows <= cellsIn(tile.height)
  const masks = new Map(items.map((item) => [item, TURNS.map((turn) => maskOf(item, turn)).filter(fits)]))
  const large: Sheet[] = []
  const alone = items
    .filter((item) => atKey(masks, item).length === 0)
    .map((item) => ({ item, sheet: largeSheet(item, tile) }))
    .map((one) => ({ ...one, pages: pagesTouched(firstOf(one.sheet.laid), tile, one.sheet).size }))
    .toSorted((a, b) => b.pages - a.pages)
  for (const { item, sheet, pages } of alone)
    if (!large.some((other) => besideLarge(other, item, pages, tile))) large.push(sheet)
  const size = (item: PrintItem): number => firstOf(atKey(masks, item)).cells
  const small = items.filter((item) => atKey(masks, item).length > 0).toSorted((a, b) => size(b) - size(a))
  const sheets: Sheet[] = [...large]
  for (const item of small) {
    const ways = atKey(masks, item)
    if (sheets.some((sheet) => intoSheet(sheet, item, ways, tile))) continue
    const sheet = smallSheet(tile)
    intoSheet(sheet, item, ways, tile)
    sheets.push(sheet)
  }
  return sheets.map((sheet) => finished(sheet, tile))
}

function finished({ columns, rows, laid }: Sheet, tile: Tile): PrintSheet {
  const touched = laid.map((l) => ({ item: l.item, pages: pagesTouched(l, tile, { columns, rows }) }))
  const pages: SheetPage[] = []
  for (let row = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1) {
      const items = touched.filter((t) => t.pages.has(row * columns + column)).map((t) => t.item)
      if (items.length > 0) pages.push({ column, row, items })
    }
  return {
    columns,
    rows,
    pages,
    placed: laid.map(({ item, mask, column, row }) => ({
      item,
      move: moveOf({ item, mask, column, row }),
    })),
  }
}

export const pageCount = (sheets: readonly PrintSheet[]): number =>
  sheets.reduce((sum, s) => sum + s.pages.length, 0)
