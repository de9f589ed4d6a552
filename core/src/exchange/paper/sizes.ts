import { type Units, printLength } from '../../measure/index.js'
/** A sheet, portrait, or a roll; mm. */
export interface PaperSize {
  readonly name: string
  readonly short: string
  readonly width: number
  /** 0 for a roll: as long as what is printed on it. */
  readonly height: number
}

/** Sheets printers and print shops take: ISO 216 A4, A3 and A0, and US Letter (8 1/2 × 11 in), Legal (14 in) and Tabloid (11 × 17 in). */
export const PAPERS = {
  a4: { name: 'A4', short: 'A4', width: 210, height: 297 },
  letter: { name: 'US Letter', short: 'Letter', width: 215.9, height: 279.4 },
  a3: { name: 'A3', short: 'A3', width: 297, height: 420 },
  legal: { name: 'US Legal', short: 'Legal', width: 215.9, height: 355.6 },
  tabloid: { name: 'Tabloid', short: 'Tabloid', width: 279.4, height: 431.8 },
  a0: { name: 'A0', short: 'A0', width: 841, height: 1189 },
} as const satisfies Readonly<Record<string, PaperSize>>
export type PaperId = keyof typeof PAPERS

/** A sheet of the maker’s own, or a roll where its height is 0; mm. */
export interface OwnPaper {
  readonly width: number
  readonly height: number
}
/** What is printed on. */
export type Paper = PaperId | OwnPaper

/** Between these a sheet of one’s own may be, mm; longer than 5 m few programs open a page. */
export const OWN_PAPER = { least: 90, widest: 2000, longest: 5000 } as const

const fromOwn = ({ width, height }: OwnPaper): PaperSize =>
  height === 0
    ? { name: `a roll ${width} mm wide`, short: 'roll', width, height }
    : { name: `a sheet of ${width} × ${height} mm`, short: 'own', width, height }

/** The size of a paper, mm. */
export const paperOf = (paper: Paper): PaperSize =>
  typeof paper === 'string' ? PAPERS[paper] : fromOwn(paper)

export const isRoll = (paper: Paper): boolean => paperOf(paper).height === 0

/** What is wrong with a paper of one’s own, in words; nothing where it can be printed on. */
export function paperProblem({ width, height }: OwnPaper, unit: Units = 'mm'): string | undefined {
  const { least, widest, longest } = OWN_PAPER
  const said = (mm: number): string => printLength(mm, unit, 0)
  if (!(width >= least && width <= widest))
    return `A paper is between ${said(least)} and ${said(widest)} wide; ${said(width)} is not.`
  if (height !== 0 && !(height >= least && height <= longest))
    return `A sheet is between ${said(least)} and ${said(longest)} long, or 0 for a roll; ${said(height)} is not.`
  return undefined
}
