import type { Derived } from '../../derived/index.js'
import type { Units } from '../../measure/index.js'
import { isOurDesign, writeDesign } from '../json/index.js'
import type { PaperId, PrintWish } from '../paper/index.js'
import type { FontFiles } from '../pdf/index.js'

/** How a file is wanted. */
export interface WriteOptions {
  readonly paper: PaperId
  /** How a pattern is wanted on paper, where that is more than the paper. */
  readonly print?: PrintWish
  readonly unit: Units
  /** The day it is written, as it is to stand on paper. */
  readonly date: string
  /** The faces of the lettering, fetched where the format sets type. */
  readonly fonts: () => Promise<FontFiles>
}

/** A format that work is taken out in. Its writer is loaded when it is asked for. */
export interface Format {
  readonly id: string
  /** What stands on its button. */
  readonly label: string
  /** What it gives, as it is read aloud; {paper} is the paper it is laid out on. */
  readonly says: string
  /** What follows the name of a file. */
  readonly ending: string
  /** The media type of RFC 6838. */
  readonly type: string
  /** Papers it is laid out on, usual one first; none where it is not for paper. */
  readonly papers: readonly PaperId[]
  readonly write: (derived: Derived, options: WriteOptions) => Promise<string | Uint8Array>
  /** Whether a file was written by Drumlin in this format. */
  readonly isOurs: (bytes: Uint8Array) => boolean | Promise<boolean>
}

/** Every format there is: a new one is its folder and its entry here. */
export const FORMATS = [
  {
    id: 'pdf',
    label: 'PDF',
    says: 'Print at 1:1 on {paper}, as a PDF',
    ending: '.pdf',
    type: 'application/pdf',
    papers: ['a4', 'letter'],
    write: async (derived, { paper, print, unit, date, fonts }) =>
      (await import('../pdf/index.js')).writePdf(derived, {
        paper,
        unit,
        date,
        fonts: await fonts(),
        ...(print ? { print } : {}),
      }),
    isOurs: async (bytes) => (await import('../pdf/index.js')).isOurPdf(bytes),
  },
  {
    id: 'svg',
    label: 'SVG',
    says: 'Save the pieces as SVG, 1:1',
    ending: '.svg',
    type: 'image/svg+xml',
    papers: [],
    write: async (derived, { unit }) => (await import('../svg/index.js')).writeSvg(derived, unit),
    isOurs: async (bytes) => (await import('../svg/index.js')).isOurSvg(bytes),
  },
  {
    id: 'dxf',
    label: 'DXF',
    says: 'Save the pieces as DXF, 1:1',
    ending: '.dxf',
    type: 'image/vnd.dxf',
    papers: [],
    write: async (derived, { unit }) => (await import('../dxf/index.js')).writeDxf(derived, unit),
    isOurs: async (bytes) => (await import('../dxf/index.js')).isOurDxf(bytes),
  },
  {
    id: 'json',
    label: 'File',
    says: 'Save the design as a file',
    ending: '.drumlin.json',
    type: 'application/json',
    papers: [],
    write: async ({ design }) => writeDesign(design),
    isOurs: isOurDesign,
  },
  {
    id: 'data',
    label: 'Data',
    says: 'Save sizes with their workings, pieces, seams and what to buy as JSON for other programs',
    ending: '.data.json',
    type: 'application/json',
    papers: [],
    write: async (derived) => (await import('../data/index.js')).writeData(derived),
    isOurs: async (bytes) => (await import('../data/index.js')).isOurData(bytes),
  },
  {
    id: 'tables',
    label: 'Tables',
    says: 'Save the same as tables, CSV in a ZIP',
    ending: '.tables.zip',
    type: 'application/zip',
    papers: [],
    write: async (derived) => (await import('../data/index.js')).writeTables(derived),
    isOurs: async (bytes) => (await import('../data/index.js')).isOurTables(bytes),
  },
] as const satisfies readonly Format[]

export type FormatId = (typeof FORMATS)[number]['id']

export const FORMAT_IDS: readonly FormatId[] = FORMATS.map((f) => f.id)

/** A format by its id. */
export const formatOf = (id: FormatId): Format => FORMATS.find((f) => f.id === id) as Format
