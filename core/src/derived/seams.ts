import { firstOf, lastOf } from '../lists/index.js'
import type { Derived } from './derive.js'
import { meanStack } from '../formulas/index.js'
import { pathDistanceOf, pathNearest, pointDistance } from '../geometry/index.js'
import { type LaidUp, laidUpOf } from '../layup/index.js'
import { sewingMinutes } from '../make/index.js'
import {
  MERGE_PITCHES,
  type Meeting,
  type Run,
  type Strikes,
  type Supplies,
  type Zip,
  type ZipMark,
  meetings,
  pullOf,
  sewingOrder,
  strikesOf,
  suppliesOf,
  tiedJoinMaybe,
  zipOf,
  zipOfTwo,
} from '../stitch/index.js'
import { letterOf } from '../reckon/index.js'
import { type Reckoned, reckoner } from '../working/index.js'

/** The run along the edge that the drawing ties to the edge of this one. */
export function tiedRun({ design, runs, works }: Derived, run: Run): Run | undefined {
  const joins = runs.map((r) => r.join)
  const layups = works.map((w) => w.layup)
  const tied = tiedJoinMaybe(run.join, joins, design.ties, layups)
  return tied && runs.find((r) => r.join === tied)
}

/** A notch further than this from a run belongs to another edge, mm. */
const NOTCH_REACH = 8

/** Notches that lie beside a run, lettered as they are on the pieces. */
function notchesBeside(run: Run, path: Run['path'], { master }: Derived): ZipMark[] {
  return master.matches.flatMap((match, i) => {
    if (![match.sheetA, match.sheetB].some((id) => run.join.through.includes(id))) return []
    return [match.at, match.atB].flatMap((at): ZipMark[] => {
      const near = at && pathNearest(path, at)
      if (!near || near.distance > NOTCH_REACH) return []
      return [{ distance: pathDistanceOf(path, near), sort: 'notch', label: letterOf(i) }]
    })
  })
}

/** Both edges of a run's seam unrolled: of one run through all layers, or of two edges that the drawing ties. */
export function zipFor(derived: Derived, run: Run): Zip {
  const tied = tiedRun(derived, run)
  return tied
    ? zipOfTwo(run, tied, derived.works)
    : zipOf(
        run,
        laidUpOf(derived.works, run.join.layup),
        derived.panels,
        notchesBeside(run, run.path, derived),
        run.join.mate && run.other ? notchesBeside(run, run.other.path, derived) : [],
      )
}

/** The outermost sheets of a run, and the face that shows: thread ends lie on the other. */
export interface Faces {
  readonly above: string
  readonly below: string
  readonly shows: 'above' | 'below'
}

/** As asked; else the face of the outside leather, or the one seen from above. */
function facesOf(run: Run, work: LaidUp): Faces {
  const sewn = work.sheets.filter((s) => s.part === 'whole' && run.join.through.includes(s.sheet.id))
  const [below, above] = [sewn[0], sewn[sewn.length - 1]]
  const outside = (laid: typeof below): boolean => laid?.work?.panel.role === 'outside'
  return {
    above: above?.sheet.name ?? '',
    below: below?.sheet.name ?? '',
    shows: run.ways.wish.shows ?? (outside(below) && !outside(above) ? 'below' : 'above'),
  }
}

/** Runs that could be sewn on from an end of this one. */
export function mergesFor({ runs }: Derived, run: Run): Run[] {
  const ends = (r: Run) => (r.round ? [] : [firstOf(r.holes).at, lastOf(r.holes).at])
  const near = MERGE_PITCHES * run.ways.pitch
  return runs.filter(
    (other) =>
      other !== run &&
      other.join.layup === run.join.layup &&
      ends(run).some((a) => ends(other).some((b) => pointDistance(a, b) <= near)),
  )
}

/** A row of the table of runs. Lengths mm, times minutes. */
export interface SeamRow {
  readonly run: Run
  /** Its place in the order of sewing, from 1. */
  readonly number: number
  /** Holes of the other side where it has its own. */
  readonly backHoles: number | undefined
  readonly pitches: readonly number[]
  readonly mean: number
  readonly strikes: readonly Strikes[]
  readonly minutes: Reckoned
  readonly meetings: readonly Meeting[]
  /** What lies outermost on either face of it, and which of the two is looked at. */
  readonly faces: Faces
  /** It lies on a strap or a handle. */
  readonly pulled: boolean
  /** What covers it afterwards. */
  readonly coveredBy: readonly string[]
}

/** All runs in an order in which each can still be reached, with what they take. */
export interface SeamPlan {
  readonly rows: readonly SeamRow[]
  readonly supplies: Supplies
  readonly minutes: number
  readonly holes: number
}

/** All runs in an order in which each can still be reached, with what covers each afterwards. */
export function seamOrder({
  runs,
  works,
}: Derived): readonly { readonly run: Run; readonly by: readonly string[] }[] {
  const { order, stuck } = sewingOrder(runs, works)
  return [...order, ...stuck]
}

/** The sewing of the whole work as a plan. */
export function seamPlan(derived: Derived): SeamPlan {
  const { runs, works, design } = derived
  const reckon = reckoner(design.overrides)
  const met = meetings(runs)
  const rows = seamOrder(derived).map(({ run, by }, i): SeamRow => {
    const tied = tiedRun(derived, run)
    return {
      run,
      number: i + 1,
      backHoles: run.other?.holes.length ?? tied?.holes.length,
      pitches: run.sides.map((s) => s.pitch),
      mean: meanStack(run.holes.map((h) => h.stack)),
      strikes: strikesOf(run),
      minutes: sewingMinutes(run, design.habits, design.machine, reckon),
      meetings: met.filter((m) => m.first === run.join.id || m.second === run.join.id),
      faces: facesOf(run, laidUpOf(works, run.join.layup)),
      pulled: laidUpOf(works, run.join.layup).sheets.some(
        (s) => run.join.through.includes(s.sheet.id) && pullOf(s) !== undefined,
      ),
      coveredBy: by,
    }
  })
  return {
    rows,
    supplies: suppliesOf(
      rows.map((r) => r.run),
      design.thread,
      design.machine,
      reckon,
    ),
    minutes: rows.reduce((sum, r) => sum + r.minutes.value, 0),
    holes: rows.reduce((sum, r) => sum + r.run.holes.length, 0),
  }
}
