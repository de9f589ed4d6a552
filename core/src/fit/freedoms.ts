import type { Change, Design } from '../design/index.js'
import type { Derived } from '../derive.js'
import { fieldsOf } from '../kinds/index.js'
import { wishOf } from '../stitch/index.js'
import { roundTo } from '../measure/index.js'

/** Something that may be moved so that the holes come out: a setting, or a size. Lengths in mm. */
export interface Freedom {
  readonly id: string
  readonly label: string
  readonly sort: 'setting' | 'size' | 'start'
  /** Where it stands in the design; runs that mirror each other are moved alike. */
  readonly paths: readonly (readonly string[])[]
  readonly now: number
  readonly least: number
  readonly most: number
  /** By how much it may usually be moved either way; 0 where it is left alone unless the maker says so. */
  readonly usual: number
}

const valueAt = (design: Design, path: readonly string[]): unknown =>
  path.reduce<unknown>((inner, key) => (inner as Record<string, unknown> | undefined)?.[key], design)

/** Starts of runs that cross open steps: half a stitch either way puts the holes elsewhere between them. */
function starts({ runs, design }: Derived): Freedom[] {
  return runs
    .filter(
      (run, i) => run.steps.some((s) => s.open) && !runs.slice(0, i).some((r) => r.join.id === run.join.twin),
    )
    .map((run) => ({
      id: `start ${run.join.id}`,
      label: `start of the ${run.join.twin ? (run.join.pairName ?? run.join.name) : run.join.name}`,
      sort: 'start',
      paths: [run.join.id, ...(run.join.twin ? [run.join.twin] : [])].map((id) => [
        'sewing',
        'runs',
        id,
        'startBy',
      ]),
      now: wishOf(design.sewing, run.join.id).startBy ?? 0,
      least: -60,
      most: 600,
      usual: Math.round(run.ways.pitch * 5) / 10,
    }))
}

/** All that can be moved: settings that are lengths, starts of runs, then computed sizes of the panels. */
export function freedomsOf(derived: Derived): Freedom[] {
  const { design, kind, master } = derived
  const settings = fieldsOf(kind).flatMap((field): Freedom[] => {
    const now =
      field.type === 'length' && field.path[0] === 'params' ? valueAt(design, field.path) : undefined
    if (field.type !== 'length' || typeof now !== 'number') return []
    return [
      {
        id: field.id,
        label: field.label,
        sort: 'setting',
        paths: [field.path],
        now,
        least: field.least,
        most: field.most,
        usual: field.mayMove ?? 0,
      },
    ]
  })
  const seen = new Set<string>()
  const sizes = master.sizes.flatMap(({ size }): Freedom[] => {
    if (size.measured || size.quantity !== 'length' || seen.has(size.key) || size.value <= 0) return []
    seen.add(size.key)
    return [
      {
        id: size.key,
        label: size.label,
        sort: 'size',
        paths: [['overrides', size.key]],
        now: size.value,
        least: 0,
        most: Infinity,
        usual: 0,
      },
    ]
  })
  return [...settings, ...starts(derived), ...sizes]
}

/** Numbers a knife keeps, mm. */
export const FINEST = 0.05

/** Where something comes to lie when it is moved by so much. */
export const movedTo = ({ now, least, most }: Freedom, by: number): number =>
  Math.min(most, Math.max(least, roundTo(now + by, 2)))

/** The changes that move those things by so much each; what is not moved is left out. */
export const changesFor = (freedoms: readonly Freedom[], moves: readonly number[]): Change[] =>
  freedoms.flatMap((freedom, i) =>
    Math.abs(moves[i]!) < 1e-9
      ? []
      : freedom.paths.map((path) => ({ path, value: movedTo(freedom, moves[i]!) })),
  )
