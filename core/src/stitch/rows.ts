import {
  type Path,
  line,
  openPath,
  pathLength,
  pathPart,
  pathReversed,
  pathStretch,
  pointDistance,
} from '../geometry/index.js'
import { type LaidUp, laidUpOf } from '../layup/index.js'
import type { Join, Layup, Panel } from '../master/index.js'
import { pullOf, rowsAlongMaybe } from './along.js'
import { courseMaybe } from './course.js'
import { type HolePlace, type Side, holePlaces, isRound } from './places.js'
import { commonCountsMaybe, tiedJoinMaybe } from './tied.js'
import { type RunWays, type SewingWays, runWays, stepsFor } from './ways.js'

/** A run with its line and holes, before it is known what lies under them. */
export interface Planned {
  /** What it holds; of a part of a join the part's own id, name and layers. */
  readonly join: Join
  readonly path: Path
  readonly holes: readonly HolePlace[]
  readonly sides: readonly Side[]
  readonly round: boolean
  readonly ways: RunWays
}

/** A path gone on straight at both ends, mm. */
export const pathExtended = (path: Path, by: number): Path => startedMaybe(path, -by, -by)!

/** A path begun further in or out at its ends; one that comes round is begun elsewhere. */
function startedMaybe(path: Path, startBy: number, endBy: number): Path | undefined {
  if (startBy === 0 && endBy === 0) return path
  const length = pathLength(path)
  if (isRound(path)) {
    const from = ((startBy % length) + length) % length
    if (from < 0.01 || length - from < 0.01) return path
    return pathStretch(path, from, from)
  }
  const [cutStart, cutEnd] = [Math.max(0, startBy), Math.max(0, endBy)]
  if (length - cutStart - cutEnd <= 0.01) return undefined
  const kept = pathPart(path, cutStart, length - cutEnd)
  const onward = (from: Path, by: number) => {
    if (by <= 0) return []
    const end = from.segments[from.segments.length - 1]!
    const before = pathPart(from, Math.max(0, pathLength(from) - 0.01), pathLength(from)).segments[0]!.from
    const share = by / pointDistance(before, end.to)
    return [
      line(end.to, {
        x: end.to.x + share * (end.to.x - before.x),
        y: end.to.y + share * (end.to.y - before.y),
      }),
    ]
  }
  const head = onward(pathReversed(kept), -startBy).map((s) => line(s.to, s.from))
  return openPath([...head, ...kept.segments, ...onward(kept, -endBy)])
}

/** A straight line of free ends drawn in at both to a whole number of steps. */
function wholeSteps(path: Path, pitch: number): Path {
  const length = pathLength(path)
  const over = length - pitch * Math.floor(length / pitch + 1e-9)
  return over < 1e-6 || over > length / 2 ? path : pathPart(path, over / 2, length - over / 2)
}

interface Row {
  readonly suffix: string
  readonly name: string
  readonly path: Path
}

/** The lines a join is sewn along: one, two beside each other, or two along the pull in place of one across it. */
function rowsOf(join: Join, panels: readonly Panel[], work: LaidUp, ways: RunWays): Row[] {
  const { wish } = ways
  const at = (beside: number): Path | undefined => {
    const path = courseMaybe(join.course, panels, work.layup.sheets, beside)
    return path && startedMaybe(path, wish.startBy ?? 0, wish.endBy ?? 0)
  }
  const first = at(0)
  if (!first) return []
  const held = work.sheets.filter((s) => s.part === 'whole' && join.through.includes(s.sheet.id))
  const pull = wish.along ? held.map(pullOf).find((p) => p !== undefined) : undefined
  const along = pull === undefined ? undefined : rowsAlongMaybe(first, pull, held, ways.pitch)
  if (along)
    return along.map((path, i) => ({
      suffix: i === 0 ? '' : '~2',
      name: `${join.name}, row ${i + 1} along the pull`,
      path,
    }))
  const second = wish.second === undefined || wish.second === 0 ? undefined : at(wish.second)
  return [
    { suffix: '', name: join.name, path: first },
    ...(second ? [{ suffix: '~2', name: `${join.name}, second row`, path: second }] : []),
  ]
}

/** The line of a row as it is sewn. */
function rowLine(join: Join, { path }: Row, ways: RunWays): Path {
  const { wish } = ways
  const own = wish.startBy !== undefined || wish.endBy !== undefined
  const drawn = join.free && !own ? wholeSteps(path, ways.pitch) : path
  return wish.reversed ? pathReversed(drawn) : drawn
}

function laidRow(join: Join, row: Row, ways: RunWays, all: SewingWays): Planned {
  const { suffix, name } = row
  const { wish } = ways
  const line = rowLine(join, row, ways)
  const { holes, sides } = holePlaces(line, stepsFor(ways, all))
  return {
    join: {
      ...join,
      id: `${join.id}${suffix}`,
      name,
      backstitches: wish.back ?? join.backstitches,
      ...(join.twin === undefined ? {} : { twin: `${join.twin}${suffix}` }),
    },
    path: line,
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
