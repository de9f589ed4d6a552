import { tupleOf } from '../lists/index.js'
import type { Derived } from '../derived/index.js'
import { layersAt, laidUpOf } from '../layup/index.js'
import type { Run } from '../stitch/index.js'

/** A run is hidden where so much of it is, as a share. */
const MOSTLY = 0.9

/** Whether the stitches of a run end up where nobody sees them: inside a turned seam, or with leather over both faces. */
export function isHidden({ works }: Derived, run: Run): boolean {
  if (run.join.hidden) return true
  const work = laidUpOf(works, run.join.layup)
  const sewn = work.sheets.filter((s) => run.join.through.includes(s.sheet.id))
  const [lowest, highest] = tupleOf([sewn[0], sewn[sewn.length - 1]], (s) =>
    s ? work.sheets.indexOf(s) : -1,
  )
  const covered = run.holes.filter((hole) => {
    const levels = layersAt(work, hole.at).map((l) => work.sheets.indexOf(l.laid))
    return levels.some((l) => l < lowest) && levels.some((l) => l > highest)
  })
  return covered.length >= MOSTLY * run.holes.length
}
