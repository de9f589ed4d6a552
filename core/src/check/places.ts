import type { Derived } from '../derived/index.js'
import { type Point, pointMoved } from '../geometry/index.js'
import type { Join } from '../master/index.js'
import type { Run } from '../stitch/index.js'
import type { Place } from './finding.js'

/** A place of the laid-up work, on the uppermost or lowest of the sewn sheets that lie there. */
export function placeOnSheet(derived: Derived, join: Join, sheetId: string, at: Point): Place[] {
  const work = derived.works.find((w) => w.layup.id === join.layup)
  const laid = work?.sheets.find((s) => s.sheet.id === sheetId)
  return laid?.sheet.type === 'panel'
    ? [{ panelId: laid.sheet.panelId, at: pointMoved(at, laid.toSheet) }]
    : []
}

/** A run and its twin on the other half tell the same story; only the first of the two is told. */
export const isSecondTwin = (join: Join, told: ReadonlySet<string>): boolean =>
  join.twin !== undefined && told.has(join.twin)

/** The run of a join. Throws where the design has none: findings name runs of the design they were found in. */
export function runNamed({ runs }: Pick<Derived, 'runs'>, id: string | undefined): Run {
  const run = runs.find((r) => r.join.id === id)
  if (!run) throw new Error(`no run ${id ?? 'of no name'}`)
  return run
}
