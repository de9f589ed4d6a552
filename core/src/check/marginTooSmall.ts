import { overrideNumber, setField } from '../design/index.js'
import type { Derived } from '../derived/index.js'
import { marginWanted } from '../formulas/index.js'
import { fieldsOf } from '../kinds/index.js'
import { printBoth, printLength } from '../measure/index.js'
import type { EdgeCourse } from '../master/index.js'
import type { Run } from '../stitch/index.js'
import { type Fix, check } from './finding.js'
import { type HoleMade, holeOf, leastMargin } from './holes.js'
import { isSecondTwin, placeOnSheet } from './places.js'

/** A run along an edge, with what makes its holes. */
interface Along {
  readonly run: Run
  readonly course: EdgeCourse
  readonly hole: HoleMade
}
const alongEdges = (derived: Derived): Along[] =>
  derived.runs.flatMap((run) =>
    run.join.course.type === 'edges'
      ? [{ run, course: run.join.course, hole: holeOf(run.ways, derived) }]
      : [],
  )

/** The least margin where the hole does not break into the bevel, and the one a maker would want, mm. */
function margins({ works }: Derived, { run, hole }: Along): { min: number; wanted: number } {
  const sheets = works.flatMap((w) => w.sheets)
  const thickest = Math.max(
    ...run.join.through.map((id) => sheets.find((s) => s.sheet.id === id)?.thickness ?? 0),
  )
  return { min: leastMargin(hole), wanted: marginWanted(hole.half, thickest) }
}

/** Holes so near the edge that they break out when it is bevelled, or tear. */
export const marginTooSmall = check({
  code: 'margin-too-small',
  screen: 'seams',
  find: (derived) => {
    const told = new Set<string>()
    return alongEdges(derived).flatMap((along) => {
      const { run, course, hole } = along
      const { min, wanted } = margins(derived, along)
      const margin = course.margin.value
      if (margin >= wanted - 1e-6 || isSecondTwin(run.join, told)) return []
      told.add(run.join.id)
      const middle = run.holes[Math.floor(run.holes.length / 3)]
      return [
        {
          key: `margin-too-small:${run.join.id}`,
          rank: margin < min ? ('stop' as const) : ('look' as const),
          run: run.join.id,
          places: middle ? placeOnSheet(derived, run.join, course.sheet, middle.at) : [],
          about: run.join.name,
          data: { margin, wanted: Math.ceil(wanted * 10) / 10, by: hole.by, field: course.margin.key },
        },
      ]
    })
  },
  say: ({ about, data, rank }, unit) => ({
    what: `The ${about} runs ${printBoth(data.margin, data.wanted, unit)[0]} from the edge; ${printBoth(data.margin, data.wanted, unit)[1]} is wanted for this leather and ${data.by}.`,
    why:
      rank === 'stop'
        ? `The ${data.by === 'iron' ? 'slots' : 'holes'} break out when the edge is bevelled.`
        : 'Little leather is left to hold the thread once the edge is bevelled and sanded.',
  }),
  fixes: ({ data }, { kind }, _tryOut, unit): Fix[] => {
    const field = fieldsOf(kind).find((f) => f.id === data.field)
    const label = `margin ${printLength(data.wanted, unit)}`
    if (!field) return [{ label: `Set the ${label}`, edit: overrideNumber(label, data.field, data.wanted) }]
    return [{ label: `Set the ${label}`, edit: setField(label, field.path, data.wanted) }]
  },
})
