import { derive } from '@drumlin/core/derived'
import type { Design } from '@drumlin/core/design'
import { type FormatId, formatOf } from '@drumlin/core/exchange/formats'
import { type DieWish, diePreview, writeDieDxf, writeDieSvg } from '@drumlin/core/exchange/die'
import { type CutterWish, cutPlan, cutPreview, writeHpgl } from '@drumlin/core/exchange/hpgl'
import type { PaperId, PrintWish } from '@drumlin/core/exchange/paper'
import type { Sheet } from '@drumlin/core/exchange/books'
import {
  previewPages,
  writeCalibration,
  writeCoupons,
  writeEveningsPdf,
  writePlanPdf,
  writeQuotePdf,
  writeSheetPdf,
  writeStepsPdf,
} from '@drumlin/core/exchange/pdf'
import type { Quote } from '@drumlin/core/ledger'
import { finished } from '@drumlin/core/overview'
import { planCsv, stepsCsv, writeIcs } from '@drumlin/core/exchange/work'
import type { Evening } from '@drumlin/core/makings'
import { stepsOf } from '@drumlin/core/steps'
import { writePlanDxf, writePlanSvg } from '@drumlin/core/exchange/plan'
import type { Units } from '@drumlin/core/measure'
import type { Iron, Leather } from '@drumlin/core/stores'
import { pdfFonts } from '../output/fonts.js'
import { answering } from './answer.js'

/** A cutting plan, its hides grain or flesh side up. */
export interface PlanWanted {
  readonly as: 'pdf' | 'svg' | 'dxf'
  readonly mirrored: boolean
}

/** A design in one of the formats, its cutting plan, its order of work, the test pieces of a leather, or evenings at the bench. */
export type WriteAsked = {
  readonly paper: PaperId
  readonly unit: Units
  readonly date: string
} & (
  | { readonly design: Design; readonly format: FormatId; readonly print?: PrintWish }
  | { readonly design: Design; readonly preview: PrintWish }
  | { readonly calibration: true }
  | { readonly design: Design; readonly cutter: CutterWish; readonly as: 'plan' | 'hpgl' }
  | { readonly design: Design; readonly die: DieWish; readonly as: 'plan' | 'dxf' | 'svg' }
  | { readonly design: Design; readonly plan: PlanWanted }
  | { readonly leather: Leather; readonly iron: Iron }
  | { readonly design: Design; readonly count: number; readonly steps: 'pdf' | 'csv' }
  | { readonly design: Design; readonly quote: Quote; readonly locale: string }
  | { readonly sheet: Sheet }
  | { readonly evenings: readonly Evening[]; readonly as: 'pdf' | 'csv' | 'ics'; readonly stamp: string }
)

/** How large the picture on a quote is, pixels. */
const QUOTE = { width: 900, height: 560 }
/** The finished thing as a picture; undefined where nothing lies together yet. */
async function pngOf(design: Design): Promise<Uint8Array | undefined> {
  const shot = finished(derive(design), QUOTE)
  if (!shot) return undefined
  const canvas = new OffscreenCanvas(shot.width, shot.height)
  canvas.getContext('2d')!.putImageData(new ImageData(shot.pixels, shot.width, shot.height), 0, 0)
  return new Uint8Array(await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer())
}

answering(async (asked: WriteAsked) => {
  const { paper, unit, date } = asked
  if ('plan' in asked) {
    const { as, mirrored } = asked.plan
    const derived = derive(asked.design)
    if (as === 'svg') return writePlanSvg(derived, mirrored)
    if (as === 'dxf') return writePlanDxf(derived, mirrored)
    return writePlanPdf(derived, { paper, unit, date, fonts: await pdfFonts(), mirrored })
  }
  if ('evenings' in asked) {
    const { evenings, as, stamp } = asked
    if (as === 'csv') return planCsv(evenings)
    if (as === 'ics') return writeIcs(evenings, unit, stamp)
    return writeEveningsPdf('Evenings at the bench', evenings, { paper, unit, date, fonts: await pdfFonts() })
  }
  if ('quote' in asked) {
    const picture = await pngOf(asked.design)
    return writeQuotePdf(asked.quote, picture, { paper, unit, date, fonts: await pdfFonts() }, asked.locale)
  }
  if ('sheet' in asked) return writeSheetPdf(asked.sheet, { paper, unit, date, fonts: await pdfFonts() })
  if ('steps' in asked) {
    const derived = derive(asked.design)
    const steps = stepsOf(derived, asked.count, unit)
    if (asked.steps === 'csv') return stepsCsv(steps, unit)
    return writeStepsPdf(derived, steps, asked.count, { paper, unit, date, fonts: await pdfFonts() })
  }
  if ('format' in asked) {
    const { print, format } = asked
    return formatOf(format).write(derive(asked.design), {
      paper,
      unit,
      date,
      fonts: pdfFonts,
      ...(print ? { print } : {}),
    })
  }
  if ('preview' in asked)
    return previewPages(derive(asked.design), asked.preview, { unit, small: paper, date })
  if ('cutter' in asked) {
    const derived = derive(asked.design)
    return asked.as === 'hpgl'
      ? writeHpgl(derived, asked.cutter, unit)
      : cutPreview(cutPlan(derived, asked.cutter, unit))
  }
  if ('die' in asked) {
    const derived = derive(asked.design)
    if (asked.as === 'dxf') return writeDieDxf(derived, asked.die, unit)
    return asked.as === 'svg' ? writeDieSvg(derived, asked.die, unit) : diePreview(derived, asked.die, unit)
  }
  if ('calibration' in asked) return writeCalibration({ paper, unit, date, fonts: await pdfFonts() })
  return writeCoupons(asked.leather, asked.iron, { paper, unit, date, fonts: await pdfFonts() })
})
