import { PDFDocument } from 'pdf-lib'
import type { Derived } from '../../derived/index.js'
import type { Drawn } from '../../drawing/index.js'
import { point } from '../../geometry/index.js'
import type { Units } from '../../measure/index.js'
import { coverPages } from './cover/index.js'
import { type FontFiles, Fonts } from './fonts.js'
import { type PaperId, type PrintWish, paperOf } from '../paper/index.js'
import { CREATOR } from './ours.js'
import { coverPage, drawnPages, madeTrue, planPrint, wishOf } from './pages.js'
import { extraPages, putPicture } from './extras/index.js'
import { PT, Pen } from './pen.js'

export interface PdfOptions {
  readonly paper: PaperId
  readonly unit: Units
  readonly fonts: FontFiles
  /** The day it is printed, as it is to stand on the cover. */
  readonly date?: string
  /** How a pattern is wanted on paper, where that is more than the paper. */
  readonly print?: PrintWish
}

const wordsIn = (drawn: readonly Drawn[]): string[] =>
  drawn.flatMap((d) => (d.type === 'text' ? [d.text] : []))

/** The pattern at exactly 1:1 on pages of the paper asked for, with a cover. Same design, same bytes. */
export async function writePdf(derived: Derived, options: PdfOptions): Promise<Uint8Array> {
  const { unit, date } = options
  const wish = options.print ?? wishOf(options.paper)
  const document = await PDFDocument.create({ updateMetadata: false })
  const plan = planPrint(derived, wish, unit)
  const pattern = drawnPages(derived, plan, wish)
  const front = coverPage(plan, wish, options.paper)
  const cover = (lacking: readonly string[]): Drawn[][] =>
    coverPages(derived, plan.sheets, {
      tile: front.tile,
      // A roll is as long as what lies on it.
      pages: { ...plan.tile, height: Math.max(...pattern.map((p) => p.tile.height)) },
      paper: paperOf(wish.paper).name,
      unit,
      date,
      lacking,
      madeTrue: madeTrue(wish),
    })
  const plain = cover([])
  const extras = extraPages(derived, wish, { tile: front.tile, unit, date })
  const said = [
    ...plain.flat(),
    ...pattern.flatMap(({ drawn, foot }) => [...drawn, ...foot]),
    ...extras.flatMap(({ drawn }) => drawn),
  ]
  // The words about letters that are missing are plain ones.
  const fonts = await Fonts.of(document, options.fonts, [...wordsIn(said), ...ALWAYS])
  const lacking = fonts.lacking(wordsIn(said))
  document.setTitle(derived.design.name)
  document.setCreator(CREATOR)
  for (const drawn of lacking.length > 0 ? cover(lacking) : plain) {
    const page = document.addPage([front.width * PT, front.height * PT])
    new Pen(page, fonts, point(front.border, front.border), undefined, front.error).draw(drawn)
  }
  for (const { width, height, tile, at, drawn, foot } of pattern) {
    const page = document.addPage([width * PT, height * PT])
    const { border, error } = plan.page
    const window = { at, width: tile.width, height: tile.height }
    new Pen(page, fonts, point(border - at.x, border - at.y), window, error).draw(drawn)
    new Pen(page, fonts, point(border, border), undefined, error).draw(foot)
  }
  for (const { drawn, picture } of extras) {
    const page = document.addPage([front.width * PT, front.height * PT])
    if (picture)
      putPicture(document, page, picture.shot, {
        x: front.border + picture.at.x,
        y: front.border + picture.at.y,
        width: picture.width,
      })
    new Pen(page, fonts, point(front.border, front.border), undefined, front.error).draw(drawn)
  }
  return document.save()
}
const ALWAYS = ['ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789 .,:;+“”?…']
