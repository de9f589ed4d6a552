import type { Derived } from '../../derived/index.js'
import { type StrokeGroup, type TextDrawn, drawnMoved, gathered, stroke } from '../../drawing/index.js'
import { point, polygon, shift } from '../../geometry/index.js'
import type { Units } from '../../measure/index.js'
import type { PrintWish } from '../paper/index.js'
import { drawnPages, planPrint } from './pages.js'

/** A page of the pattern as it is shown before it is printed; mm from its upper left corner. */
export interface PagePreview {
  readonly number: number
  /** What lies on it, in words, and the pieces by id. */
  readonly names: string
  readonly pieces: readonly string[]
  readonly width: number
  readonly height: number
  readonly strokes: readonly StrokeGroup[]
  readonly texts: readonly TextDrawn[]
}

/** Every page of the pattern, without the cover. A printer’s error is left out: so it comes out of it. */
export function previewPages(derived: Derived, wish: PrintWish, unit: Units): PagePreview[] {
  const plan = planPrint(derived, wish, unit)
  const { border } = plan.page
  return drawnPages(derived, plan, wish).map(
    ({ number, names, pieces, width, height, at, tile, drawn, foot }) => {
      const edge = polygon([
        point(0, 0),
        point(tile.width, 0),
        point(tile.width, tile.height),
        point(0, tile.height),
      ])
      const all = [
        ...drawn.map((d) => drawnMoved(d, shift(border - at.x, border - at.y))),
        ...[stroke('grain', edge, 0.1, [1, 2]), ...foot].map((d) => drawnMoved(d, shift(border, border))),
      ]
      return { number, names, pieces, width, height, ...gathered(all) }
    },
  )
}
