import { PDFDocument } from 'pdf-lib'
import { type Drawn, stroke, text } from '../../drawing/index.js'
import { line, openPath, point } from '../../geometry/index.js'
import { paperOf } from '../paper/index.js'
import { BODY, type Block, type Row, columnWidth, flowed, paragraph } from './cover/block.js'
import { Fonts } from './fonts.js'
import { CREATOR } from './ours.js'
import { BORDER, tileOf } from './paper.js'
import { PT, Pen } from './pen.js'
import type { PdfOptions } from './write.js'

const HEAD = 14
/** A box to tick, mm. */
const BOX = 3.4
/** Where what belongs to a box begins, mm. */
export const INDENT = BOX + 2.5

const box = (): Drawn[] => {
  const [a, b, c, d] = [point(0, 0.4), point(BOX, 0.4), point(BOX, BOX + 0.4), point(0, BOX + 0.4)]
  return [stroke('finished', openPath([line(a, b), line(b, c), line(c, d), line(d, a)]), 0.25)]
}

/** Words behind a box to tick. */
export const tick = (words: string, width: number, bold = false): Row => {
  const row = paragraph(words, width, INDENT, BODY, bold)
  return { height: Math.max(row.height, BOX + 1.5), drawn: [...box(), ...row.drawn] }
}

/** A picture (PNG or JPEG) in the upper right corner of the first page, mm. */
export interface Shown {
  readonly bytes: Uint8Array
  readonly width: number
}

/** The width of a column of words on a paper, mm. */
export const widthOf = ({ paper }: PdfOptions, columns = 2): number =>
  columnWidth(tileOf(paper, false).width, columns)

const isPng = (bytes: Uint8Array): boolean => bytes[0] === 0x89 && bytes[1] === 0x50

/** Blocks in columns over as many pages as it takes, a heading on the first, with a picture above them where there is one. */
export async function saved(
  title: string,
  heading: string,
  blocks: readonly (readonly Block[])[],
  options: PdfOptions,
  { columns = 2, picture }: { readonly columns?: number; readonly picture?: Shown | undefined } = {},
): Promise<Uint8Array> {
  const document = await PDFDocument.create({ updateMetadata: false })
  const tile = tileOf(options.paper, false)
  const image =
    picture &&
    (await (isPng(picture.bytes) ? document.embedPng(picture.bytes) : document.embedJpg(picture.bytes)))
  const high = image && picture ? (picture.width * image.height) / image.width : 0
  const head = text('label', point(0, 5), heading, 4.4, 'start', true)
  const top = high > 0 ? HEAD + high + 4 : HEAD
  const pages = flowed(blocks, { ...tile, columns }, top).map((drawn, i) =>
    i === 0 ? [head, ...drawn] : drawn,
  )
  const words = pages.flat().flatMap((d) => (d.type === 'text' ? [d.text] : []))
  const fonts = await Fonts.of(document, options.fonts, words)
  const paper = paperOf(options.paper)
  document.setTitle(title)
  document.setCreator(CREATOR)
  for (const [i, drawn] of pages.entries()) {
    const sheet = document.addPage([paper.width * PT, paper.height * PT])
    new Pen(sheet, fonts, point(BORDER, BORDER)).draw(drawn)
    if (i === 0 && image && picture)
      sheet.drawImage(image, {
        x: BORDER * PT,
        y: (paper.height - BORDER - HEAD + 2 - high) * PT,
        width: picture.width * PT,
        height: high * PT,
      })
  }
  return document.save()
}
