import { PDFDocument } from 'pdf-lib'
import { type Drawn, stroke, text, wrapped } from '../../drawing/index.js'
import { type Point, line, openPath, point } from '../../geometry/index.js'
import { CALIBRATION, paperOf } from '../paper/index.js'
import { Fonts } from './fonts.js'
import { CREATOR } from './ours.js'
import { BORDER } from './paper.js'
import { PT, Pen } from './pen.js'
import type { PdfOptions } from './write.js'

const WORDS = [
  'Print this page at 100 % (“actual size”), not “fit to page”, on the printer and the paper that patterns are printed on.',
  'Measure with a steel rule or a caliper, from the middle of one line to the middle of the other: the bar across, the bar along, and from cross to cross both ways. Write what you read into Drumlin.',
]

/** A bar with ends, from one place to another. */
const bar = (from: Point, to: Point): Drawn[] => {
  const upright = Math.abs(to.x - from.x) < 1e-9
  const end = (p: Point): Drawn =>
    stroke(
      'cut',
      openPath([
        upright
          ? line(point(p.x - 3, p.y), point(p.x + 3, p.y))
          : line(point(p.x, p.y - 3), point(p.x, p.y + 3)),
      ]),
      0.15,
    )
  return [stroke('cut', openPath([line(from, to)]), 0.15), end(from), end(to)]
}

const cross = (p: Point): Drawn[] => [
  stroke('cut', openPath([line(point(p.x - 4, p.y), point(p.x + 4, p.y))]), 0.15),
  stroke('cut', openPath([line(point(p.x, p.y - 4), point(p.x, p.y + 4))]), 0.15),
]

/** What is drawn on the calibration sheet, mm from the upper left of what is printed. */
export function calibrationDrawing(width: number): Drawn[] {
  const { across, along, diagonal } = CALIBRATION
  const left = (width - across) / 2
  const top = 34
  const corners = [
    point(left, top),
    point(left + across, top),
    point(left + across, top + along),
    point(left, top + along),
  ]
  const lines = WORDS.flatMap((w) => wrapped(w, width, 3.2))
  return [
    text('label', point(0, 5), 'How true this printer prints', 4.4, 'start', true),
    ...lines.map((w, i) => text('label', point(0, 11 + i * 4.2), w, 3.2, 'start')),
    ...corners.flatMap(cross),
    ...bar(point(left, top + along / 2), point(left + across, top + along / 2)),
    ...bar(point(left + across / 2, top), point(left + across / 2, top + along)),
    text('label', point(left + 8, top + along / 2 - 2), `across: ${across} mm`, 3.4, 'start', true),
    text('label', point(left + across / 2 + 3, top + 14), `along: ${along} mm`, 3.4, 'start', true),
    text('label', point(left + 8, top + 8), `falling, to the lower right cross: ${diagonal} mm`, 3, 'start'),
    text(
      'label',
      point(left + 8, top + along - 6),
      `rising, to the upper right cross: ${diagonal} mm`,
      3,
      'start',
    ),
  ]
}

/** A page to measure a printer by, not corrected. Same paper, same bytes. */
export async function writeCalibration(options: PdfOptions): Promise<Uint8Array> {
  const document = await PDFDocument.create({ updateMetadata: false })
  const { width, height } = paperOf(options.paper)
  const drawn = calibrationDrawing(width - 2 * BORDER)
  const words = drawn.flatMap((d) => (d.type === 'text' ? [d.text] : []))
  const fonts = await Fonts.of(document, options.fonts, words)
  document.setTitle('How true this printer prints')
  document.setCreator(CREATOR)
  const page = document.addPage([width * PT, height * PT])
  new Pen(page, fonts, point(BORDER, BORDER)).draw(drawn)
  return document.save()
}
