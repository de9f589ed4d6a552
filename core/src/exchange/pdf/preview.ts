import type { Derived } from '../../derived/index.js'
import { type StrokeGroup, type TextDrawn, drawnMoved, gathered, stroke } from '../../drawing/index.js'
import { point, polygon, shift } from '../../geometry/index.js'
import type { Units } from '../../measure/index.js'
import type { PaperId, PrintWish } from '../paper/index.js'
import type { Snapshot } from '../../snapshot/index.js'
import { extraPages } from './extras/index.js'
import { coverPage, drawnPages, planPrint } from './pages.js'

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
  /** Of the finished thing, on the page for the box. */
  readonly picture?: {
    readonly shot: Snapshot
    readonly x: number
    readonly y: number
    readonly width: number
  }
}

/** Every page of the pattern and those besides it, without the cover. A printer’s error is left out: so it comes out of it. */
export function previewPages(
  derived: Derived,
  wish: PrintWish,
  { unit, small, date }: { readonly unit: Units; readonly small: PaperId; readonly date?: string },
): PagePreview[] {
  const plan = planPrint(derived, wish, unit)
  const { border } = plan.page
  const pattern = drawnPages(derived, plan, wish).map(
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
  const front = coverPage(plan, wish, small)
  const extras = extraPages(derived, wish, { tile: front.tile, unit, date }).map(
    ({ names, drawn, picture }, i): PagePreview => ({
      number: pattern.length + 1 + i,
      names,
      pieces: [],
      width: front.width,
      height: front.height,
      ...gathered(drawn.map((d) => drawnMoved(d, shift(front.border, front.border)))),
      ...(picture
        ? {
            picture: {
              shot: picture.shot,
              x: front.border + picture.at.x,
              y: front.border + picture.at.y,
              width: picture.width,
            },
          }
        : {}),
    }),
  )
  return [...pattern, ...extras]
}
