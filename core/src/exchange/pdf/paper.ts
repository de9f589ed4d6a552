import { PAPERS, type PaperId } from '../paper/index.js'

/** Unprintable border kept free on every page, mm (J): common home printers need 4 to 6. */
export const BORDER = 10
/** How far neighbouring pages repeat each other, mm. */
export const OVERLAP = 10

export interface Tile {
  readonly width: number
  readonly height: number
}

/** The part of a page that is drawn on. */
export const tileOf = (paper: PaperId, landscape: boolean): Tile => {
  const { width, height } = PAPERS[paper]
  const [w, h] = landscape ? [height, width] : [width, height]
  return { width: w - 2 * BORDER, height: h - 2 * BORDER }
}

/** Kept free round every piece, for the scissors, mm. */
export const ROOM = 3
