import fontkit from '@pdf-lib/fontkit'
import { PDFDocument } from 'pdf-lib'
import type { Derived } from '../../derive.js'
import { type Drawn, drawnMoved, pieceDrawing, pieceOutline, stroke, text } from '../../drawing/index.js'
import { line, openPath, point } from '../../geometry/index.js'
import type { LengthUnit } from '../../measure/index.js'
import type { Piece } from '../../reckon/index.js'
import { coverDrawing } from './cover.js'
import { BORDER, OVERLAP, PAPERS, type PaperId, type Tile, tileOf } from './paper.js'
import { PT, Pen, type Fonts } from './pen.js'
import { type PrintSheet, pageCount, planSheets } from './sheets.js'

export interface PdfOptions {
  readonly paper: PaperId
  readonly unit: LengthUnit
  /** Font files (TrueType or WOFF) to embed. */
  readonly fonts: { readonly plain: Uint8Array; readonly bold: Uint8Array }
}

/** Upright or lying paper, whichever takes fewer pages; upright where they are equal. */
function plan(derived: Derived, paper: PaperId) {
  const ways = [false, true].map((landscape) => {
    const tile = tileOf(paper, landscape)
    return { landscape, tile, sheets: planSheets(derived.pieces, pieceOutline, tile) }
  })
  return ways.reduce((a, b) => (pageCount(b.sheets) < pageCount(a.sheets) ? b : a))
}

interface PagePlace {
  /** Letter of the joined sheet, so that marks of different sheets are not mistaken for each other. */
  readonly letter: string
  readonly sheet: PrintSheet<Piece>
  readonly column: number
  readonly row: number
}

const pagesOf = (sheets: readonly PrintSheet<Piece>[]): PagePlace[] =>
  sheets.flatMap((sheet, k) =>
    Array.from({ length: sheet.rows * sheet.columns }, (_, i) => ({
      sheet,
      letter: String.fromCharCode(65 + (k % 26)),
      column: i % sheet.columns,
      row: Math.floor(i / sheet.columns),
    })),
  )

/** Crosses in the middle of every overlap, numbered by the two pages that share them, and the line to trim to. */
function joinMarks({ sheet, letter, column, row }: PagePlace, tile: Tile): Drawn[] {
  const [stepX, stepY] = [tile.width - OVERLAP, tile.height - OVERLAP]
  const cross = (x: number, y: number, name: string): Drawn[] => [
    stroke('notches', openPath([line(point(x - 4, y), point(x + 4, y))]), 0.2),
    stroke('notches', openPath([line(point(x, y - 4), point(x, y + 4))]), 0.2),
    text('notches', point(x + 1.2, y - 1.2), name, 2.8, 'start', true),
  ]
  const [left, top] = [column * stepX, row * stepY]
  const marks: Drawn[] = []
  const upright = (at: number, between: number): void => {
    const x = at + OVERLAP / 2
    for (const share of [0.2, 0.8])
      marks.push(
        ...cross(
          x,
          top + tile.height * share,
          `${letter} row ${row + 1}, ${between}|${between + 1} ${share < 0.5 ? 'a' : 'b'}`,
        ),
      )
    marks.push(
      stroke('finished', openPath([line(point(x, top), point(x, top + tile.height))]), 0.12, [1.5, 1.5]),
    )
  }
  const level = (at: number, between: number): void => {
    const y = at + OVERLAP / 2
    for (const share of [0.2, 0.8])
      marks.push(
        ...cross(
          left + tile.width * share,
          y,
          `${letter} column ${column + 1}, ${between}|${between + 1} ${share < 0.5 ? 'a' : 'b'}`,
        ),
      )
    marks.push(
      stroke('finished', openPath([line(point(left, y), point(left + tile.width, y))]), 0.12, [1.5, 1.5]),
    )
  }
  if (column > 0) upright(left, column)
  if (column < sheet.columns - 1) upright(left + stepX, column + 1)
  if (row > 0) level(top, row)
  if (row < sheet.rows - 1) level(top + stepY, row + 1)
  return marks
}

function patternPage(place: PagePlace, derived: Derived, unit: LengthUnit, tile: Tile): Drawn[] {
  const pieces = place.sheet.placed.flatMap(({ item, move }) =>
    pieceDrawing(item, derived.design, unit).map((d) => drawnMoved(d, move)),
  )
  return [...pieces, ...joinMarks(place, tile)]
}

const footer = (derived: Derived, number: number, pages: number, tile: Tile): Drawn[] => [
  text(
    'label',
    point(0, tile.height + 6),
    `${derived.design.name}, ${derived.design.draft} · page ${number} of ${pages} · 1:1`,
    2.8,
    'start',
  ),
  stroke(
    'cut',
    openPath([line(point(tile.width - 50, tile.height + 5), point(tile.width, tile.height + 5))]),
    0.3,
  ),
  text('label', point(tile.width - 52, tile.height + 6), '50 mm', 2.8, 'end'),
]

/** The two fonts, in the file, letters that are used only. */
export async function embedded(document: PDFDocument, fonts: PdfOptions['fonts']): Promise<Fonts> {
  document.registerFontkit(fontkit)
  return {
    plain: await document.embedFont(fonts.plain, {
      subset: true,
      customName: 'DRUMLA+AtkinsonHyperlegibleNext-Regular',
    }),
    bold: await document.embedFont(fonts.bold, {
      subset: true,
      customName: 'DRUMLB+AtkinsonHyperlegibleNext-Bold',
    }),
  }
}

/** The pattern at exactly 1:1 on pages of the paper asked for, with a cover. Same design, same bytes. */
export async function writePdf(derived: Derived, options: PdfOptions): Promise<Uint8Array> {
  const document = await PDFDocument.create({ updateMetadata: false })
  const fonts = await embedded(document, options.fonts)
  const { landscape, tile, sheets } = plan(derived, options.paper)
  const paper = PAPERS[options.paper]
  const size: [number, number] = landscape
    ? [paper.height * PT, paper.width * PT]
    : [paper.width * PT, paper.height * PT]
  const places = pagesOf(sheets)
  document.setTitle(derived.design.name)
  document.setCreator('Drumlin')
  const onPage = point(BORDER, BORDER)
  new Pen(document.addPage(size), fonts, onPage).draw(
    coverDrawing(derived, sheets, tile, places.length, paper.name, options.unit),
  )
  places.forEach((place, i) => {
    const page = document.addPage(size)
    const at = point(place.column * (tile.width - OVERLAP), place.row * (tile.height - OVERLAP))
    const window = { at, width: tile.width, height: tile.height }
    new Pen(page, fonts, point(BORDER - at.x, BORDER - at.y), window).draw(
      patternPage(place, derived, options.unit, tile),
    )
    new Pen(page, fonts, onPage).draw(footer(derived, i + 1, places.length, tile))
  })
  return document.save()
}
