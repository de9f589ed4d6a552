import type { Derived } from '../derived/index.js'
import { figuresOf } from './figures.js'
import { groupsOf } from './groups.js'
import { layOut } from './layOut.js'

/** What a design takes of the hides it is cut from: pieces that find no place, what is used up, mm², and its waste, a share. */
export interface CutFigures {
  readonly left: number
  readonly used: number
  readonly waste: number
}

/** Rounds of work: a variant is only weighed, not cut. */
const EFFORT = 80

/** Lays a design out anew on the hides chosen for it, all of it free to move; undefined where no hide is chosen. */
export function cutFigures(derived: Derived): CutFigures | undefined {
  const groups = groupsOf(derived).filter((g) => g.leather && g.hides.length > 0)
  if (groups.length === 0) return undefined
  let [left, used, pieces] = [0, 0, 0]
  for (const { asked, wanted, hides } of groups) {
    const laid = layOut({ ...asked, lying: [], locked: [] }, EFFORT)
    left += laid.left.length
    for (const hide of hides) {
      const of = figuresOf(hide, laid.lying, wanted, asked.gap)
      if (of.pieces === 0) continue
      pieces += of.pieces
      used += of.pieces / (1 - of.waste)
    }
  }
  return { left, used, waste: used === 0 ? 0 : 1 - pieces / used }
}
