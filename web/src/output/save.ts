import { threadFor } from '../workers/thread.js'
import type { Design } from '@drumlin/core/design'
import type { Format, FormatId } from '@drumlin/core/exchange/formats'
import type { DiePreview, DieWish } from '@drumlin/core/exchange/die'
import type { CutPreview, CutterWish } from '@drumlin/core/exchange/hpgl'
import type { PaperId, PrintWish } from '@drumlin/core/exchange/paper'
import type { PagePreview } from '@drumlin/core/exchange/pdf'
import type { Sheet } from '@drumlin/core/exchange/books'
import type { Quote } from '@drumlin/core/ledger'
import type { Evening } from '@drumlin/core/makings'
import type { Units } from '@drumlin/core/measure'
import type { Iron, Leather } from '@drumlin/core/stores'
import { askOnce } from '../workers/ask.js'
import type { PlanWanted, WriteAsked } from '../workers/write.worker.js'

/** Letters and digits of a name, for a file. */
const fileName = (name: string): string =>
  name
    .normalize('NFKD')
    .replace(/[\u0300-\u036f’']/g, '')
    .replace(/[^A-Za-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .toLowerCase() || 'design'

function keep(contents: BlobPart, type: string, name: string): void {
  const url = URL.createObjectURL(new Blob([contents], { type }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  // The browser reads the address after the click has been handled.
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}

/** A picture of the finished thing. */
export const savePicture = (design: Design, png: Blob): void =>
  keep(png, 'image/png', `${fileName(design.name)}.png`)

/** A drawing of a screen, as a picture or as SVG. */
export const saveDrawing = (drawing: Blob | string, name: string): void =>
  typeof drawing === 'string'
    ? keep(drawing, 'image/svg+xml', `${fileName(name)}.svg`)
    : keep(drawing, 'image/png', `${fileName(name)}.png`)

/** Something kept that can't be read, as it stands, for whoever can. */
export const saveRaw = (raw: unknown, name: string): void =>
  keep(JSON.stringify(raw, null, 2), 'application/json', `${fileName(name)}.raw.json`)

/** Whoever has a design has what writes it: it is there already, and only the shelf goes without. */
export async function saveDesign(design: Design): Promise<void> {
  const { writeDesign } = await import('@drumlin/core/exchange/json')
  keep(writeDesign(design), 'application/json', `${fileName(design.name)}.drumlin.json`)
}

/** How long a file is worked on, ms; a large bag takes a few seconds. */
const LIMIT = 120_000

/** Files are written in a worker, so that the sheet stays free to move meanwhile; aborting stops it. */
const asked = <T>(question: WriteAsked, signal: AbortSignal): Promise<T> =>
  askOnce(() => threadFor('write'), question, { limit: LIMIT, signal })
const written = <T extends BlobPart>(question: WriteAsked, signal: AbortSignal): Promise<T> =>
  asked<T>(question, signal)

/** The day as it is written on paper: the same whatever the country. */
const today = (): string => new Date().toISOString().slice(0, 10)

/** The pattern on paper as it is wanted, as a file. */
export const patternPdf = async (
  design: Design,
  { print, paper, unit }: { print: PrintWish; paper: PaperId; unit: Units },
  signal: AbortSignal,
): Promise<Blob> =>
  new Blob([await written<BlobPart>({ design, format: 'pdf', print, paper, unit, date: today() }, signal)], {
    type: 'application/pdf',
  })
export const savePattern = (design: Design, pdf: Blob, on: string): void =>
  keep(pdf, 'application/pdf', `${fileName(design.name)}-${fileName(on)}.pdf`)

/** The pages of a pattern as they will be printed. */
export const pagesToSee = (
  design: Design,
  { print, paper, unit }: { print: PrintWish; paper: PaperId; unit: Units },
  signal: AbortSignal,
): Promise<readonly PagePreview[]> => asked({ design, preview: print, paper, unit, date: today() }, signal)

/** The page that a printer is measured by. */
export const calibrationPdf = async (
  { unit, paper }: { unit: Units; paper: PaperId },
  signal: AbortSignal,
): Promise<Blob> =>
  new Blob([await written<BlobPart>({ calibration: true, paper, unit, date: today() }, signal)], {
    type: 'application/pdf',
  })
export const saveCalibration = (pdf: Blob, paper: PaperId): void =>
  keep(pdf, 'application/pdf', `calibration-${paper}.pdf`)

/** A design in one of the formats; on that paper where it is for paper. */
export async function saveAs(
  format: Format & { readonly id: FormatId },
  { design, paper, unit }: { design: Design; paper: PaperId | undefined; unit: Units },
  signal: AbortSignal,
): Promise<void> {
  const question = { design, format: format.id, paper: paper ?? 'a4', unit, date: today() } as const
  keep(
    await written(question, signal),
    format.type,
    `${fileName(design.name)}${paper ? `-${paper}` : ''}${format.ending}`,
  )
}

/** The dies of a design as they would be ordered. */
export const diesToSee = (
  design: Design,
  { die, unit }: { die: DieWish; unit: Units },
  signal: AbortSignal,
): Promise<DiePreview> => asked({ design, die, as: 'plan', paper: 'a4', unit, date: today() }, signal)
export async function saveDies(
  design: Design,
  { die, unit }: { die: DieWish; unit: Units },
  as: 'dxf' | 'svg',
  signal: AbortSignal,
): Promise<void> {
  const contents = await written({ design, die, as, paper: 'a4', unit, date: today() }, signal)
  keep(contents, PLAN_TYPES[as], `${fileName(design.name)}-dies.${as}`)
}

const PLAN_TYPES = { pdf: 'application/pdf', svg: 'image/svg+xml', dxf: 'image/vnd.dxf' } as const

/** The cutting plan of a design. */
export async function savePlan(
  design: Design,
  plan: PlanWanted,
  { unit, paper }: { unit: Units; paper: PaperId },
  signal: AbortSignal,
): Promise<void> {
  const contents = await written({ design, plan, paper, unit, date: today() }, signal)
  const side = plan.mirrored ? '-flesh-side' : ''
  keep(contents, PLAN_TYPES[plan.as], `${fileName(design.name)}-cutting-plan${side}.${plan.as}`)
}

/** The sheet of test pieces of a leather. */
export async function saveCoupons(
  leather: Leather,
  iron: Iron,
  { unit, paper }: { unit: Units; paper: PaperId },
  signal: AbortSignal,
): Promise<void> {
  const bytes = await written({ leather, iron, paper, unit, date: today() }, signal)
  keep(bytes, 'application/pdf', `test-pieces-${fileName(leather.name)}.pdf`)
}

const WORK_TYPES = { pdf: 'application/pdf', csv: 'text/csv', ics: 'text/calendar' } as const
type OnPaper = { readonly unit: Units; readonly paper: PaperId }

/** The order of work of a design, for so many made together. */
export async function saveSteps(
  design: Design,
  count: number,
  as: 'pdf' | 'csv',
  { unit, paper }: OnPaper,
  signal: AbortSignal,
): Promise<void> {
  const contents = await written({ design, count, steps: as, paper, unit, date: today() }, signal)
  keep(contents, WORK_TYPES[as], `${fileName(design.name)}-steps.${as}`)
}

/** Evenings at the bench. */
export async function saveEvenings(
  evenings: readonly Evening[],
  as: 'pdf' | 'csv' | 'ics',
  { unit, paper }: OnPaper,
  signal: AbortSignal,
): Promise<void> {
  const question = {
    evenings,
    as,
    stamp: new Date().toISOString().replace(/[-:]|\.\d{3}/g, ''),
    paper,
    unit,
    date: today(),
  } as const
  keep(await written(question, signal), WORK_TYPES[as], `evenings-${today()}.${as}`)
}

/** A quote as a sheet to be sent; it is kept by whoever asks. */
export async function quoteSheet(
  design: Design,
  quote: Quote,
  { unit, paper }: OnPaper,
  signal: AbortSignal,
): Promise<Blob> {
  const question = { design, quote, locale: navigator.language, paper, unit, date: today() } as const
  return new Blob([await written<BlobPart>(question, signal)], { type: 'application/pdf' })
}
export const saveQuote = (quote: Pick<Quote, 'number' | 'name'>, sheet: Blob): void =>
  keep(sheet, 'application/pdf', `quote-${quote.number}-${fileName(quote.name)}.pdf`)

/** A brief, a record or a card on paper. */
export async function saveSheet(
  sheet: Sheet,
  name: string,
  { unit, paper }: OnPaper,
  signal: AbortSignal,
): Promise<void> {
  keep(
    await written({ sheet, paper, unit, date: today() }, signal),
    'application/pdf',
    `${fileName(name)}.pdf`,
  )
}

/** A table or a list out of the books. */
export const saveText = (text: string, name: string, as: 'csv' | 'txt' | 'json'): void =>
  keep(text, { csv: 'text/csv', txt: 'text/plain', json: 'application/json' }[as], `${fileName(name)}.${as}`)

/** A photograph as it came from the camera. */
export const savePhoto = (picture: Blob, name: string): void =>
  keep(picture, picture.type, `${name}.${picture.type.split('/')[1] ?? 'jpg'}`)

/** The whole workshop. */
export const saveWorkshop = (zip: Blob, at: Date): void =>
  keep(zip, 'application/zip', `drumlin-workshop-${at.toISOString().slice(0, 10)}.zip`)

/** What a cutter is told of a design, to look at. */
export const cutToSee = (
  design: Design,
  { cutter, unit }: { cutter: CutterWish; unit: Units },
  signal: AbortSignal,
): Promise<CutPreview> => asked({ design, cutter, as: 'plan', paper: 'a4', unit, date: today() }, signal)

/** The same as a cutter is told it. */
export const hpglText = (
  design: Design,
  { cutter, unit }: { cutter: CutterWish; unit: Units },
  signal: AbortSignal,
): Promise<string> =>
  written<string>({ design, cutter, as: 'hpgl', paper: 'a4', unit, date: today() }, signal)

/** The same as a file for it. */
export const saveHpgl = (design: Design, hpgl: string): void =>
  keep(hpgl, 'application/vnd.hp-hpgl', `${fileName(design.name)}.hpgl`)
