import {
  type Path,
  angleMoved,
  pathCrossings,
  pathLength,
  pathNearest,
  pathPlaceAt,
  pointMoved,
  segmentLength,
} from '../geometry/index.js'
import {
  type LaidSheet,
  type LaidUp,
  layersAt,
  sheetThickness,
  sheetUnder,
  laidUpOf,
} from '../layup/index.js'
import { firstOf, nth, required } from '../lists/index.js'
import type { Join, Panel } from '../master/index.js'
import type { Reckon, Reckoned } from '../working/index.js'
import { type OtherSide, otherSideMaybe } from './apart.js'
import { lockedThread } from './lockstitch.js'
import type { HolePlace, Side } from './places.js'
import { planRuns } from './plan.js'
import type { Planned } from './rows.js'
import { saddleThread } from './thread.js'
import { threadJoins } from './threadJoins.js'
import { type RunWays, type SewingWays, stepsFor } from './ways.js'

/** A step is looked for so far from the ends of a run, and looked at so far to either side, mm. */
const STEP_AT = { fromEnds: 0.01, beside: 0.02 } as const

export interface Hole extends HolePlace {
  /** Thickness the thread passes here, mm. */
  readonly stack: number
  /** Sheets it goes through, lowest first. */
  readonly sheets: readonly string[]
}

/** Where an edge of one sheet crosses the run. `open` where nothing covers that edge: a stitch on it tears or gapes. */
export interface Step {
  readonly sheet: string
  /** Sheets that all end there; the uppermost names it. */
  readonly sheets: readonly string[]
  readonly name: string
  readonly distance: number
  readonly open: boolean
}

/** One unbroken line of sewing, with its holes. */
export interface Run {
  readonly join: Join
  readonly ways: RunWays
  readonly path: Path
  readonly length: number
  readonly holes: readonly Hole[]
  readonly sides: readonly Side[]
  /** It comes back to its first hole. */
  readonly round: boolean
  readonly stitches: number
  /** How many copies of it are sewn: a strap of a pair is drawn once and sewn twice. */
  readonly times: number
  readonly steps: readonly Step[]
  readonly thickest: number
  /** All the thread it takes. */
  readonly thread: Reckoned
  /** Needle and bobbin thread of a run sewn by machine. */
  readonly locked?: { readonly needle: Reckoned; readonly bobbin: Reckoned }
  /** In how many lengths of thread it is sewn. */
  readonly lengths: number
  /** Holes where a new length of thread begins, by number: away from corners, steps and ends. */
  readonly joinsAt: readonly number[]
  /** The other side with holes of its own, where the sides are holed apart. */
  readonly other?: OtherSide
}

/** Thickness of what is sewn in all along a run besides its sheets, mm. */
export const tapesOf = ({ tapes = [] }: Join): number =>
  tapes.reduce((all, { thickness }) => all + thickness, 0)

/** What lies under each hole. Holes beside each other mostly go through the same sheets: they share one list of them. */
function stacked(places: readonly HolePlace[], sheets: readonly LaidSheet[], tapes: number): Hole[] {
  const lists = new Map<number, readonly string[]>()
  return places.map(({ at, angle, distance }) => {
    let stack = tapes
    let there = 0
    for (let i = 0; i < sheets.length; i += 1) {
      const thickness = sheetThickness(nth(sheets, i), at)
      if (thickness === 0) continue
      there += 2 ** i
      stack += thickness
    }
    let names = lists.get(there)
    if (!names) {
      names = sheets.filter((_, i) => Math.floor(there / 2 ** i) % 2 === 1).map((s) => s.sheet.id)
      lists.set(there, names)
    }
    return { at, angle, distance, stack, sheets: names }
  })
}

/** What lies at the other edge is sewn with it: its thickness counts at every hole. */
function withMateStack(
  run: Join,
  holes: readonly Hole[],
  other: OtherSide,
  sheets: readonly LaidSheet[],
): Hole[] {
  const itself = other.sheet === run.course.sheet
  const last = Math.max(1, holes.length - 1)
  return holes.map((hole, i) => {
    const there = other.holes[Math.round((i * (other.holes.length - 1)) / last)]
    const place = { here: hole.at, there: there?.at, itself }
    let stack = tapesOf(run)
    for (const laid of sheets) {
      const [own, other] = sheetUnder(laid, place)
      stack += own + other
    }
    return { at: hole.at, angle: hole.angle, distance: hole.distance, stack, sheets: hole.sheets }
  })
}

/** Steps nearer than this are one, mm. */
const SAME_STEP = 0.05

/** Edges of the sewn sheets that cross the run inside it, with whether they lie open to one face. */
function stepsOf(path: Path, work: LaidUp, sheets: readonly LaidSheet[]): Step[] {
  const starts: number[] = []
  let length = 0
  for (const s of path.segments) {
    starts.push(length)
    length += segmentLength(s)
  }
  const sewn = { ...work, sheets }
  // Where a turned border lands is hidden between the layers: a stitch may straddle it.
  const found = sheets
    .filter((laid) => laid.part === 'whole')
    .flatMap((laid) =>
      pathCrossings(path, laid.placed)
        .map(
          ({ segment, parameter }) =>
            nth(starts, segment) + segmentLength(nth(path.segments, segment), parameter),
        )
        .filter((distance) => distance > STEP_AT.fromEnds && distance < length - STEP_AT.fromEnds)
        .map((distance): Step => {
          const beside = [distance - STEP_AT.beside, distance + STEP_AT.beside].map((d) =>
            layersAt(sewn, pathPlaceAt(path, d).at),
          )
          const covered = beside.every((layers) => {
            const above = layers.filter((l) => sheets.indexOf(l.laid) > sheets.indexOf(laid))
            const below = layers.filter((l) => sheets.indexOf(l.laid) < sheets.indexOf(laid))
            return above.length > 0 && below.length > 0
          })
          const { id, name } = laid.sheet
          return { sheet: id, sheets: [id], name, distance, open: !covered }
        }),
    )
  // Two edges that butt make one step; it is named by the upper of the two.
  const same = (a: Step, b: Step): boolean => Math.abs(a.distance - b.distance) < SAME_STEP
  return found
    .filter((step, i) => !found.some((other, k) => k > i && same(other, step)))
    .map((step) => ({ ...step, sheets: found.filter((other) => same(other, step)).map((s) => s.sheet) }))
}

/** What the stitches of a side come to, straight from hole to hole, mm. */
const stepped = ({ pitch, stitches, last }: Side): number =>
  last ? pitch * (stitches - last.stitches) + last.pitch * last.stitches : pitch * stitches

const sum = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0)

/** From a hole to the nearest edge of what is sewn, mm: what a loop over the edge has to go round. */
const toEdge = (hole: Hole | undefined, sheets: readonly LaidSheet[]): number =>
  hole
    ? Math.min(
        ...sheets
          .filter((s) => s.part === 'whole' && hole.sheets.includes(s.sheet.id))
          .map((s) => pathNearest(s.placed, hole.at).distance),
        hole.sheets.length === 0 ? 0 : Infinity,
      )
    : 0

function threadOf(
  plan: Planned,
  holes: readonly Hole[],
  sheets: readonly LaidSheet[],
  all: SewingWays,
  lengths: number,
  reckon: Reckon,
) {
  const { join, sides, ways } = plan
  const stitches = plan.round ? holes.length : Math.max(0, holes.length - 1)
  const counted = sum(sides.map((s) => s.stitches))
  const common = {
    id: join.id,
    name: join.name,
    stitches,
    onward: join.onward !== undefined,
    pitch: sum(sides.map(stepped)) / Math.max(1e-9, counted),
    stacks: (plan.round ? [...holes, firstOf(holes)] : holes).map((h) => h.stack),
    backstitches: join.backstitches.start + join.backstitches.end,
    tail: all.habits.tail,
    waste: all.habits.waste,
    factor: Math.max(0, ...sheets.map((s) => s.work?.stock?.threadFactor ?? 0)) || 1,
  }
  if (ways.holes === 'machine') return lockedThread(common, reckon)
  const { start, end } = ways.over
  const reach =
    start + end === 0
      ? 0
      : (start * toEdge(holes[0], sheets) + end * toEdge(holes[holes.length - 1], sheets)) / (start + end)
  return { thread: saddleThread({ ...common, lengths, loops: start + end, edge: reach }, reckon) }
}

/** Of pieces that are cut several times and laid once, every copy is sewn; where one of them lies, what lies with it is sewn once. */
function timesSewn(sheets: readonly LaidSheet[], work: LaidUp): number {
  const copies = sheets.flatMap(({ part, sheet, work: own }) => {
    if (part !== 'whole' || sheet.type !== 'panel' || !own) return []
    const laid = work.sheets.filter(
      (s) => s.part === 'whole' && s.sheet.type === 'panel' && s.sheet.panelId === sheet.panelId,
    ).length
    return [Math.floor(own.panel.count / laid)]
  })
  return Math.max(1, Math.min(...copies, Infinity) === Infinity ? 1 : Math.min(...copies))
}

function runOf(plan: Planned, work: LaidUp, panels: readonly Panel[], all: SewingWays, reckon: Reckon): Run {
  const { join, path } = plan
  const sheets = work.sheets.filter((s) => join.through.includes(s.sheet.id))
  const alone = stacked(plan.holes, sheets, tapesOf(join))
  const lengths =
    plan.ways.holes !== 'machine' && Object.hasOwn(all.lengths, join.id)
      ? required(all.lengths[join.id], join.id)
      : 1
  const steps = stepsOf(path, work, sheets)
  // Edges that lie apart are holed each for itself, even where the needle goes through both at once.
  const apart = plan.ways.holes === 'apart'
  const other =
    apart || join.mate
      ? otherSideMaybe(
          { ...plan, holes: alone },
          work,
          panels,
          stepsFor(plan.ways, all),
          plan.ways.wish.ease ?? (apart ? undefined : (join.ease ?? 'spread')),
        )
      : undefined
  const holes = join.mate && other ? withMateStack(join, alone, other, sheets) : alone
  return {
    ...(other ? { other } : {}),
    join,
    ways: plan.ways,
    path,
    length: pathLength(path),
    holes,
    sides: plan.sides,
    round: plan.round,
    stitches: plan.round ? holes.length : Math.max(0, holes.length - 1),
    times: timesSewn(sheets, work),
    ...threadOf(plan, holes, sheets, all, lengths, reckon),
    lengths,
    joinsAt: threadJoins(holes, plan.sides, steps, lengths),
    steps,
    thickest: holes.reduce((max, h) => Math.max(max, h.stack), 0),
  }
}

/** All runs of the work with what lies under every hole; a join whose panels leave no room for its line has none. */
export function runsOf(
  joins: readonly Join[],
  panels: readonly Panel[],
  works: readonly LaidUp[],
  all: SewingWays,
  reckon: Reckon,
): Run[] {
  return planRuns(joins, panels, works, all).map((plan) =>
    runOf(plan, laidUpOf(works, plan.join.layup), panels, all, reckon),
  )
}

/**
 * The rows of holes of a run in one sheet, in that sheet's own coordinates. A seam whose edges lie apart has them where
 * it is sewn on what carries it and where its other edge lies on that one; where both edges are of one sheet it has
 * both, and so has whatever else lies at both.
 */
export function rowsInSheet(run: Run, laid: LaidSheet): readonly (readonly HolePlace[])[] {
  return rowsThrough(run, laid)
    .filter((row) => row.length > 0)
    .map((row) =>
      row.map((h) => ({
        ...h,
        at: pointMoved(h.at, laid.toSheet),
        angle: angleMoved(h.angle, laid.toSheet),
      })),
    )
}

function rowsThrough({ other, join, holes }: Run, laid: LaidSheet): readonly (readonly HolePlace[])[] {
  const { id } = laid.sheet
  const own = holes.filter((h) => h.sheets.includes(id))
  if (!other) return [own]
  if (!join.mate) return [other.sheet === id ? other.holes : own]
  const there = other.holes.filter((h) => sheetThickness(laid, h.at) > 0)
  const [carries, mates] = [join.course.sheet === id, join.mate.sheet === id]
  if (carries !== mates) return [carries || there.length === 0 ? own : there]
  return [own, there]
}

/** All holes of a run in one sheet, in that sheet's own coordinates. */
export const holesInSheet = (run: Run, laid: LaidSheet): readonly HolePlace[] => rowsInSheet(run, laid).flat()
