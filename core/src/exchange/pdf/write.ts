import { PDFDocument } from 'pdf-lib'
import type { Derived } from '../../derived/index.js'
import { type Drawn, drawnMoved, stroke, text, textSpan, wrapped } from '../../drawing/index.js'
import { type Box, boxesTouch, line, openPath, pathBox, point } from '../../geometry/index.js'
import type { LengthUnit } from '../../measure/index.js'
import { coverPages } from './cover/index.js'
import { type FontFiles, Fonts } from './fonts.js'
import { PAPERS, type PaperId } from '../paper/index.js'
import { BORDER, OVERLAP, type Tile, tileOf } from './paper.js'
import { CREATOR } from './ours.js'
import { PT, Pen } from './pen.js'
import { printItems } from './printed.js'
import { type PrintSheet, type SheetPage, pageCount, planSheets } from './sheets.js'

export interface PdfOptions {
  readonly paper: PaperId
  readonly unit: LengthUnit
  readonly fonts: FontFiles
  /** The day it is printed, as it is to stand on the cover. */
  readonly date?: string
}

/** Upright or lying paper, whichever takes fewer pages; upright where they are equal. */
export function planPrint(derived: Derived, paper: PaperId, unit: LengthUnit) {
  const items = printItems(derived.pieces, derived.design, unit, tileOf(paper, false))
  const ways = [false, true].map((landscape) => {
    const tile = tileOf(paper, landscape)
    return { landscape, tile, sheets: planSheets(items, tile) }
  })
  return ways.reduce((a, b) => (pageCount(b.sheets) < pageCount(a.sheets) ? b : a))
}

interface PagePlace {
  /** Letter of the joined sheet, so that marks of different sheets are not mistaken for each other. */
  readonly letter: string
  readonly sheet: PrintSheet
  readonly page: SheetPage
  readonly number: number
}

/** A, B … Z, then AA, AB … */
const letterOf = (k: number): string =>
  (k >= 26 ? letterOf(Math.floor(k / 26) - 1) : '') + String.fromCharCode(65 + (k % 26))

function pagesOf(sheets: readonly PrintSheet[]): PagePlace[] {
  let number = 0
  return sheets.flatMap((sheet, k) =>
    sheet.pages.map((page) => ({ sheet, page, letter: letterOf(k), number: (number += 1) })),
  )
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
function joinMarks({ sheet, letter, page: { column, row } }: PagePlace, tile: Tile): Drawn[] {
  const [left, top] = [column * (tile.width - OVERLAP), row * (tile.height - OVERLAP)]
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
  const middle = OVERLAP / 2
  return [
    ...(printed(column - 1, row) ? upright(left + middle, column) : []),
    ...(printed(column + 1, row) ? upright(left + tile.width - middle, column + 1) : []),
    ...(printed(column, row - 1) ? level(top + middle, row) : []),
    ...(printed(column, row + 1) ? level(top + tile.height - middle, row + 1) : []),
  ]
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

function patternPage(place: PagePlace, tile: Tile): Drawn[] {
  const { column, row } = place.page
  const [left, top] = [column * (tile.width - OVERLAP), row * (tile.height - OVERLAP)]
  const window = { left, top, right: left + tile.width, bottom: top + tile.height }
  return [
    ...place.sheet.placed.flatMap(({ item, move }) =>
      item.drawn.flatMap((d) => shownIn(drawnMoved(d, move), window)),
    ),
    ...joinMarks(place, tile),
  ]
}

/** “Front, part 2 of 4”: every sheet says what lies on it. */
function namesOn({ sheet, page }: PagePlace): string {
  return page.items
    .map((item) => {
      const on = sheet.pages.filter((p) => p.items.includes(item))
      const part = on.length > 1 ? `, part ${on.indexOf(page) + 1} of ${on.length}` : ''
      return `${item.piece.name}${part}`
    })
    .join(' · ')
}

const FOOT_TYPE = 2.8
/** The bar on every sheet, mm. */
const FOOT_BAR = 50

function footer(derived: Derived, place: PagePlace, pages: number, tile: Tile): Drawn[] {
  const y = tile.height + 3.4
  const bar = tile.width - FOOT_BAR
  const room = bar - 22
  const said = `${derived.design.name}, ${derived.design.draft} · page ${place.number} of ${pages} · 1:1 · ${namesOn(place)}`
  const [first, second, third] = wrapped(said, room, FOOT_TYPE)
  const lines = [first!, ...(second === undefined ? [] : [third === undefined ? second : `${second} …`])]
  return [
    ...lines.map((words, i) => text('label', point(0, y + i * 3.4), words, FOOT_TYPE, 'start')),
    stroke('cut', openPath([line(point(bar, y), point(tile.width, y))]), 0.3),
    ...[0, FOOT_BAR].map((at) =>
      stroke('cut', openPath([line(point(bar + at, y - 1), point(bar + at, y + 1))]), 0.2),
    ),
    text('label', point(bar - 2, y + 1), `${FOOT_BAR} mm`, FOOT_TYPE, 'end'),
  ]
}

const wordsIn = (drawn: readonly Drawn[]): string[] =>
  drawn.flatMap((d) => (d.type === 'text' ? [d.text] : []))

/** The pattern at exactly 1:1 on pages of the paper asked for, with a cover. Same design, same bytes. */
export async function writePdf(derived: Derived, options: PdfOptions): Promise<Uint8Array> {
  const { unit, date } = options
  const document = await PDFDocument.create({ updateMetadata: false })
  const { landscape, tile, sheets } = planPrint(derived, options.paper, unit)
  const paper = PAPERS[options.paper]
  const size: [number, number] = landscape
    ? [paper.height * PT, paper.width * PT]
    : [paper.width * PT, paper.height * PT]
  const places = pagesOf(sheets)
  const pattern = places.map((place) => ({
    place,
    drawn: patternPage(place, tile),
    foot: footer(derived, place, places.length, tile),
  }))
  const cover = (lacking: readonly string[]): Drawn[][] =>
    coverPages(derived, sheets, tile, { paper: paper.name, unit, date, lacking })
  const plain = cover([])
  const said = [...plain.flat(), ...pattern.flatMap(({ drawn, foot }) => [...drawn, ...foot])]
  // The words about letters that are missing are plain ones.
  const fonts = await Fonts.of(document, options.fonts, [...wordsIn(said), ...ALWAYS])
  const lacking = fonts.lacking(wordsIn(said))
  const pages = lacking.length > 0 ? cover(lacking) : plain
  document.setTitle(derived.design.name)
  document.setCreator(CREATOR)
  for (const drawn of pages) new Pen(document.addPage(size), fonts, point(BORDER, BORDER)).draw(drawn)
  for (const { place, drawn, foot } of pattern) {
    const page = document.addPage(size)
    const at = point(place.page.column * (tile.width - OVERLAP), place.page.row * (tile.height - OVERLAP))
    const window = { at, width: tile.width, height: tile.height }
    new Pen(page, fonts, point(BORDER - at.x, BORDER - at.y), window).draw(drawn)
    new Pen(page, fonts, point(BORDER, BORDER)).draw(foot)
  }
  return document.save()
}
const ALWAYS = ['ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789 .,:;+“”?…']
