import { nth } from '../lists/index.js'
import { type Change, valueAt } from '../design/index.js'
import type { Derived } from '../derived/index.js'
import { fieldsInPlay } from '../kinds/index.js'
import { wishOf } from '../stitch/index.js'
import { roundTo } from '../measure/index.js'

/** Something that may be moved so that the holes come out: a setting, or a size. Lengths in mm. */
export interface Freedom {
  readonly id: string
  readonly label: string
  readonly sort: 'setting' | 'size' | 'start' | 'end'
  /** Where it stands in the design; runs that mirror each other are moved alike. */
  readonly paths: readonly (readonly string[])[]
  readonly now: number
  readonly min: number
  readonly max: number
  /** By how much it may usually be moved either way; 0 where it is left alone unless the maker says so. */
  readonly usual: number
}

/** Starts and ends of runs. Where open steps are crossed, half a stitch at the start puts the holes elsewhere between them. */
function ends({ runs, design }: Derived): Freedom[] {
  return runs
    .filter(
      (run, i) =>
        !/~2$|\/\d+$/.test(run.join.id) && !runs.slice(0, i).some((r) => r.join.id === run.join.twin),
    )
    .flatMap((run) => {
      const [{ startBy = 0, endBy = 0 }, { join }] = [wishOf(design.sewing, run.join.id), run]
      const one = (sort: 'start' | 'end', now: number, usual: number): Freedom => ({
        id: `${sort} ${join.id}`,
        label: `${sort} of the ${join.twin ? (join.pairName ?? join.name) : join.name}`,
        sort,
        paths: [join.id, ...(join.twin ? [join.twin] : [])].map((id) => ['sewing', 'runs', id, `${sort}By`]),
        now,
        min: -60,
        max: 600,
        usual,
      })
      const steps = run.steps.some((s) => s.open)
      return [one('start', startBy, steps ? Math.round(run.ways.pitch * 5) / 10 : 0), one('end', endBy, 0)]
    })
}

/** All that can be moved: settings that are lengths, starts and ends of runs, then computed sizes of the panels. */
export function freedomsOf(derived: Derived): Freedom[] {
  const { design, kind, master } = derived
  const settings = fieldsInPlay(kind, design.params).flatMap((field): Freedom[] => {
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
        min: field.min,
        max: field.max,
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
        min: 0,
        max: Infinity,
        usual: 0,
      },
    ]
  })
  return [...settings, ...ends(derived), ...sizes]
}

/** Numbers a knife keeps, mm. */
export const FINEST = 0.05

/** Where something comes to lie when it is moved by so much. */
export const movedTo = ({ now, min, max }: Freedom, by: number): number =>
  Math.min(max, Math.max(min, roundTo(now + by, 2)))

/** The changes that move those things by so much each; what is not moved is left out. */
export const changesFor = (freedoms: readonly Freedom[], moves: readonly number[]): Change[] =>
  freedoms.flatMap((freedom, i) =>
    Math.abs(nth(moves, i)) < 1e-9
      ? []
      : freedom.paths.map((path) => ({ path, value: movedTo(freedom, nth(moves, i)) })),
  )
