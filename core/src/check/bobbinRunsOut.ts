import { seamPlan } from '../seams.js'
import type { Check, Finding } from './finding.js'
import { placeOnSheet } from './places.js'

/** A bobbin that runs out in the middle of a run. */
export const bobbinRunsOut: Check = {
  code: 'bobbin-runs-out',
  find: (derived) => {
    if (!derived.runs.some((r) => r.locked)) return []
    const { bobbins } = seamPlan(derived).supplies
    return (bobbins?.runsOut ?? []).map(({ run, stitch }): Finding => {
      const own = derived.runs.find((r) => r.join.id === run)!
      const hole = own.holes[Math.min(stitch, own.holes.length - 1)]!
      return {
        key: `bobbin-runs-out:${run}:${stitch}`,
        code: 'bobbin-runs-out',
        rank: 'tip',
        run,
        places: placeOnSheet(derived, own.join, own.join.course.sheet, hole.at),
        numbers: { stitch, stitches: own.stitches },
        words: { run: own.join.name },
      }
    })
  },
  say: ({ numbers, words }) => ({
    what: `A full bobbin runs out at stitch ${numbers.stitch} of ${numbers.stitches} of the ${words.run}.`,
    why: 'Put a full one in before this run, or the join falls where it shows.',
  }),
  fixes: () => [],
}
