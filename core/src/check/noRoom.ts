import { type Design, removeLine, setField, wishRuns } from '../design/index.js'
import { boxCentre, pathBox } from '../geometry/index.js'
import { fieldsOf } from '../kinds/index.js'
import { laidUpOf } from '../layup/index.js'
import { printLength } from '../measure/index.js'
import type { Derived } from '../derived/index.js'
import type { Join } from '../master/index.js'
import { wishOf } from '../stitch/index.js'
import { type Fix, check } from './finding.js'
import { foundIn, required } from '../lists/index.js'

/** Ends the maker moved so far in that nothing is left between them. */
function startedWhereItWas(design: Design, run: string): Fix[] {
  const wish = Object.hasOwn(design.sewing.runs, run) ? required(design.sewing.runs[run], run) : {}
  return wish.startBy === undefined && wish.endBy === undefined
    ? []
    : [
        {
          label: 'Start and end it where it was',
          edit: wishRuns('start and end it where it was', [run], { startBy: undefined, endBy: undefined }),
        },
      ]
}

/** Joins of which no run could be laid, and second rows that were asked for and have none. */
function withoutRoom({ master, runs, design }: Derived): Join[] {
  const laid = new Set(runs.map((r) => r.join.id))
  const merged = new Set(design.sewing.merges.map((m) => m.then))
  const missing = (id: string): boolean => !laid.has(id) && !merged.has(id)
  return master.joins
    .filter((join) => !join.glueOnly)
    .flatMap((join) => {
      const second = { ...join, id: `${join.id}~2`, name: `${join.name}, second row` }
      if (missing(join.id)) return [join]
      return wishOf(design.sewing, join.id).second !== undefined && missing(second.id) ? [second] : []
    })
}

/** A join whose stitch line has no room on its panels. */
export const noRoom = check({
  code: 'no-room',
  screen: 'seams',
  find: (derived) =>
    withoutRoom(derived).map((join) => {
      const sheet = foundIn(
        laidUpOf(derived.works, join.layup).sheets,
        (s) => s.sheet.id === join.course.sheet,
      )
      return {
        key: `no-room:${join.id}`,
        rank: 'stop' as const,
        run: join.id,
        places:
          sheet.sheet.type === 'panel'
            ? [{ panelId: sheet.sheet.panelId, at: boxCentre(pathBox(sheet.outline)) }]
            : [],
        about: join.name,
        data: {},
      }
    }),
  say: ({ about }) => ({
    what: `No room is left for the ${about}.`,
    why: 'Its line would be shorter than nothing: the margins meet. A smaller margin or a larger panel makes room.',
  }),
  // Whichever setting was moved from its usual value may be what takes the room; those that are not are left out.
  fixes: ({ run }, { kind, design, master }, _tryOut, unit) => [
    ...(master.joins.some((j) => j.id === run && j.decor)
      ? [{ label: 'Take the line away', edit: removeLine(design, required(run, 'run')) }]
      : []),
    ...startedWhereItWas(design, required(run, 'run')),
    ...(required(run, 'run').endsWith('~2')
      ? [
          {
            label: 'Sew it in one row',
            edit: wishRuns('sew it in one row', [required(run, 'run').slice(0, -2)], { second: undefined }),
          },
        ]
      : []),
    ...fieldsOf(kind).flatMap((field) => {
      const [section, key] = field.path
      const usual =
        section === 'params' ? (kind.defaults as Record<string, unknown>)[required(key, 'key')] : undefined
      if (
        field.type !== 'length' ||
        typeof usual !== 'number' ||
        design.params[required(key, 'key')] === usual
      )
        return []
      const words = `${field.label} ${printLength(usual, unit)} again`
      return [
        { label: words.charAt(0).toUpperCase() + words.slice(1), edit: setField(words, field.path, usual) },
      ]
    }),
  ],
})
