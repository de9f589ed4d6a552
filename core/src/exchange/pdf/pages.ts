import type { Derived } from '../../derived/index.js'
import { type Drawn, drawnMoved, stroke, text, textSpan, wrapped } from '../../drawing/index.js'
import {
  type Box,
  boxUnion,
  boxesTouch,
  line,
  openPath,
  pathBox,
  pathMoved,
  point,
} from '../../geometry/index.js'
import type { Units } from '../../measure/index.js'
import { type PaperId, type PrintWish, USUAL_PRINT, isRoll, paperOf } from '../paper/index.js'
import { type PagePlace, joinMarks } from './joins.js'
import { type PageOf, ROOM, type Tile, pageOf } from './paper.js'
import { printItems } from './printed.js'
import { type PrintSheet, pageCount, planSheets } from './sheets.js'

/** How a pattern lies on its pages. */
export interface PrintPlan {
  readonly landscape: boolean
  readonly page: PageOf
  readonly tile: Tile
  readonly sheets: readonly PrintSheet[]
}

/** A paper as it is usually printed on. */
export const wishOf = (paper: PaperId | PrintWish): PrintWish =>
  typeof paper === 'string' ? { ...USUAL_PRINT, paper } : paper

/** Upright or lying paper, whichever is asked for or takes fewer pages; upright where they are equal, and always on a roll. */
export function planPrint(derived: Derived, paper: PaperId | PrintWish, unit: Units): PrintPlan {
  const wish = wishOf(paper)
  const wanted = wish.pieces && new Set(wish.pieces)
  const pieces = wanted ? derived.pieces.filter((p) => wanted.has(p.id)) : derived.pieces
  const items = printItems(pieces, derived.design, unit, pageOf(wish, false).tile, {
    whole: isRoll(wish.paper),
    ...(wish.copies ? { copies: wish.copies } : {}),
  })
  const lying =
    isRoll(wish.paper) || wish.way === 'upright' ? [false] : wish.way === 'lying' ? [true] : [false, true]
  const ways = lying.map((landscape): PrintPlan => {
    const page = pageOf(wish, landscape)
    return { landscape, page, tile: page.tile, sheets: planSheets(items, page.tile) }
  })
  return ways.reduce((a, b) => (pageCount(b.sheets) < pageCount(a.sheets) ? b : a))
}

/** A, B … Z, then AA, AB … */
const letterOf = (k: number): string =>
  (k >= 26 ? letterOf(Math.floor(k / 26) - 1) : '') + String.fromCharCode(65 + (k % 26))

function placesOf(sheets: readonly PrintSheet[]): PagePlace[] {
  let number = 0
  return sheets.flatMap((sheet, k) =>
    sheet.pages.map((page) => ({ sheet, page, letter: letterOf(k), number: (number += 1) })),
  )
}

/** What of a drawing shows in a window: the rest would only make the file large. */
const shownIn = (drawn: Drawn, window: Box): Drawn[] => {
  if (drawn.type === 'text') return boxesTouch(textSpan(drawn), window) ? [drawn] : []
  if (drawn.type === 'stroke') return boxesTouch(pathBox(drawn.path), window, 1) ? [drawn] : []
  const points = drawn.points.filter(
    ({ x, y }) => x > window.left && x < window.right && y > window.top && y < window.bottom,
  )
  return points.length > 0 ? [{ ...drawn, points }] : []
}

/** Where on its sheet a page begins, mm. */
const cornerOf = ({ page: { column, row } }: PagePlace, tile: Tile) =>
  point(column * (tile.width - tile.overlap), row * (tile.height - tile.overlap))

function patternOn(place: PagePlace, tile: Tile): Drawn[] {
  const { x: left, y: top } = cornerOf(place, tile)
  const window = { left, top, right: left + tile.width, bottom: top + tile.height }
  return [
    ...place.sheet.placed.flatMap(({ item, move }) =>
      item.drawn.flatMap((d) => shownIn(drawnMoved(d, move), window)),
    ),
    ...joinMarks(place, tile),
  ]
}

/** “Front, part 2 of 4 · Pocket × 2”: every sheet says what lies on it. */
function namesOn({ sheet, page }: PagePlace): string {
  const names = page.items.map((item) => {
    const on = sheet.pages.filter((p) => p.items.includes(item))
    const part = on.length > 1 ? `, part ${on.indexOf(page) + 1} of ${on.length}` : ''
    return `${item.piece.name}${part}`
  })
  return [...new Set(names)]
    .map((name) => {
      const times = names.filter((n) => n === name).length
      return times > 1 ? `${name} × ${times}` : name
    })
    .join(' · ')
}

const FOOT_TYPE = 2.8
/** The bar on every sheet, mm. */
const FOOT_BAR = 50

/** “made true for the back room printer: 98.5 % across, 98.6 % along, 0.1° skew”. */
export function madeTrue({ printer }: PrintWish): string | undefined {
  if (!printer) return undefined
  const per = (v: number): string => `${(100 * v).toFixed(2)} %`
  const skew = (Math.atan(printer.skew) * 180) / Math.PI
  const skewed = Math.abs(skew) < 0.005 ? '' : `, ${Math.abs(skew).toFixed(2)}° skew`
  return `made true for ${printer.name}: ${per(printer.across)} across, ${per(printer.along)} along${skewed}`
}

function footer(derived: Derived, place: PagePlace, pages: number, tile: Tile, wish: PrintWish): Drawn[] {
  const y = tile.height + 3.4
  const bar = tile.width - FOOT_BAR
  const room = bar - 22
  const corrected = madeTrue(wish)
  const said = `${derived.design.name}, ${derived.design.draft} · page ${place.number} of ${pages} · 1:1${corrected ? `, ${corrected}` : ''} · ${namesOn(place)}`
  const [first = '', second, third] = wrapped(said, room, FOOT_TYPE)
  const lines = [first, ...(second === undefined ? [] : [third === undefined ? second : `${second} …`])]
  return [
    ...lines.map((words, i) => text('label', point(0, y + i * 3.4), words, FOOT_TYPE, 'start')),
    stroke('cut', openPath([line(point(bar, y), point(tile.width, y))]), 0.3),
    ...[0, FOOT_BAR].map((at) =>
      stroke('cut', openPath([line(point(bar + at, y - 1), point(bar + at, y + 1))]), 0.2),
    ),
    text('label', point(bar - 2, y + 1), `${FOOT_BAR} mm`, FOOT_TYPE, 'end'),
  ]
}

/** Room under the last piece on a roll, for its letters, mm. */
const ROLL_END = 8

/** How much of a roll a sheet takes, mm. */
function rollLength({ placed }: PrintSheet): number {
  const boxes = placed.map(({ item, move }) => pathBox(pathMoved(item.outline, move)))
  return boxUnion(boxes).bottom + ROOM + ROLL_END
}

/** A page of the pattern with all that is drawn on it, in mm of what lies on the sheet. */
export interface DrawnPage {
  readonly number: number
  readonly names: string
  readonly pieces: readonly string[]
  /** The page, mm, and what of it is drawn on. */
  readonly width: number
  readonly height: number
  readonly tile: Tile
  /** Where on its sheet it begins. */
  readonly at: { readonly x: number; readonly y: number }
  readonly drawn: readonly Drawn[]
  /** Under it, from its own corner. */
  readonly foot: readonly Drawn[]
}

/** Every page of the pattern. */
export function drawnPages(derived: Derived, plan: PrintPlan, wish: PrintWish): DrawnPage[] {
  const places = placesOf(plan.sheets)
  const { page } = plan
  return places.map((place): DrawnPage => {
    const rolled = isRoll(wish.paper) ? rollLength(place.sheet) : undefined
    const tile = rolled === undefined ? plan.tile : { ...plan.tile, height: rolled }
    const height = rolled === undefined ? page.height : rolled / page.error.along + 2 * page.border
    return {
      number: place.number,
      names: namesOn(place),
      pieces: place.page.items.map((i) => i.piece.id),
      width: page.width,
      height,
      tile,
      at: cornerOf(place, tile),
      drawn: patternOn(place, tile),
      foot: footer(derived, place, places.length, tile, wish),
    }
  })
}

/** Papers wider than this are a print shop’s: the cover is a sheet of its own, mm. */
const COVER_WIDE = 320

/** What the cover is drawn on: the same paper, or a small sheet beside a large one. */
export function coverPage(plan: PrintPlan, wish: PrintWish, small: PaperId): PageOf {
  const { width, height } = paperOf(wish.paper)
  if (height > 0 && Math.min(width, height) <= COVER_WIDE) return plan.page
  const { printer: _, ...rest } = wish
  return pageOf({ ...rest, paper: small }, false)
}
