import { required } from '../lists/index.js'
import { findingsOf } from '../check/index.js'
import { type Edit, valueAt, applyEdit, setField } from '../design/index.js'
import { leatherAt } from '../stores/index.js'
import { type Derived, derive } from '../derived/index.js'
import { fieldsInPlay } from '../kinds/index.js'
import { type Units, printWeight } from '../measure/index.js'
import { seamThickness } from './propose.js'

/** Something else than skiving that would make seams thinner. */
export interface OtherWay {
  readonly label: string
  readonly edit: Edit
  /** How much thinner the thickest place of the seams gets, mm. */
  readonly saves: number
  /** Whether that alone reaches what is wanted. */
  readonly enough: boolean
}

/** A leather is split by so much, and never below this, mm (J). */
const SPLIT = 0.2
const THINNEST = 0.4
/** Less is not worth telling, mm. */
const WORTH = 0.05

/** Every single decision that could be taken otherwise: other choices, one fewer, a thinner leather. */
function otherDecisions({ design, kind }: Derived, unit: Units): { label: string; edit: Edit }[] {
  return fieldsInPlay(kind, design.params)
    .filter((f) => f.path[0] === 'params' || f.type === 'leather')
    .flatMap((field) => {
      const now = valueAt(design, field.path)
      if (field.type === 'choice')
        return field.choices
          .filter((c) => c.value !== now)
          .map((c) => ({
            label: `${field.label}: ${c.label}`,
            edit: setField(`${field.label}: ${c.label}`, field.path, c.value),
          }))
      if (field.type === 'count' && typeof now === 'number' && now > field.min)
        return [
          {
            label: `${field.label}: ${now - 1} instead of ${now}`,
            edit: setField(`${field.label} ${now - 1}`, field.path, now - 1),
          },
        ]
      if (field.type !== 'leather') return []
      const leather = required(design.leathers[field.role], field.role)
      const thinner = Math.round((leather.thickness - SPLIT) * 100) / 100
      if (thinner < THINNEST) return []
      const label = `${field.label} split to ${printWeight(thinner, unit)}`
      return [{ label, edit: setField(label, field.path, leatherAt(leather, thinner)) }]
    })
}

/** Whether nothing would be a stop that is not one already. */
function bringsNoStop(before: ReadonlySet<string>, after: Derived): boolean {
  return findingsOf(after).every((f) => f.rank !== 'stop' || before.has(f.key))
}

/** How many pieces of leather are cut for it. */
const cutFor = ({ master }: Derived): number =>
  master.panels.reduce((sum, p) => sum + (p.role === 'guide' ? 0 : p.count), 0)

/** What else would help along the seams of those ids, each tried on the real design; what saves most first.
 * Nothing is offered that puts more pieces into the work: a lining is no way to thin a seam, even where it takes the seam over. */
export function otherWays(
  derived: Derived,
  ids: readonly string[],
  wanted: number,
  unit: Units = 'mm',
): OtherWay[] {
  const stops = new Set(findingsOf(derived).flatMap((f) => (f.rank === 'stop' ? [f.key] : [])))
  const now = seamThickness(derived, ids)
  return otherDecisions(derived, unit)
    .flatMap(({ label, edit }): OtherWay[] => {
      const edited = applyEdit(derived.design, edit)
      if (!edited.ok) return []
      const after = derive(edited.design)
      if (cutFor(after) > cutFor(derived)) return []
      // A seam that is no longer there says nothing of how thick it would be.
      if (!ids.every((id) => after.runs.some((r) => r.join.id === id))) return []
      const left = seamThickness(after, ids)
      const saves = now - left
      return saves >= WORTH && bringsNoStop(stops, after)
        ? [{ label, edit, saves, enough: left <= wanted + 1e-9 }]
        : []
    })
    .sort((a, b) => b.saves - a.saves)
}
