import {
  type Path,
  line,
  openPath,
  pathEnd,
  pathLength,
  pathPart,
  pathReversed,
  pathStart,
  pointDistance,
} from '../geometry/index.js'
import type { LaidUp } from '../layup/index.js'
import { firstOf, lastOf, nth, required } from '../lists/index.js'
import type { Join, Panel } from '../master/index.js'
import type { Sewing } from '../sewing/index.js'
import { eased } from './apart.js'
import type { HolePlace } from './places.js'
import { type Planned, rowsOfJoins } from './rows.js'
import { type SewingWays, runWays } from './ways.js'

/** Ends of two runs nearer than so many pitches can be sewn over in one. */
export const MERGE_PITCHES = 2
/** Holes nearer than this are one, mm. */
export const SAME_HOLE = 0.3

/** A run without the layers it leaves out; parts of one run may leave out different ones. */
function leaving(plan: Planned): Planned {
  const { without } = plan.ways.wish
  if (!without) return plan
  return { ...plan, join: { ...plan.join, through: plan.join.through.filter((id) => !without.includes(id)) } }
}

/** The stretch of the other edge that meets a stretch of a run. */
function mateOfPart({ join, path, ways }: Planned, mate: Path, ends: readonly [number, number]): Path {
  const length = pathLength(mate)
  const to = eased(path, length, ways.wish.ease ?? join.ease ?? 'spread')
  return pathPart(mate, Math.max(0, to(ends[0])), Math.min(length, to(ends[1])))
}

/** The holes of some stretch of a run as a run of its own; it begins and ends on holes of the whole. */
function partOf(whole: Planned, from: number, to: number, number: number, all: SewingWays): Planned {
  const id = number === 1 ? whole.join.id : `${whole.join.id}/${number}`
  const own = number === 1 ? whole.ways : runWays(id, all)
  const { onward, ...join } = whole.join
  const [start, end] = [nth(whole.holes, from).distance, nth(whole.holes, to).distance]
  const { twin } = whole.join
  return leaving({
    ...whole,
    // Its holes are those of the whole; how they are sewn it may have its own wishes for.
    ways: { ...whole.ways, over: own.over, wish: own.wish },
    join: {
      ...join,
      ...(onward && number === 1 ? { onward } : {}),
      id,
      name: `${whole.join.name}, part ${number}`,
      backstitches: own.wish.back ?? whole.join.backstitches,
      ...(twin === undefined ? {} : { twin: number === 1 ? twin : `${twin}/${number}` }),
    },
    path: pathPart(whole.path, start, end),
    ...(whole.mate ? { mate: mateOfPart(whole, whole.mate, [start, end]) } : {}),
    round: false,
    holes: whole.holes.slice(from, to + 1).map((h) => ({ ...h, distance: h.distance - start })),
    sides: whole.sides.flatMap((side) => {
      const [a, b] = [Math.max(side.from, from), Math.min(side.to, to)]
      return b > a
        ? [
            {
              ...side,
              stitches: b - a,
              length: nth(whole.holes, b).distance - nth(whole.holes, a).distance,
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
  const shares = Object.hasOwn(splits, whole.join.id) ? required(splits[whole.join.id], whole.join.id) : []
  const last = whole.holes.length - 1
  const length = pathLength(whole.path)
  const at = shares.map((share) => nearestHole(whole.holes, share * length)).filter((i) => i > 0 && i < last)
  const cuts = [...new Set([0, ...at.toSorted((a, b) => a - b), last])]
  if (cuts.length <= 2 || whole.round) return [leaving(whole)]
  return cuts.slice(1).map((to, i) => partOf(whole, nth(cuts, i), to, i + 1, all))
}

/** The hole of a run nearest to a distance along it, by its number. */
function nearestHole(holes: readonly HolePlace[], distance: number): number {
  let best = 0
  for (let i = 1; i < holes.length; i += 1)
    if (Math.abs(nth(holes, i).distance - distance) < Math.abs(nth(holes, best).distance - distance)) best = i
  return best
}

function reversedPlan(plan: Planned): Planned {
  const length = pathLength(plan.path)
  const last = plan.holes.length - 1
  return {
    ...plan,
    path: pathReversed(plan.path),
    ...(plan.mate ? { mate: pathReversed(plan.mate) } : {}),
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

/** One line and then the other, straight from the end of the first to the start of the second. */
const oneAfter = (a: Path, b: Path): Path =>
  openPath([
    ...a.segments,
    ...(pointDistance(pathEnd(a), pathStart(b)) < 1e-6 ? [] : [line(pathEnd(a), pathStart(b))]),
    ...b.segments,
  ])

/** Two runs sewn in one, where an end of one lies beside an end of the other. */
function mergedMaybe(first: Planned, then: Planned): Planned | undefined {
  if (first.join.layup !== then.join.layup || first.round || then.round) return undefined
  if (first.join.mate?.sheet !== then.join.mate?.sheet) return undefined
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
  const meet = pointDistance(lastOf(a.holes).at, firstOf(b.holes).at) < SAME_HOLE
  const offset = pathLength(a.path) + (gap < 1e-6 ? 0 : gap)
  const shift = a.holes.length - (meet ? 1 : 0)
  return {
    ...a,
    path: oneAfter(a.path, b.path),
    ...(a.mate && b.mate ? { mate: oneAfter(a.mate, b.mate) } : {}),
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

/** Thread goes on from one run to another only while both begin at their first hole, and are sewn by hand or both by machine. */
function goesOn(plan: Planned, byId: ReadonlyMap<string, Planned>): boolean {
  const first = byId.get(required(plan.join.onward, 'onward'))
  if (!first || first.ways.holes !== plan.ways.holes) return false
  return [first, plan].every(
    ({ ways: { wish } }) => !wish.reversed && (wish.startBy ?? 0) === 0 && (wish.back?.start ?? 0) === 0,
  )
}

/** A twin counts only while it is there and twins back; so does the run whose thread goes on. */
function related(plans: readonly Planned[]): Planned[] {
  const byId = new Map(plans.map((p) => [p.join.id, p]))
  return plans.map((plan) => twinned(plan.join.onward && !goesOn(plan, byId) ? alone(plan) : plan, byId))
}

function alone(plan: Planned): Planned {
  const { onward: _, ...join } = plan.join
  return { ...plan, join }
}

function twinned(plan: Planned, byId: ReadonlyMap<string, Planned>): Planned {
  const { twin, ...join } = plan.join
  if (twin === undefined || byId.get(twin)?.join.twin === plan.join.id) return plan
  const { pairName: _, ...unpaired } = join
  return { ...plan, join: unpaired }
}

/** Every run of the work with its holes, as proposed by the joins and changed by the maker, in the order they stand. */
export function planRuns(
  joins: readonly Join[],
  panels: readonly Panel[],
  works: readonly LaidUp[],
  all: SewingWays,
): Planned[] {
  const rows = rowsOfJoins(joins, panels, works, all)
  const plans = mergedAll(
    rows.flatMap((row) => parted(row, all)),
    all.sewing.merges,
  )
  return related(inOrder(plans, all.sewing.order))
}

/** Those the maker put first come first, in that order; the others follow as they stand. */
function inOrder(plans: readonly Planned[], order: readonly string[]): Planned[] {
  if (order.length === 0) return [...plans]
  const wanted = order.flatMap((id) => plans.filter((p) => p.join.id === id))
  return [...wanted, ...plans.filter((p) => !order.includes(p.join.id))]
}
