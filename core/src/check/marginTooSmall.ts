import { overrideNumber, setField } from '../design/index.js'
import type { Derived } from '../derive.js'
import { halfAcross } from '../formulas/index.js'
import { fieldsOf } from '../kinds/index.js'
import { workOf } from '../layup/index.js'
import { printLength } from '../measure/index.js'
import type { EdgeCourse, Join } from '../master/index.js'
import type { Check, Fix } from './finding.js'

/** What bevelling takes off an edge, mm (J). */
const BEVEL = 0.5
/** Leather that must stay between the bevel and a hole, mm (J). */
const LAND = 0.5
/** A bevelled edge wants this many thicknesses of its leather to the holes (J); docs/formulas.md §7. */
const THICKNESSES = 1.5

const halfSlot = ({ iron }: Derived['design']): number =>
  halfAcross(iron.slotLength, (iron.slant * Math.PI) / 180)

/** The least margin where a slot does not break into the bevel, mm. */
export const leastMargin = (derived: Derived): number => halfSlot(derived.design) + BEVEL

/** The least margin where the hole does not break into the bevel, and the one a maker would want, mm. */
function margins(derived: Derived, join: Join): { least: number; wanted: number } {
  const thickest = Math.max(
    ...join.through.map(
      (id) => derived.works.flatMap((w) => w.sheets).find((s) => s.sheet.id === id)?.thickness ?? 0,
    ),
  )
  const least = leastMargin(derived)
  return { least, wanted: Math.max(least + LAND, THICKNESSES * thickest) }
}

const edgeJoins = (derived: Derived): { join: Join; course: EdgeCourse }[] =>
  derived.master.joins.flatMap((join) =>
    join.course.type === 'edges' ? [{ join, course: join.course }] : [],
  )

/** Holes so near the edge that they break out when it is bevelled, or tear. */
export const marginTooSmall: Check = {
  code: 'margin-too-small',
  find: (derived) => {
    const told = new Set<string>()
    return edgeJoins(derived).flatMap(({ join, course }) => {
      const { least, wanted } = margins(derived, join)
      const margin = course.margin.value
      if (margin >= wanted - 1e-6 || (join.twin !== undefined && told.has(join.twin))) return []
      told.add(join.id)
      const run = derived.runs.find((r) => r.join.id === join.id)
      const panel = workOf(derived.works, join.layup).sheets.find((s) => s.sheet.id === course.sheet)
      const at = run?.holes[Math.floor(run.holes.length / 3)]?.at
      return [
        {
          key: `margin-too-small:${join.id}`,
          code: 'margin-too-small',
          rank: margin < least ? ('stop' as const) : ('look' as const),
          run: join.id,
          places: at && panel?.sheet.type === 'panel' ? [{ panelId: panel.sheet.panelId, at }] : [],
          numbers: { margin, wanted: Math.ceil(wanted * 10) / 10, least },
          words: { run: join.name, field: course.margin.key },
        },
      ]
    })
  },
  say: ({ numbers, words, rank }, unit) => ({
    what: `The ${words.run} runs ${printLength(numbers.margin!, unit)} from the edge; ${printLength(numbers.wanted!, unit)} is wanted for this leather and iron.`,
    why:
      rank === 'stop'
        ? 'The slots break out when the edge is bevelled.'
        : 'Little leather is left to hold the thread once the edge is bevelled and sanded.',
  }),
  fixes: ({ numbers, words }, { kind }, _tryOut, unit): Fix[] => {
    const field = fieldsOf(kind).find((f) => f.id === words.field)
    const label = `margin ${printLength(numbers.wanted!, unit)}`
    if (!field)
      return [{ label: `Set the ${label}`, edit: overrideNumber(label, words.field!, numbers.wanted!) }]
    return [{ label: `Set the ${label}`, edit: setField(label, field.path, numbers.wanted) }]
  },
}
