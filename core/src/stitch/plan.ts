import {
  type Path,
  line,
  openPath,
  pathEnd,
  pathLength,
  pathPart,
  pathReversed,
  pathStart,
  pathStretch,
  pointDistance,
} from '../geometry/index.js'
import type { LaidUp } from '../layup/index.js'
import type { Join, Panel } from '../master/index.js'
import type { Sewing } from '../sewing/index.js'
import { pullOf, rowsAlongMaybe } from './along.js'
import { courseMaybe } from './course.js'
import { type HolePlace, type Side, holePlaces, isRound } from './places.js'
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

/** Ends of two runs nearer than so many pitches can be sewn over in one. */
export const MERGE_PITCHES = 2
/** Holes nearer than this are one, mm. */
export const SAME_HOLE = 0.3

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

function laidRow(join: Join, { suffix, name, path }: Row, ways: RunWays, all: SewingWays): Planned {
  const { wish } = ways
  const own = wish.startBy !== undefined || wish.endBy !== undefined
  const drawn = join.free && !own ? wholeSteps(path, ways.pitch) : path
  const line = wish.reversed ? pathReversed(drawn) : drawn
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

/** A run without the layers it leaves out; parts of one run may leave out different ones. */
function leaving(plan: Planned): Planned {
  const { without } = plan.ways.wish
  if (!without) return plan
  return { ...plan, join: { ...plan.join, through: plan.join.through.filter((id) => !without.includes(id)) } }
}

/** The holes of some stretch of a run as a run of its own; it begins and ends on holes of the whole. */
function partOf(whole: Planned, from: number, to: number, number: number, all: SewingWays): Planned {
  const id = number === 1 ? whole.join.id : `${whole.join.id}/${number}`
  const own = number === 1 ? whole.ways : runWays(id, all)
  const [start, end] = [whole.holes[from]!.distance, whole.holes[to]!.distance]
  const { twin } = whole.join
  return leaving({
    ...whole,
    // Its holes are those of the whole; how they are sewn it may have its own wishes for.
    ways: { ...whole.ways, over: own.over, wish: own.wish },
    join: {
      ...whole.join,
      id,
      name: `${whole.join.name}, part ${number}`,
      backstitches: own.wish.back ?? whole.join.backstitches,
      ...(twin === undefined ? {} : { twin: number === 1 ? twin : `${twin}/${number}` }),
    },
    path: pathPart(whole.path, start, end),
    round: false,
    holes: whole.holes.slice(from, to + 1).map((h) => ({ ...h, distance: h.distance - start })),
    sides: whole.sides.flatMap((side) => {
      const [a, b] = [Math.max(side.from, from), Math.min(side.to, to)]
      return b > a
        ? [
            {
              ...side,
              stitches: b - a,
              length: whole.holes[b]!.distance - whole.holes[a]!.distance,
              from: a - from,
              to: b - from,
            },
          ]
        : []
    }),
  })
}

function parted(whole: Planned, all: SewingWays): Planned[] {
  const { splits } = all.sewing
  const shares = Object.hasOwn(splits, whole.join.id) ? splits[whole.join.id]! : []
  const last = whole.holes.length - 1
  const length = pathLength(whole.path)
  const at = shares.map((share) => nearestHole(whole.holes, share * length)).filter((i) => i > 0 && i < last)
  const cuts = [...new Set([0, ...at.toSorted((a, b) => a - b), last])]
  if (cuts.length <= 2 || whole.round) return [leaving(whole)]
  return cuts.slice(1).map((to, i) => partOf(whole, cuts[i]!, to, i + 1, all))
}

/** The hole of a run nearest to a distance along it, by its number. */
function nearestHole(holes: readonly HolePlace[], distance: number): number {
  let best = 0
  for (let i = 1; i < holes.length; i += 1)
    if (Math.abs(holes[i]!.distance - distance) < Math.abs(holes[best]!.distance - distance)) best = i
  return best
}

function reversedPlan(plan: Planned): Planned {
  const length = pathLength(plan.path)
  const last = plan.holes.length - 1
  return {
    ...plan,
    path: pathReversed(plan.path),
    holes: plan.holes
      .toReversed()
      .map((h) => ({ ...h, distance: length - h.distance, angle: h.angle + Math.PI })),
    sides: plan.sides.toReversed().map((s) => ({ ...s, from: last - s.to, to: last - s.from })),
    join: {
      ...plan.join,
      backstitches: { start: plan.join.backstitches.end, end: plan.join.backstitches.start },
    },
  }
}

/** Two runs sewn in one, where an end of one lies beside an end of the other. */
function mergedMaybe(first: Planned, then: Planned): Planned | undefined {
  if (first.join.layup !== then.join.layup || first.round || then.round) return undefined
  const ways = [
    [first, then],
    [first, reversedPlan(then)],
    [reversedPlan(first), then],
    [reversedPlan(first), reversedPlan(then)],
  ] as const
  const gapOf = ([a, b]: (typeof ways)[number]): number => pointDistance(pathEnd(a.path), pathStart(b.path))
  const best = ways.reduce((a, b) => (gapOf(b) < gapOf(a) - 1e-9 ? b : a))
  const gap = gapOf(best)
  if (gap > MERGE_PITCHES * first.ways.pitch) return undefined
  const [a, b] = best
  const meet = pointDistance(a.holes[a.holes.length - 1]!.at, b.holes[0]!.at) < SAME_HOLE
  const offset = pathLength(a.path) + (gap < 1e-6 ? 0 : gap)
  const shift = a.holes.length - (meet ? 1 : 0)
  return {
    ...a,
    path: openPath([
      ...a.path.segments,
      ...(gap < 1e-6 ? [] : [line(pathEnd(a.path), pathStart(b.path))]),
      ...b.path.segments,
    ]),
    holes: [...a.holes, ...b.holes.slice(meet ? 1 : 0).map((h) => ({ ...h, distance: h.distance + offset }))],
    sides: [...a.sides, ...b.sides.map((s) => ({ ...s, from: s.from + shift, to: s.to + shift }))],
    ways: first.ways,
    join: {
      ...first.join,
      name: `${first.join.name} and ${then.join.name}`,
      through: [...new Set([...first.join.through, ...then.join.through])],
      glue: [...first.join.glue, ...then.join.glue],
      backstitches: { start: a.join.backstitches.start, end: b.join.backstitches.end },
    },
  }
}

/** Runs with those sewn in one put together; what can't be put together stays apart. */
function mergedAll(plans: readonly Planned[], merges: Sewing['merges']): Planned[] {
  return merges.reduce<Planned[]>(
    (all, merge) => {
      const first = all.find((p) => p.join.id === merge.first)
      const then = all.find((p) => p.join.id === merge.then)
      const one = first && then && first !== then ? mergedMaybe(first, then) : undefined
      return one ? all.flatMap((p) => (p === first ? [one] : p === then ? [] : [p])) : all
    },
    [...plans],
  )
}

/** A twin counts only while it is there and twins back. */
function twinned(plans: readonly Planned[]): Planned[] {
  const byId = new Map(plans.map((p) => [p.join.id, p]))
  return plans.map((plan) => {
    const { twin, ...join } = plan.join
    if (twin === undefined || byId.get(twin)?.join.twin === plan.join.id) return plan
    const { pairName: _, ...alone } = join
    return { ...plan, join: alone }
  })
}

/** Every run of the work with its holes, as proposed by the joins and changed by the maker, in the order they stand. */
export function planRuns(
  joins: readonly Join[],
  panels: readonly Panel[],
  workOf: (layup: string) => LaidUp,
  all: SewingWays,
): Planned[] {
  const rows = joins
    .filter((join) => !join.glueOnly)
    .flatMap((join) => {
      const ways = runWays(join.id, all)
      return rowsOf(join, panels, workOf(join.layup), ways).map((row) => laidRow(join, row, ways, all))
    })
    .filter((plan) => plan.holes.length > 1)
  const plans = mergedAll(
    rows.flatMap((row) => parted(row, all)),
    all.sewing.merges,
  )
  return twinned(inOrder(plans, all.sewing.order))
}

/** Those the maker put first come first, in that order; the others follow as they stand. */
function inOrder(plans: readonly Planned[], order: readonly string[]): Planned[] {
  if (order.length === 0) return [...plans]
  const wanted = order.flatMap((id) => plans.filter((p) => p.join.id === id))
  return [...wanted, ...plans.filter((p) => !order.includes(p.join.id))]
}
