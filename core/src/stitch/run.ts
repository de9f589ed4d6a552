import {
  type Path,
  angleMoved,
  pathCrossings,
  pathLength,
  pathPlaceAt,
  pointMoved,
  segmentLength,
} from '../geometry/index.js'
import { type LaidSheet, type LaidUp, layersAt, sheetThickness } from '../layup/index.js'
import type { Join, Panel } from '../master/index.js'
import type { Iron } from '../stores/index.js'
import type { Reckon, Reckoned } from '../working/index.js'
import { coursePathMaybe } from './course.js'
import { type CornerSchool, type HolePlace, type Side, holePlaces } from './places.js'
import { saddleThread } from './thread.js'

export interface Hole extends HolePlace {
  /** Thickness the thread passes here, mm. */
  readonly stack: number
  /** Sheets it goes through, lowest first. */
  readonly sheets: readonly string[]
}

/** Where an edge of one sheet crosses the run. `open` where nothing covers that edge: a stitch on it tears or gapes. */
export interface Step {
  readonly sheet: string
  readonly name: string
  readonly distance: number
  readonly open: boolean
}

/** One unbroken line of sewing, with its holes. */
export interface Run {
  readonly join: Join
  readonly path: Path
  readonly length: number
  readonly holes: readonly Hole[]
  readonly sides: readonly Side[]
  readonly steps: readonly Step[]
  readonly thickest: number
  /** All the thread it takes. */
  readonly thread: Reckoned
  /** In how many lengths of thread it is sewn. */
  readonly lengths: number
}

/** What a run follows: the iron, the workshop's own ways, and in how many lengths of thread it is sewn, by run. */
export interface SewingWays {
  readonly iron: Iron
  readonly lengths: Readonly<Record<string, number>>
  readonly habits: { readonly cornerSchool: CornerSchool; readonly tail: number; readonly waste: number }
}

const through = (work: LaidUp, join: Join): LaidSheet[] =>
  work.sheets.filter((s) => join.through.includes(s.sheet.id))

function stacked(place: HolePlace, sheets: readonly LaidSheet[]): Hole {
  const there: string[] = []
  let stack = 0
  for (const laid of sheets) {
    const thickness = sheetThickness(laid, place.at)
    if (thickness === 0) continue
    there.push(laid.sheet.id)
    stack += thickness
  }
  return { at: place.at, angle: place.angle, distance: place.distance, stack, sheets: there }
}

/** Steps nearer than this are one, mm. */
const SAME_STEP = 0.05

/** Edges of the sewn sheets that cross the run inside it, with whether they lie open to one face. */
function stepsOf(path: Path, work: LaidUp, sheets: readonly LaidSheet[]): Step[] {
  const starts = path.segments.reduce<number[]>(
    (sums, s) => [...sums, sums[sums.length - 1]! + segmentLength(s)],
    [0],
  )
  const length = starts[starts.length - 1]!
  const sewn = { ...work, sheets }
  // Where a turned border lands is hidden between the layers: a stitch may straddle it.
  const found = sheets
    .filter((laid) => laid.part === 'whole')
    .flatMap((laid) =>
      pathCrossings(path, laid.placed)
        .map(({ segment, parameter }) => starts[segment]! + segmentLength(path.segments[segment]!, parameter))
        .filter((distance) => distance > 0.01 && distance < length - 0.01)
        .map((distance): Step => {
          const beside = [distance - 0.02, distance + 0.02].map((d) =>
            layersAt(sewn, pathPlaceAt(path, d).at),
          )
          const covered = beside.every((layers) => {
            const above = layers.filter((l) => sheets.indexOf(l.laid) > sheets.indexOf(laid))
            const below = layers.filter((l) => sheets.indexOf(l.laid) < sheets.indexOf(laid))
            return above.length > 0 && below.length > 0
          })
          return { sheet: laid.sheet.id, name: laid.sheet.name, distance, open: !covered }
        }),
    )
  // Two edges that butt make one step; it is named by the upper of the two.
  return found.filter(
    (step, i) => !found.some((other, k) => k > i && Math.abs(other.distance - step.distance) < SAME_STEP),
  )
}

/** The run of one join; undefined where the panels leave no room for its line. */
export function runMaybe(
  join: Join,
  panels: readonly Panel[],
  work: LaidUp,
  ways: SewingWays,
  reckon: Reckon,
): Run | undefined {
  const path = coursePathMaybe(join, panels, work.layup.sheets)
  if (!path) return undefined
  const sheets = through(work, join)
  const { iron, habits } = ways
  const { holes: places, sides } = holePlaces(path, iron.pitch, habits.cornerSchool)
  const holes = places.map((place) => stacked(place, sheets))
  const stitches = Math.max(0, holes.length - 1)
  const lengths = Object.hasOwn(ways.lengths, join.id) ? ways.lengths[join.id]! : 1
  const thread = saddleThread(
    {
      id: join.id,
      name: join.name,
      stitches,
      pitch:
        sides.reduce((sum, s) => sum + s.pitch * s.stitches, 0) /
        Math.max(
          1e-9,
          sides.reduce((sum, s) => sum + s.stitches, 0),
        ),
      stacks: holes.map((h) => h.stack),
      backstitches: join.backstitches.start + join.backstitches.end,
      tail: habits.tail,
      waste: habits.waste,
      factor: Math.max(0, ...sheets.map((s) => s.work?.stock?.threadFactor ?? 0)) || 1,
      lengths,
    },
    reckon,
  )
  return {
    join,
    path,
    length: pathLength(path),
    holes,
    sides,
    thread,
    lengths,
    steps: stepsOf(path, work, sheets),
    thickest: Math.max(0, ...holes.map((h) => h.stack)),
  }
}

/** Holes of a run that go through one sheet, in that sheet's own coordinates. */
export const holesInSheet = (run: Run, laid: LaidSheet): readonly HolePlace[] =>
  run.holes
    .filter((h) => h.sheets.includes(laid.sheet.id))
    .map((h) => ({ ...h, at: pointMoved(h.at, laid.toSheet), angle: angleMoved(h.angle, laid.toSheet) }))
