import type { Point } from '../geometry/index.js'
import { type LaidSheet, sheetThickness } from './laid.js'

/** A place of a seam: here, and where its other edge lies apart, there; `itself` where both edges are of one sheet. */
export interface SeamPlace {
  readonly here: Point
  readonly there: Point | undefined
  readonly itself: boolean
}

/**
 * Thickness of a sheet under a place of a seam, mm: here, and there. What lies at both is sewn once, but where two edges
 * of one sheet are sewn onto each other (a side seam of a folded body) whatever lies at either counts.
 */
export function sheetUnder(laid: LaidSheet, { here, there, itself }: SeamPlace): readonly [number, number] {
  const own = sheetThickness(laid, here)
  return [own, there && (itself || own === 0) ? sheetThickness(laid, there) : 0]
}
