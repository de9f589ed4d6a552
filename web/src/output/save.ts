import type { Derived } from '@drumlin/core/derived'
import type { Design } from '@drumlin/core/design'
import { writeDesign } from '@drumlin/core/exchange/json'
import { writeSvg } from '@drumlin/core/exchange/svg'
import type { LengthUnit } from '@drumlin/core/measure'
import type { Iron, Leather } from '@drumlin/core/stores'
import { askOnce } from '../workers/ask.js'
import type { PdfAsked } from '../workers/pdf.worker.js'

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

/** Something kept that can't be read, as it stands, for whoever can. */
export const saveRaw = (raw: unknown, name: string): void =>
  keep(JSON.stringify(raw, null, 2), 'application/json', `${fileName(name)}.raw.json`)

export const saveDesign = (design: Design): void =>
  keep(writeDesign(design), 'application/json', `${fileName(design.name)}.drumlin.json`)

export const saveSvg = (derived: Derived, unit: LengthUnit): void =>
  keep(writeSvg(derived, unit), 'image/svg+xml', `${fileName(derived.design.name)}.svg`)

/** The DXF writer is fetched when it is asked for. */
export async function saveDxf(derived: Derived, unit: LengthUnit): Promise<void> {
  const { writeDxf } = await import('@drumlin/core/exchange/dxf')
  keep(writeDxf(derived, unit), 'image/vnd.dxf', `${fileName(derived.design.name)}.dxf`)
}

/** How long a pattern is drawn, ms; a large bag takes a few seconds. */
const LIMIT = 120_000

/** The PDF is drawn in a worker, so that the sheet stays free to move meanwhile; aborting stops it. */
const drawnPdf = (asked: PdfAsked, signal: AbortSignal): Promise<Uint8Array<ArrayBuffer>> =>
  askOnce(() => new Worker(new URL('../workers/pdf.worker.ts', import.meta.url), { type: 'module' }), asked, {
    limit: LIMIT,
    signal,
  })

/** The day as it is written on paper: the same whatever the country. */
const today = (): string => new Date().toISOString().slice(0, 10)

export async function savePdf(
  design: Design,
  paper: 'a4' | 'letter',
  unit: LengthUnit,
  signal: AbortSignal,
): Promise<void> {
  keep(
    await drawnPdf({ design, paper, unit, date: today() }, signal),
    'application/pdf',
    `${fileName(design.name)}-${paper}.pdf`,
  )
}

/** The sheet of test pieces of a leather. */
export async function saveCoupons(
  leather: Leather,
  iron: Iron,
  unit: LengthUnit,
  signal: AbortSignal,
): Promise<void> {
  const bytes = await drawnPdf({ leather, iron, paper: 'a4', unit, date: today() }, signal)
  keep(bytes, 'application/pdf', `test-pieces-${fileName(leather.name)}.pdf`)
}
