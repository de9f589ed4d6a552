import { type Derived, workOf } from './derive.js'
import { meanStack } from './formulas/index.js'
import { sewingMinutes } from './make/index.js'
import {
  type Meeting,
  type Run,
  type Strikes,
  type Supplies,
  type Zip,
  meetings,
  sewingOrder,
  strikesOf,
  suppliesOf,
  zipOf,
  zipOfTwo,
} from './stitch/index.js'
import { type Reckoned, reckoner } from './working/index.js'

/** The run along the edge that the drawing ties to the edge of this one. */
export function tiedRun({ design, runs, works }: Derived, run: Run): Run | undefined {
  const at = (r: Run): { panel: string; edges: readonly string[] } | undefined => {
    const { course, layup } = r.join
    const laid = workOf(works, layup).sheets.find((s) => s.sheet.id === course.sheet)
    return course.type === 'edges' && laid?.sheet.type === 'panel'
      ? { panel: laid.sheet.panelId, edges: course.chain }
      : undefined
  }
  const own = at(run)
  if (!own) return undefined
  const lies = (where: ReturnType<typeof at>, tie: { panel: string; edge: string }): boolean =>
    where !== undefined && where.panel === tie.panel && where.edges.includes(tie.edge)
  const mates = design.ties.flatMap((tie) =>
    lies(own, tie.first) ? [tie.second] : lies(own, tie.second) ? [tie.first] : [],
  )
  return runs.find((other) => other !== run && mates.some((tie) => lies(at(other), tie)))
}

/** Both edges of a run's seam unrolled: of one run through all layers, or of two edges that the drawing ties. */
export function zipFor(derived: Derived, run: Run): Zip {
  const tied = tiedRun(derived, run)
  return tied
    ? zipOfTwo(run, tied, derived.works)
    : zipOf(run, workOf(derived.works, run.join.layup), derived.panels)
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

/** The sewing of the whole work as a plan. */
export function seamPlan(derived: Derived): SeamPlan {
  const { runs, works, design } = derived
  const { order, stuck } = sewingOrder(runs, works)
  const reckon = reckoner(design.overrides)
  const met = meetings(runs)
  const rows = [...order, ...stuck].map(({ run, by }, i): SeamRow => {
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
