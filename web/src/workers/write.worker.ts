import { derive } from '@drumlin/core/derived'
import type { Design } from '@drumlin/core/design'
import { type FormatId, formatOf } from '@drumlin/core/exchange/formats'
import type { PaperId } from '@drumlin/core/exchange/paper'
import { writeCoupons } from '@drumlin/core/exchange/pdf'
import type { LengthUnit } from '@drumlin/core/measure'
import type { Iron, Leather } from '@drumlin/core/stores'
import { pdfFonts } from '../output/fonts.js'
import { answering } from './answer.js'

/** A design in one of the formats, or the test pieces of a leather as a PDF. */
export type WriteAsked = {
  readonly paper: PaperId
  readonly unit: LengthUnit
  readonly date: string
} & (
  { readonly design: Design; readonly format: FormatId } | { readonly leather: Leather; readonly iron: Iron }
)

answering(async (asked: WriteAsked) => {
  const { paper, unit, date } = asked
  return 'design' in asked
    ? formatOf(asked.format).write(derive(asked.design), { paper, unit, date, fonts: pdfFonts })
    : writeCoupons(asked.leather, asked.iron, { paper, unit, date, fonts: await pdfFonts() })
})
