import { type Design, type Iron, type Leather, type LengthUnit, derive } from '@drumlin/core'
import { writeCoupons, writePdf } from '@drumlin/core/pdf'
import { pdfFonts } from '../output/fonts.js'
import { reasonOf } from '../app/reason.js'

/** A design's pattern, or the test pieces of a leather. */
export type PdfAsked = {
  readonly paper: 'a4' | 'letter'
  readonly unit: LengthUnit
  readonly date: string
} & ({ readonly design: Design } | { readonly leather: Leather; readonly iron: Iron })

self.onmessage = async ({ data }: MessageEvent<PdfAsked>) => {
  try {
    const options = { paper: data.paper, unit: data.unit, date: data.date, fonts: await pdfFonts() }
    const bytes =
      'design' in data
        ? await writePdf(derive(data.design), options)
        : await writeCoupons(data.leather, data.iron, options)
    self.postMessage({ bytes })
  } catch (error) {
    self.postMessage({ error: reasonOf(error) })
  }
}
