import { type Units, printLength } from '../../measure/index.js'
import { type Paper, isRoll, paperOf, paperProblem } from './sizes.js'
import type { Printer } from './printer.js'

/** How pages lie: whichever takes fewer, upright, or on their side. */
export type PrintWay = 'fewest' | 'upright' | 'lying'

/** How a pattern is wanted on paper. Lengths mm. */
export interface PrintWish {
  readonly paper: Paper
  readonly way: PrintWay
  /** Kept free on every page: what the printer can’t print. */
  readonly border: number
  /** How far neighbouring pages repeat each other. */
  readonly overlap: number
  /** Pieces to print, by id; all of them where left out. */
  readonly pieces?: readonly string[]
  /** How often a piece is printed, by id; once where left out. */
  readonly copies?: Readonly<Record<string, number>>
  /** Templates to cut from card: corners, what is laid in, the pitch. */
  readonly templates?: boolean
  /** A page that tells the pattern from others in its box. */
  readonly box?: boolean
  /** The printer it is made true for. */
  readonly printer?: Printer
}

/** Common home printers need 4 to 6 mm of border (J). */
export const USUAL_PRINT: Omit<PrintWish, 'paper'> = { way: 'fewest', border: 10, overlap: 10 }

const LEAST = { border: 3, overlap: 4 } as const
const MOST = { border: 30, overlap: 40 } as const
/** A piece is printed so often at most. */
export const MOST_COPIES = 20

/** What can’t be printed so, in words; nothing where it can. */
export function wishProblem(
  { paper, border, overlap, pieces, copies = {} }: PrintWish,
  unit: Units = 'mm',
): string | undefined {
  const said = (mm: number): string => printLength(mm, unit)
  const own = typeof paper === 'string' ? undefined : paperProblem(paper, unit)
  if (own) return own
  if (!(border >= LEAST.border && border <= MOST.border))
    return `The border is between ${said(LEAST.border)} and ${said(MOST.border)}; ${said(border)} is not.`
  if (!(overlap >= LEAST.overlap && overlap <= MOST.overlap))
    return `Pages overlap by ${said(LEAST.overlap)} to ${said(MOST.overlap)}; ${said(overlap)} is not.`
  const { width, height } = paperOf(paper)
  const least = Math.min(width, isRoll(paper) ? width : height) - 2 * border
  // A page has to show more than it repeats.
  if (least < 3 * overlap)
    return `Only ${said(least)} of so small a paper can be drawn on, and neighbours repeat ${said(overlap)} of it: take a larger paper or less overlap.`
  if (pieces?.length === 0) return 'No piece is chosen: tick those you want on paper.'
  const odd = Object.values(copies).find((n) => !(Number.isInteger(n) && n >= 1 && n <= MOST_COPIES))
  if (odd !== undefined) return `A piece is printed 1 to ${MOST_COPIES} times; ${odd} is not.`
  return undefined
}
