import type { Derived } from '../derived/index.js'
import { laidUpOf } from '../layup/index.js'
import { setField } from '../design/index.js'
import { pathPlaceAt } from '../geometry/index.js'
import { fieldsOf } from '../kinds/index.js'
import type { Join } from '../master/index.js'
import { printLength } from '../measure/index.js'
import { type Fix, check } from './finding.js'
import { isSecondTwin, placeOnSheet } from './places.js'

/** What is worth cutting extra, mm (J). */
const EXTRA = 1
/** From so many layers on their edges never lie quite flush. */
const MANY = 5

/** Whether some edge that ends in the seam of this join is cut over size. */
function hasTrim({ panels, works }: Derived, join: Join): boolean {
  const sheets = laidUpOf(works, join.layup).layup.sheets
  return join.glue.some(({ sheet, chain }) => {
    const lies = sheets.find((s) => s.id === sheet)
    const panel = panels.find((p) => lies?.type === 'panel' && p.id === lies.panelId)
    return panel?.edges.some((e) => chain.includes(e.id) && 'trim' in e.fate && e.fate.trim > 0)
  })
}

/** An edge of several layers that is sanded flush, with nothing to sand. */
export const noTrim = check({
  code: 'no-trim',
  find: (derived) => {
    const told = new Set<string>()
    return derived.runs.flatMap((run) => {
      const { join } = run
      const layers = Math.max(0, ...run.holes.map((h) => h.sheets.length))
      if (join.course.type !== 'edges' || layers < MANY || isSecondTwin(join, told)) return []
      told.add(join.id)
      if (hasTrim(derived, join)) return []
      return [
        {
          key: `no-trim:${join.id}`,
          rank: 'tip' as const,
          run: join.id,
          places: placeOnSheet(derived, join, join.course.sheet, pathPlaceAt(run.path, run.length / 2).at),
          about: join.pairName ?? join.name,
          data: { layers },
        },
      ]
    })
  },
  say: ({ about, data }) => ({
    what: `${data.layers} layers end together along the ${about}, all cut to size.`,
    why: 'So many edges never lie quite flush, and there is nothing left to trim and sand away.',
  }),
  fixes: (_finding, { kind }, _tryOut, unit): Fix[] => {
    const field = fieldsOf(kind).find((f) => f.id === 'trim')
    const label = `cut ${printLength(EXTRA, unit)} extra and trim after sewing`
    return field
      ? [{ label: label.charAt(0).toUpperCase() + label.slice(1), edit: setField(label, field.path, EXTRA) }]
      : []
  },
})
