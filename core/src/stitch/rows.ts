import { type Path, pathReversed } from '../geometry/index.js'
import { type LaidUp, laidUpOf } from '../layup/index.js'
import type { Join, Layup, Panel } from '../master/index.js'
import { pullOf, rowsAlongMaybe } from './along.js'
import { courseMaybe } from './course.js'
import { startedMaybe, wholeSteps } from './ends.js'
import { besideMate, mateAlong, mateLine } from './mateLine.js'
import { type HolePlace, type Side, holePlaces, isRound } from './places.js'
import { commonCountsMaybe, tiedJoinMaybe } from './tied.js'
import { type RunWays, type SewingWays, runWays, stepsFor } from './ways.js'

/** A run with its line and holes, before it is known what lies under them. */
export interface Planned {
  /** What it holds; of a part of a join the part's own id, name and layers. */
  readonly join: Join
  readonly path: Path
  /** The line of its other edge, where that lies apart: begun, parted and turned round as the line itself is. */
  readonly mate?: Path
  readonly holes: readonly HolePlace[]
  readonly sides: readonly Side[]
  readonly round: boolean
  readonly ways: RunWays
}

interface Row {
  readonly suffix: string
  readonly name: string
  readonly path: Path
  readonly mate: Path | undefined
}

/** The lines a join is sewn along: one, two beside each other, or two along the pull in place of one across it. */
function rowsOf(join: Join, panels: readonly Panel[], work: LaidUp, ways: RunWays): Row[] {
  const { wish } = ways
  const begun = (path: Path | undefined): Path | undefined =>
    path && startedMaybe(path, wish.startBy ?? 0, wish.endBy ?? 0)
  const course = { join, panels, work }
  const first = begun(courseMaybe(join.course, panels, work.layup.sheets))
  if (!first) return []
  const mate = begun(mateLine(course))
  const held = work.sheets.filter((s) => s.part === 'whole' && join.through.includes(s.sheet.id))
  const pull = wish.along ? held.map(pullOf).find((p) => p !== undefined) : undefined
  const along = pull === undefined ? undefined : rowsAlongMaybe(first, pull, held, ways.pitch)
  if (along)
    return along.map((path, i) => ({
      suffix: i === 0 ? '' : '~2',
      name: `${join.name}, row ${i + 1} along the pull`,
      path,
      mate: mate && mateAlong(course, path, first, mate),
    }))
  const { second = 0 } = wish
  const beside = second === 0 ? undefined : begun(courseMaybe(join.course, panels, work.layup.sheets, second))
  return [
    { suffix: '', name: join.name, path: first, mate },
    ...(beside
      ? [
          {
            suffix: '~2',
            name: `${join.name}, second row`,
            path: beside,
            mate: begun(besideMate(course, second)),
          },
        ]
      : []),
  ]
}

/** A line of a row as it is sewn. */
function asSewn({ free }: Join, drawn: Path, { wish, pitch }: RunWays): Path {
  const own = wish.startBy !== undefined || wish.endBy !== undefined
  const line = free && !own ? wholeSteps(drawn, pitch) : drawn
  return wish.reversed ? pathReversed(line) : line
}

function laidRow(join: Join, row: Row, ways: RunWays, all: SewingWays): Planned {
  const { suffix, name } = row
  const line = asSewn(join, row.path, ways)
  const { holes, sides } = holePlaces(line, stepsFor(ways, all))
  return {
    join: {
      ...join,
      id: `${join.id}${suffix}`,
      name,
      backstitches: ways.wish.back ?? join.backstitches,
      ...(join.twin === undefined ? {} : { twin: `${join.twin}${suffix}` }),
    },
    path: line,
    ...(row.mate ? { mate: asSewn(join, row.mate, ways) } : {}),
    holes,
    sides,
    round: isRound(line),
    ways,
  }
}

/** Rows along edges that the drawing ties to each other, brought to as many holes as each other. */
function tiedCounts(rows: readonly Planned[], layups: readonly Layup[], all: SewingWays): Planned[] {
  if (all.ties.length === 0) return [...rows]
  const joins = rows.map((row) => row.join)
  const relaid = new Map<Planned, Planned>()
  for (const row of rows) {
    const tied = tiedJoinMaybe(row.join, joins, all.ties, layups)
    const other = tied && rows.find((r) => r.join === tied)
    const common = other && !relaid.has(row) && !relaid.has(other) && commonCountsMaybe(row, other, all)
    if (!common) continue
    const holed = (of: Planned, counts: readonly number[]): void =>
      void relaid.set(of, { ...of, ...holePlaces(of.path, { ...stepsFor(of.ways, all), counts }) })
    holed(row, common.counts)
    holed(other, common.turned ? common.counts.toReversed() : common.counts)
  }
  return rows.map((row) => relaid.get(row) ?? row)
}

/** Every line the joins are sewn along with its holes, before the maker parts and puts together. */
export function rowsOfJoins(
  joins: readonly Join[],
  panels: readonly Panel[],
  works: readonly LaidUp[],
  all: SewingWays,
): Planned[] {
  const rows = joins
    .filter((join) => !join.glueOnly)
    .flatMap((join) => {
      const ways = runWays(join.id, all)
      return rowsOf(join, panels, laidUpOf(works, join.layup), ways).map((row) =>
        laidRow(join, row, ways, all),
      )
    })
    .filter((plan) => plan.holes.length > 1)
  return tiedCounts(
    rows,
    works.map((w) => w.layup),
    all,
  )
}
