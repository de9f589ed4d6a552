import { laidUpOf } from '../layup/index.js'
import { easeLimit } from '../formulas/index.js'
import type { LaidUp } from '../layup/index.js'
import { nth } from '../lists/index.js'
import type { Panel } from '../master/index.js'
import { bends } from './apart.js'
import { mateOf } from './mate.js'
import type { HolePlace, Side } from './places.js'
import type { Run } from './run.js'
import { teethOf, type Tooth } from './teeth.js'

/** A place named on an unrolled edge. */
export interface ZipMark {
  readonly distance: number
  readonly sort: 'start' | 'end' | 'corner' | 'step' | 'notch' | 'thread'
  readonly label: string
}

/** One edge of a seam, unrolled straight; distances from its start, mm. */
export interface ZipSide {
  readonly sheet: string
  readonly name: string
  /** Colour of its leather. */
  readonly swatch: string
  readonly length: number
  readonly holes: readonly HolePlace[]
  readonly sides: readonly Side[]
  readonly marks: readonly ZipMark[]
}

/** Two edges of a seam against each other, or one line alone. */
export interface Zip {
  readonly run: string
  readonly front: ZipSide
  readonly back: ZipSide | undefined
  readonly teeth: readonly Tooth[]
  /** Holes that have no mate. */
  readonly extra: readonly {
    readonly on: 'front' | 'back'
    readonly hole: number
    readonly between: readonly [string, string]
  }[]
  /** How much longer one edge is than the other, mm, as a share, and the share that can be eased in unseen. */
  readonly ease:
    | {
        readonly longer: 'front' | 'back'
        readonly by: number
        readonly share: number
        readonly limit: number
      }
    | undefined
}

/** A pucker of this height a stitch does not show (J), mm; docs/formulas.md §7. */
const PUCKER = 0.3
/** Marks nearer than this are one, mm. */
const SAME_PLACE = 0.6
/** Edges that differ by less are the same, mm. */
const SAME_LENGTH = 0.05

const cornerMarks = (sides: readonly Side[], holes: readonly HolePlace[]): ZipMark[] =>
  sides.slice(1).map((side, i) => ({
    distance: nth(holes, Math.min(side.from, holes.length - 1)).distance,
    sort: 'corner',
    label: sides.length > 2 ? `corner ${i + 1}` : 'corner',
  }))

/** Rounded corners are marked in their middle; wider curves are no corners. */
const curveMarks = (path: Run['path']): ZipMark[] =>
  bends(path).map(({ from, to }) => ({ distance: (from + to) / 2, sort: 'corner', label: 'corner' }))

const byDistance = (a: ZipMark, b: ZipMark): number => a.distance - b.distance

const endMarks = (length: number): ZipMark[] => [
  { distance: 0, sort: 'start', label: 'start' },
  { distance: length, sort: 'end', label: 'end' },
]

function namedSheet(id: string, work: LaidUp): Pick<ZipSide, 'sheet' | 'name' | 'swatch'> {
  const laid = work.sheets.find((s) => s.sheet.id === id)
  return { sheet: id, name: laid?.sheet.name ?? id, swatch: laid?.work?.stock?.swatch ?? '#ffffff' }
}

function frontOf(run: Run, work: LaidUp, notches: readonly ZipMark[]): ZipSide {
  return {
    ...namedSheet(run.join.course.sheet, work),
    length: run.length,
    holes: run.holes,
    sides: run.sides,
    marks: [
      ...endMarks(run.length),
      ...cornerMarks(run.sides, run.holes),
      ...curveMarks(run.path),
      // Where a piece ends there is often a notch too; its name says more.
      ...notches.filter(
        (n) => !run.steps.some((s) => s.open && Math.abs(s.distance - n.distance) < SAME_PLACE),
      ),
      ...run.steps
        .filter((s) => s.open)
        .map((s): ZipMark => ({ distance: s.distance, sort: 'step', label: s.name })),
      ...run.joinsAt.map((i): ZipMark => ({
        distance: nth(run.holes, i).distance,
        sort: 'thread',
        label: 'new thread',
      })),
    ].toSorted(byDistance),
  }
}

function backOf(
  run: Run,
  work: LaidUp,
  panels: readonly Panel[],
  notches: readonly ZipMark[],
): ZipSide | undefined {
  if (run.other) {
    const { sheet, length, holes, sides } = run.other
    return {
      ...namedSheet(sheet, work),
      length,
      holes,
      sides,
      marks: [
        ...endMarks(length),
        ...cornerMarks(sides, holes),
        ...curveMarks(run.other.path),
        ...notches,
      ].toSorted(byDistance),
    }
  }
  const mate = mateOf(run, work, panels)
  if (!mate) return undefined
  // What is punched through all layers comes out where it goes in.
  const { length, holes, sides } = run
  const corners = [...cornerMarks(sides, holes), ...curveMarks(run.path)]
  return {
    ...namedSheet(mate.laid.sheet.id, work),
    length,
    holes,
    sides,
    marks: [...endMarks(length), ...corners].toSorted(byDistance),
  }
}

/** Marks a place can be told by. */
const names = ({ sort }: ZipMark): boolean => sort !== 'thread' && sort !== 'notch'

/** The marks a place lies between. */
function between(side: ZipSide, hole: number): readonly [string, string] {
  const { distance } = nth(side.holes, hole)
  const before = side.marks.findLast((m) => names(m) && m.distance <= distance)
  const after = side.marks.find((m) => names(m) && m.distance > distance)
  return [before?.label ?? 'start', after?.label ?? 'end']
}

function zipped(run: Run, front: ZipSide, back: ZipSide | undefined): Zip {
  if (!back) return { run: run.join.id, front, back, teeth: [], extra: [], ease: undefined }
  const { teeth, alone } = teethOf(front, back, run.ways.pitch)
  const by = Math.abs(front.length - back.length)
  const share = by / Math.max(1e-9, (front.length + back.length) / 2)
  return {
    run: run.join.id,
    front,
    back,
    teeth,
    // Along the edge with the steps and corners the place can be named.
    extra: alone.map(({ on, hole }) => {
      const side = on === 'front' ? front : back
      const beside = front.holes.findIndex(
        (h) => h.distance >= (nth(side.holes, hole).distance * front.length) / side.length,
      )
      return { on, hole, between: between(front, beside < 0 ? front.holes.length - 1 : beside) }
    }),
    ease:
      by < SAME_LENGTH
        ? undefined
        : {
            longer: front.length > back.length ? 'front' : 'back',
            by,
            share,
            limit: easeLimit(run.ways.pitch, PUCKER),
          },
  }
}

/** A run with both its edges unrolled, hole against hole. */
export const zipOf = (
  run: Run,
  work: LaidUp,
  panels: readonly Panel[],
  notches: readonly ZipMark[] = [],
  there: readonly ZipMark[] = [],
): Zip => zipped(run, frontOf(run, work, notches), backOf(run, work, panels, there))

/** The same edge walked from its other end. */
function turnedRound(side: ZipSide): ZipSide {
  const last = side.holes.length - 1
  const from = (distance: number): number => side.length - distance
  return {
    ...side,
    holes: side.holes
      .toReversed()
      .map((h) => ({ ...h, distance: from(h.distance), angle: h.angle + Math.PI })),
    sides: side.sides
      .toReversed()
      .map((s) => ({ ...s, from: last - Math.min(s.to, last), to: last - s.from })),
    marks: side.marks
      .map((m): ZipMark => {
        const sort = m.sort === 'start' ? 'end' : m.sort === 'end' ? 'start' : m.sort
        return {
          ...m,
          sort,
          label: sort === 'start' || sort === 'end' ? sort : m.label,
          distance: from(m.distance),
        }
      })
      .toSorted(byDistance),
  }
}

const off = (zip: Zip): number => zip.teeth.reduce((sum, t) => sum + Math.abs(t.off), 0)

/**
 * Two runs along edges that belong together, of panels that lie apart. Which ends meet is not drawn: the second is walked
 * the way in which its holes and corners fall nearer to those of the first.
 */
export function zipOfTwo(first: Run, second: Run, works: readonly LaidUp[]): Zip {
  const work = (run: Run): LaidUp => laidUpOf(works, run.join.layup)
  const front = frontOf(first, work(first), [])
  const whole = frontOf(second, work(second), [])
  const back = { ...whole, marks: whole.marks.filter((m) => m.sort !== 'thread') }
  const [as, turned] = [zipped(first, front, back), zipped(first, front, turnedRound(back))]
  return off(turned) < off(as) - 1e-6 ? turned : as
}
