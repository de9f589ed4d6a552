import {
  NO_ERROR,
  OWN_PAPER,
  type Paper,
  type PrinterError,
  type PrintWish,
  USUAL_PRINT,
  isRoll,
  paperOf,
} from '../paper/index.js'

/** Unprintable border kept free on every page unless asked otherwise, mm (J). */
export const BORDER = USUAL_PRINT.border

/** The part of a page that is drawn on, as it comes out true on paper; mm. */
export interface Tile {
  readonly width: number
  readonly height: number
  /** How far neighbouring pages repeat each other. */
  readonly overlap: number
}

/** What a page is drawn with. */
export interface PageOf {
  readonly tile: Tile
  /** The page, mm. */
  readonly width: number
  readonly height: number
  readonly border: number
  /** The printer’s error as the page lies: over its width, over its height. */
  readonly error: PrinterError
}

/**
 * On its side a page goes through the printer turned: its width runs along the feed, and it is its height that drifts. That is
 * the same as a drift of its width, all of it turned by a hair, which nobody sees who joins its pages.
 */
function turnedError({ across, along, skew }: PrinterError): PrinterError {
  const width = Math.hypot(along, skew)
  return { across: width, along: (along * across) / width, skew: (-skew * across) / width }
}

/** A page of a paper, upright or on its side, made true for a printer. */
export function pageOf(wish: Omit<PrintWish, 'way' | 'pieces'>, landscape: boolean): PageOf {
  const { border, overlap, printer } = wish
  const { width, height } = paperOf(wish.paper)
  const long = isRoll(wish.paper) ? OWN_PAPER.longest : height
  const [w, h] = landscape ? [long, width] : [width, long]
  const upright = printer ?? NO_ERROR
  const error = landscape ? turnedError(upright) : upright
  const tile = {
    width: (w - 2 * border) * error.across,
    height: (h - 2 * border) * error.along,
    overlap,
  }
  return { tile, width: w, height: h, border, error }
}

/** The part of a usual page that is drawn on. */
export const tileOf = (paper: Paper, landscape: boolean): Tile =>
  pageOf({ ...USUAL_PRINT, paper }, landscape).tile

/** Kept free round every piece, for the scissors, mm. */
export const ROOM = 3
