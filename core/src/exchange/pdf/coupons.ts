import { PDFDocument } from 'pdf-lib'
import { couponDrawing } from '../../coupons/index.js'
import { point } from '../../geometry/index.js'
import type { Iron, Leather } from '../../stores/index.js'
import { BORDER, PAPERS } from './paper.js'
import { PT, Pen } from './pen.js'
import { type PdfOptions, embedded } from './write.js'

/** The test pieces of one leather at exactly 1:1 on one upright page. Same leather, same bytes. */
export async function writeCoupons(leather: Leather, iron: Iron, options: PdfOptions): Promise<Uint8Array> {
  const document = await PDFDocument.create({ updateMetadata: false })
  const fonts = await embedded(document, options.fonts)
  const { width, height } = PAPERS[options.paper]
  document.setTitle(`Test pieces: ${leather.name}`)
  document.setCreator('Drumlin')
  const page = document.addPage([width * PT, height * PT])
  new Pen(page, fonts, point(BORDER, BORDER)).draw(couponDrawing(leather, iron, options.unit))
  return document.save()
}
