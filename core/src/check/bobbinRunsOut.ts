import { nth } from '../lists/index.js'
import { seamPlan } from '../derived/index.js'
import { check } from './finding.js'
import { placeOnSheet, runNamed } from './places.js'

/** A bobbin that runs out in the middle of a run. */
export const bobbinRunsOut = check({
  code: 'bobbin-runs-out',
  screen: 'seams',
  find: (derived) => {
    if (!derived.runs.some((r) => r.locked)) return []
    const { bobbins } = seamPlan(derived).supplies
    return (bobbins?.runsOut ?? []).map(({ run, stitch }) => {
      const own = runNamed(derived, run)
      const hole = nth(own.holes, Math.min(stitch, own.holes.length - 1))
      return {
        key: `bobbin-runs-out:${run}:${stitch}`,
        rank: 'tip' as const,
        run,
        places: placeOnSheet(derived, own.join, own.join.course.sheet, hole.at),
        about: own.join.name,
        data: { stitch, stitches: own.stitches },
      }
    })
  },
  say: ({ about, data }) => ({
    what: `A full bobbin runs out at stitch ${data.stitch} of ${data.stitches} of the ${about}.`,
    why: 'Put a full one in before this run, or the join falls where it shows.',
  }),
  fixes: () => [],
})
