import { setField, valueAt } from '../design/index.js'
import type { Derived } from '../derived/index.js'
import { type Field, fieldsOf } from '../kinds/index.js'
import { type Units, printFine, printLength, roundTo } from '../measure/index.js'
import type { Run, Step } from '../stitch/index.js'
import { type Fix, type TryOut, type Found, check } from './finding.js'
import { isSecondTwin, placeOnSheet } from './places.js'

/** Lengths mm. */
export interface NearStep {
  readonly distance: number
  readonly clearance: number
  readonly step: string
}

interface Near {
  readonly step: Step
  readonly hole: Run['holes'][number]
  readonly distance: number
}

/** A hole can't be marked finer: what falls short by less is as near as is wanted, and would be told as the same figure, mm. */
const FINE = 0.026

/** The hole nearest to each open step of a run, where it comes nearer than `clearance` mm. Where a needle of a machine falls nobody lays out. */
function nearHoles(run: Run, clearance: number): Near[] {
  if (run.ways.holes === 'machine') return []
  return run.steps
    .filter((step) => step.open)
    .flatMap((step) => {
      const hole = run.holes.reduce((a, b) =>
        Math.abs(b.distance - step.distance) < Math.abs(a.distance - step.distance) ? b : a,
      )
      const distance = Math.abs(hole.distance - step.distance)
      return distance < clearance - FINE ? [{ step, hole, distance }] : []
    })
}

const allNear = ({ runs, design }: Derived): number =>
  runs.reduce((sum, run) => sum + nearHoles(run, design.habits.stepClearance).length, 0)

function findingOf(derived: Derived, run: Run, { step, hole, distance }: Near): Found<NearStep> {
  const twin = derived.runs.find((r) => r.join.id === run.join.twin)
  const twinHole = twin?.holes[run.holes.indexOf(hole)]
  const carrier = (join: Run['join']): string => join.course.sheet
  return {
    key: `hole-near-step:${run.join.id}:${step.sheet}`,
    rank: 'stop' as const,
    run: run.join.id,
    places: [
      ...placeOnSheet(derived, run.join, carrier(run.join), hole.at),
      ...(twin && twinHole ? placeOnSheet(derived, twin.join, carrier(twin.join), twinHole.at) : []),
    ],
    about: twin ? (run.join.pairName ?? run.join.name) : run.join.name,
    data: {
      distance,
      clearance: derived.design.habits.stepClearance,
      step: step.name,
    },
  }
}

/** A run that goes up again on the other side meets the same piece twice: told once, at the worse of the two. */
function together(findings: readonly Found<NearStep>[]): Found<NearStep>[] {
  const byKey = new Map<string, Found<NearStep>>()
  for (const one of findings) {
    const other = byKey.get(one.key)
    const worse = other && other.data.distance < one.data.distance ? other : one
    byKey.set(one.key, { ...worse, places: [...(other?.places ?? []), ...one.places] })
  }
  return [...byKey.values()]
}

/** Values of a setting that may move, nearest first, in tenths of a millimetre. */
function nearby(field: Field & { type: 'length' }, now: number): number[] {
  const steps = Math.round((field.mayMove ?? 0) * 10)
  const around = Array.from({ length: steps }, (_, i) => (i + 1) / 10).flatMap((d) => [now + d, now - d])
  return around.map((v) => roundTo(v, 2)).filter((v) => v >= field.min && v <= field.max)
}

function fixBy(field: Field, derived: Derived, tryOut: TryOut, unit: Units): Fix[] {
  if (field.type !== 'length' || !field.mayMove) return []
  const now = valueAt(derived.design, field.path)
  if (typeof now !== 'number') return []
  for (const value of nearby(field, now)) {
    const edit = setField(`${field.label} ${printLength(value, unit)}`, field.path, value)
    const tried = tryOut(edit)
    if (tried && allNear(tried) === 0)
      return [
        {
          label: `${field.label.charAt(0).toUpperCase()}${field.label.slice(1)} ${printLength(value, unit)}`,
          edit,
        },
      ]
  }
  return []
}

/** So many ways out are enough to choose from. */
const ENOUGH = 2

/** The first settings that may move and mend it; no more are tried once there are enough. */
function firstFixes(derived: Derived, tryOut: TryOut, unit: Units): readonly Fix[] {
  const fixes: Fix[] = []
  for (const field of fieldsOf(derived.kind)) {
    if (fixes.length >= ENOUGH) break
    fixes.push(...fixBy(field, derived, tryOut, unit))
  }
  return fixes
}

/** Every step's finding is mended by the same moves, so they are sought once for a design and a unit. */
const found = new WeakMap<Derived, Map<Units, readonly Fix[]>>()

/** A hole on or beside the step of a pocket: the stitch pulls the step open or tears out. */
export const holeNearStep = check({
  code: 'hole-near-step',
  screen: 'seams',
  find: (derived) => {
    const told = new Set<string>()
    return derived.runs.flatMap((run) => {
      if (isSecondTwin(run.join, told)) return []
      told.add(run.join.id)
      return together(
        nearHoles(run, derived.design.habits.stepClearance).map((near) => findingOf(derived, run, near)),
      )
    })
  },
  say: ({ about, data }, unit) => ({
    what: `A hole falls ${printFine(data.distance, unit)} from the edge of the ${data.step} (${about}); wanted at least ${printFine(data.clearance, unit)}.`,
    why: 'The stitch pulls at the step and opens it, or tears out of its edge.',
  }),
  fixes: (_, derived, tryOut, unit) => {
    const known = found.get(derived) ?? new Map<Units, readonly Fix[]>()
    const fixes = known.get(unit) ?? firstFixes(derived, tryOut, unit)
    found.set(derived, known.set(unit, fixes))
    return fixes
  },
})
