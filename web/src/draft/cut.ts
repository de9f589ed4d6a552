import type { Derived } from '@drumlin/core/derived'
import { type Point, boxHeight, boxWidth, pathBox } from '@drumlin/core/geometry'
import { type Transect, transect, laidUpOf } from '@drumlin/core/layup'

/** The transect's two ends, in the coordinates of the laid-up work. */
export interface Cut {
  readonly from: Point
  readonly to: Point
}

/** How far beyond the piece a first cut reaches, and how far inside its edge it runs, mm. */
const REACH = 4
const INSIDE = 4
/** Places across the piece that are tried for a first cut. */
const TRIED = 9

const thickestOf = (derived: Derived, state: string, cut: Cut): Transect['thickest'] =>
  transect(laidUpOf(derived.works, state), cut.from, cut.to).thickest

/** A closed fold is best looked at square to it: some way into the work, and a little beyond it. */
const acrossBend = (at: Point, outward: Point): Cut => ({
  from: { x: at.x - 30 * outward.x, y: at.y - 30 * outward.y },
  to: { x: at.x + 12 * outward.x, y: at.y + 12 * outward.y },
})

/** A first cut worth looking at: down the right side of the work; where nothing lies there, where it is thickest. */
export function firstCut(derived: Derived, state: string): Cut {
  const work = derived.works.find((w) => w.layup.id === state) ?? derived.works[0]!
  const carrier = derived.pieces.find((p) => p.id === work.layup.carrier) ?? derived.pieces[0]!
  const bend = work.layup.bends?.[0]
  if (bend) return acrossBend(bend.at, bend.outward)
  const box = pathBox(carrier.finished)
  const down = (x: number): Cut => ({
    from: { x, y: box.top - REACH },
    to: { x, y: box.top + boxHeight(box) + REACH },
  })
  const right = down(box.left + boxWidth(box) - INSIDE)
  if (thickestOf(derived, state, right) > 0) return right
  const room = boxWidth(box) - 2 * INSIDE
  const others = Array.from({ length: TRIED }, (_, i) => down(box.left + INSIDE + (room * i) / (TRIED - 1)))
  return others.reduce((a, b) => (thickestOf(derived, state, b) > thickestOf(derived, state, a) ? b : a))
}

/** The cut kept where it meets the work in that state, else a first one. */
export const keptCut = (derived: Derived, state: string, cut: Cut): Cut =>
  thickestOf(derived, state, cut) > 0 ? cut : firstCut(derived, state)
