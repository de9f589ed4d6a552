import { type Change, type Design, applyEdit, valueAt } from '../design/index.js'
import { type Derived, derive } from '../derived/index.js'
import { fieldsInPlay } from '../kinds/index.js'
import { roundTo } from '../measure/index.js'
import { leatherAt } from '../stores/index.js'

/** A setting of a design that is a length, or the thickness of one of its leathers, mm. */
export interface Setting {
  readonly label: string
  /** A leather is taken only for what no length moves. */
  readonly sort: 'length' | 'leather'
  readonly change: (value: number) => Change
  readonly now: number
  readonly min: number
  readonly max: number
}

/** Leathers come no thinner and no thicker, mm. */
const [THIN, THICK] = [0.3, 8] as const

/** Lengths that a maker decides, and the thickness of each leather. */
export function settable({ design, kind }: Derived): Setting[] {
  const lengths = fieldsInPlay(kind, design.params).flatMap((field): Setting[] => {
    const now =
      field.type === 'length' && field.path[0] === 'params' ? valueAt(design, field.path) : undefined
    return field.type === 'length' && typeof now === 'number'
      ? [
          {
            label: field.label,
            sort: 'length',
            change: (value) => ({ path: field.path, value }),
            now,
            min: field.min,
            max: field.max,
          },
        ]
      : []
  })
  const thickness = Object.entries(design.leathers).map(([role, leather]): Setting => ({
    label: `thickness of the ${leather.name} (${role.replaceAll('-', ' ')})`,
    sort: 'leather',
    change: (value) => ({ path: ['leathers', role], value: leatherAt(leather, value) }),
    now: leather.thickness,
    min: THIN,
    max: THICK,
  }))
  return [...lengths, ...thickness]
}

/** A value a knife can keep, within what the setting allows. */
export const settingAt = ({ min, max }: Setting, value: number): number =>
  Math.min(max, Math.max(min, roundTo(value, 2)))

/** The design laid out with settings at these values; undefined where it won’t have them. */
export function withSettings(
  design: Design,
  settings: readonly Setting[],
  values: readonly number[],
): Derived | undefined {
  const changes = settings.flatMap((s, j) => {
    const value = values[j]
    return value === undefined || value === s.now ? [] : [s.change(value)]
  })
  const edited = applyEdit(design, { name: 'measured', changes })
  if (!edited.ok) return undefined
  try {
    return derive(edited.design)
  } catch {
    return undefined
  }
}
