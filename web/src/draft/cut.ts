import type { Derived, Point } from '@drumlin/core'
import { boxHeight, boxWidth, pathBox, workOf } from '@drumlin/core'

/** The transect's two ends, in the coordinates of the laid-up work. */
export interface Cut {
  readonly from: Point
  readonly to: Point
}

/** A first cut worth looking at: down the right side, through whatever reaches that seam. */
export function firstCut(derived: Derived): Cut {
  const work = workOf(derived.works, 'open')
  const carrier = derived.pieces.find((p) => p.id === work.layup.carrier) ?? derived.pieces[0]!
  const box = pathBox(carrier.finished)
  const x = box.left + boxWidth(box) - 4
  return { from: { x, y: box.top - 4 }, to: { x, y: box.top + boxHeight(box) + 4 } }
}
