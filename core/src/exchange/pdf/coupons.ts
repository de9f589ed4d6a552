import { PDFDocument } from 'pdf-lib'
import { couponDrawing } from '../../coupons/index.js'
import { point } from '../../geometry/index.js'
import type { Iron, Leather } from '../../stores/index.js'
import { Fonts } from './fonts.js'
import { paperOf } from '../paper/index.js'
import { BORDER } from './paper.js'
import { CREATOR } from './ours.js'
import { PT, Pen } from './pen.js'
import type { PdfOptions } from './write.js'

/** The test pieces of one leather at exactly 1:1 on one upright page. Same leather, same bytes. */
export async function writeCoupons(leather: Leather, iron: Iron, options: PdfOptions): Promise<Uint8Array> {
  const document = await PDFDocument.create({ updateMetadata: false })
  const drawn = couponDrawing(leather, iron, options.unit)
  const fonts = await Fonts.of(
    document,
    options.fonts,
    drawn.flatMap((d) => (d.type === 'text' ? [d.text] : [])),
  )
  const { width, height } = paperOf(options.paper)
  document.setTitle(`Test pieces: ${leather.name}`)
  document.setCreator(CREATOR)
  const page = document.addPage([width * PT, height * PT])
  new Pen(page, fonts, point(BORDER, BORDER)).draw(drawn)
  return document.save()
}
