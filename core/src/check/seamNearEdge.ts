import { type Derived, workOf } from '../derive.js'
import { pathNearest } from '../geometry/index.js'
import type { LaidSheet } from '../layup/index.js'
import { printLength } from '../measure/index.js'
import type { Run } from '../stitch/index.js'
import { leastMargin } from './marginTooSmall.js'
import type { Check, Finding } from './finding.js'
import { isSecondTwin, placeOnSheet } from './places.js'

interface Near {
  readonly laid: LaidSheet
  readonly hole: number
  readonly distance: number
}

/** Where a run comes nearest to the edge of a sheet it goes through; where it crosses that edge is a step, and told as one. */
function nearestOn(run: Run, laid: LaidSheet): Near | undefined {
  const crossings = run.steps.filter((s) => s.sheet === laid.sheet.id).map((s) => s.distance)
  let found: Near | undefined
  run.holes.forEach(({ at, distance: along, sheets }, hole) => {
    if (!sheets.includes(laid.sheet.id)) return
    if (crossings.some((c) => Math.abs(c - along) < 2 * run.ways.pitch)) return
    const { distance } = pathNearest(laid.placed, at)
    if (!found || distance < found.distance) found = { laid, hole, distance }
  })
  return found
}

/** A seam that keeps its margin on the piece it is drawn on, but comes too near the edge of another it goes through. */
export const seamNearEdge: Check = {
  code: 'seam-near-edge',
  find: (derived: Derived) => {
    const told = new Set<string>()
    const least = leastMargin(derived)
    return derived.runs.flatMap((run): Finding[] => {
      if (run.join.course.type !== 'edges' || run.join.decor || run.other || isSecondTwin(run.join, told))
        return []
      const near = workOf(derived.works, run.join.layup)
        .sheets.filter((s) => s.part === 'whole' && s.sheet.type === 'panel')
        .filter((s) => s.sheet.id !== run.join.course.sheet && run.join.through.includes(s.sheet.id))
        .flatMap((laid) => nearestOn(run, laid) ?? [])
        .reduce<Near | undefined>((a, b) => (a && a.distance <= b.distance ? a : b), undefined)
      if (!near || near.distance >= least - 1e-6) return []
      told.add(run.join.id)
      return [
        {
          key: `seam-near-edge:${run.join.id}`,
          code: 'seam-near-edge',
          rank: 'look',
          run: run.join.id,
          places: placeOnSheet(derived, run.join, near.laid.sheet.id, run.holes[near.hole]!.at),
          numbers: { distance: near.distance, least, hole: near.hole },
          words: { run: run.join.name, panel: near.laid.sheet.name },
        },
      ]
    })
  },
  say: ({ numbers, words }, unit) => ({
    what: `The ${words.run} comes within ${printLength(numbers.distance!, unit)} of the edge of the ${words.panel}; the slots want ${printLength(numbers.least!, unit)}.`,
    why: 'The two edges do not lie on each other there. On the piece behind, the holes break out when the edge is bevelled: give both the same outline there, or the seam a wider margin.',
  }),
  // Which of the two pieces is right only the maker knows.
  fixes: () => [],
}
