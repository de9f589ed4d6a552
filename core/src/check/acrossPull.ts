import { nth } from '../lists/index.js'
import { wishRuns } from '../design/index.js'
import type { Derived } from '../derived/index.js'
import { pointAdd, pointDistance, pointScale, type Point } from '../geometry/index.js'
import { type LaidSheet, sheetThickness, laidUpOf } from '../layup/index.js'
import { type Run, pullOf } from '../stitch/index.js'
import { type Fix, check } from './finding.js'
import { isSecondTwin, placeOnSheet, runNamed } from './places.js'

/** Stitches that run nearer to square across the pull than this weaken the leather like a perforation. */
const ACROSS = Math.PI / 3
/** A row over less of the width leaves enough leather beside it (J). */
const SHARE = 0.5
/** A row near the end of a strap has nothing beyond it to tear off, mm. */
const BEYOND = 8
const STEP = 0.5

/** How far a sheet goes on from a place in a direction, mm. */
function goesOn(from: Point, angle: number, sheet: LaidSheet, max: number): number {
  const way = { x: Math.cos(angle), y: Math.sin(angle) }
  let far = 0
  while (far < max && sheetThickness(sheet, pointAdd(from, pointScale(way, far + STEP))) > 0) far += STEP
  return far
}

/** A row over so much of the width leaves too little beside it, as a share (J). */
const WEAK = 0.75

/** Stretches of neighbouring stitches that go across a direction, as first and last hole. */
function stretchesAcross(run: Run, pull: number): { from: number; to: number }[] {
  const found: { from: number; to: number }[] = []
  for (let i = 0; i + 1 < run.holes.length; i += 1) {
    const [a, b] = [nth(run.holes, i).at, nth(run.holes, i + 1).at]
    const angle = Math.abs(Math.atan2(b.y - a.y, b.x - a.x) - pull) % Math.PI
    if (Math.min(angle, Math.PI - angle) < ACROSS) continue
    const last = found[found.length - 1]
    if (last?.to === i) found[found.length - 1] = { from: last.from, to: i + 1 }
    else found.push({ from: i, to: i + 1 })
  }
  return found
}

function weakened(derived: Derived, run: Run): { hole: number; share: number; panel: string } | undefined {
  const work = laidUpOf(derived.works, run.join.layup)
  for (const laid of work.sheets) {
    if (laid.part !== 'whole' || !run.join.through.includes(laid.sheet.id)) continue
    const pull = pullOf(laid)
    if (pull === undefined) continue
    for (const { from, to } of stretchesAcross(run, pull)) {
      const middle = Math.floor((from + to) / 2)
      const at = nth(run.holes, middle).at
      if (sheetThickness(laid, at) === 0) continue
      if ([pull, pull + Math.PI].some((way) => goesOn(at, way, laid, BEYOND) < BEYOND)) continue
      const wide = [pull - Math.PI / 2, pull + Math.PI / 2].reduce(
        (sum, way) => sum + goesOn(at, way, laid, 400),
        0,
      )
      const share = pointDistance(nth(run.holes, from).at, nth(run.holes, to).at) / Math.max(1e-9, wide)
      if (share >= SHARE) return { hole: middle, share, panel: laid.sheet.name }
    }
  }
  return undefined
}

/** A stitch line across the pull of a strap or a handle: it tears there like a perforation. */
export const acrossPull = check({
  code: 'across-pull',
  screen: 'seams',
  find: (derived) => {
    const told = new Set<string>()
    return derived.runs.flatMap((run) => {
      if (isSecondTwin(run.join, told)) return []
      const weak = weakened(derived, run)
      if (!weak) return []
      told.add(run.join.id)
      return [
        {
          key: `across-pull:${run.join.id}`,
          // Over part of the width enough is left beside the row to bear the pull.
          rank: weak.share >= WEAK ? ('look' as const) : ('tip' as const),
          run: run.join.id,
          places: placeOnSheet(derived, run.join, run.join.course.sheet, nth(run.holes, weak.hole).at),
          about: run.join.name,
          data: { share: weak.share, panel: weak.panel },
        },
      ]
    })
  },
  say: ({ about, data }) => ({
    what: `The ${about} goes across the pull of the ${data.panel}, over ${Math.round(Math.min(1, data.share) * 100)} % of its width.`,
    why: 'Holes in a row across a strap tear like a perforation. Rows along the pull, locked at their ends, hold as much and weaken it less.',
  }),
  fixes: ({ run }, derived): Fix[] => {
    const own = runNamed(derived, run)
    const ids = [own.join.id, ...(own.join.twin ? [own.join.twin] : [])]
    return [
      {
        label: 'Sew two rows along the pull instead',
        edit: wishRuns(`sew the ${own.join.name} along the pull`, ids, {
          along: true,
          back: { start: 2, end: 2 },
        }),
      },
    ]
  },
})
