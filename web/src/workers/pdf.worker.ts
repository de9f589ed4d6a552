import { derive } from '@drumlin/core/derived'
import type { Design } from '@drumlin/core/design'
import type { LengthUnit } from '@drumlin/core/measure'
import type { Iron, Leather } from '@drumlin/core/stores'
import { writeCoupons, writePdf } from '@drumlin/core/exchange/pdf'
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
