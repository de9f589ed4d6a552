import type { Sheet } from '../books/index.js'
import type { Quote } from '../../ledger/index.js'
import { moneySaid } from '../../money/index.js'
import { type Block, type Row, paragraph } from './cover/block.js'
import { saved, widthOf } from './flow.js'
import type { PdfOptions } from './write.js'

/** How wide the picture of a sheet stands, mm. */
const PICTURE = 80

const rows = (lines: readonly string[], width: number): Row[] =>
  lines
    .flatMap((l) => l.split('\n'))
    .filter(Boolean)
    .map((l) => paragraph(l, width))

/** A brief, a record, a card that goes with the work. */
export function writeSheetPdf(sheet: Sheet, options: PdfOptions): Promise<Uint8Array> {
  const width = widthOf(options, 1)
  const blocks: Block[] = sheet.parts
    .filter((p) => p.lines.some(Boolean))
    .map((p) => ({ heading: p.heading, rows: rows(p.lines, width) }))
  return saved(sheet.title, sheet.heading, [blocks], options, {
    columns: 1,
    picture: sheet.picture && { bytes: sheet.picture, width: PICTURE },
  })
}

/** A quote as it is sent: what, of what, for how much, until when, on the maker’s own terms. */
export function writeQuotePdf(
  quote: Quote,
  picture: Uint8Array | undefined,
  options: PdfOptions,
  locale?: string,
): Promise<Uint8Array> {
  const money = (value: number): string => moneySaid(value, quote.currency, locale)
  const total = quote.count * quote.price
  const net = total / (1 + quote.tax)
  const tax =
    quote.tax > 0 ? [`of which tax ${Math.round(1000 * quote.tax) / 10} %: ${money(total - net)}`] : []
  return writeSheetPdf(
    {
      title: `Quote ${quote.number}: ${quote.name}`,
      heading: `Quote ${quote.number}, ${quote.day}`,
      picture,
      parts: [
        { heading: 'From', lines: [quote.maker] },
        { heading: 'For', lines: [quote.forWhom] },
        {
          heading: quote.name,
          lines: [quote.kind, quote.size, quote.words].filter(Boolean),
        },
        { heading: 'Made of', lines: [quote.materials.join(', ')] },
        {
          heading: 'Price',
          lines: [
            quote.count > 1
              ? `${quote.count} pieces at ${money(quote.price)} each: ${money(total)} in all`
              : money(quote.price),
            ...tax,
            `valid until ${quote.until}`,
          ],
        },
        { heading: 'Terms', lines: [quote.terms] },
      ],
    },
    options,
  )
}
