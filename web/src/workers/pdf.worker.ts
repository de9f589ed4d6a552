import { type Design, type Iron, type Leather, type LengthUnit, derive } from '@drumlin/core'
import { writeCoupons, writePdf } from '@drumlin/core/pdf'
import { pdfFonts } from '../output/fonts.js'
import { answering } from './answer.js'

/** A design's pattern, or the test pieces of a leather. */
export type PdfAsked = {
  readonly paper: 'a4' | 'letter'
  readonly unit: LengthUnit
  readonly date: string
} & ({ readonly design: Design } | { readonly leather: Leather; readonly iron: Iron })

answering(async (asked: PdfAsked) => {
  const options = { paper: asked.paper, unit: asked.unit, date: asked.date, fonts: await pdfFonts() }
  return 'design' in asked
    ? writePdf(derive(asked.design), options)
    : writeCoupons(asked.leather, asked.iron, options)
})
