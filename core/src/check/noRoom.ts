import { setField } from '../design/index.js'
import { boxCentre, pathBox } from '../geometry/index.js'
import { fieldsOf, kindOf } from '../kinds/index.js'
import type { Check } from './finding.js'

/** A join whose stitch line has no room on its panels. */
export const noRoom: Check = {
  code: 'no-room',
  find: (derived) =>
    derived.master.joins
      .filter((join) => !derived.runs.some((r) => r.join.id === join.id))
      .map((join) => {
        const sheet = derived.works[0]!.sheets.find((s) => s.sheet.id === join.course.sheet)!
        return {
          key: `no-room:${join.id}`,
          code: 'no-room',
          rank: 'stop' as const,
          run: join.id,
          places:
            sheet.sheet.type === 'panel'
              ? [{ panelId: sheet.sheet.panelId, at: boxCentre(pathBox(sheet.outline)) }]
              : [],
          numbers: {},
          words: { run: join.name },
        }
      }),
  say: ({ words }) => ({
    what: `No room is left for the ${words.run}.`,
    why: 'Its line would be shorter than nothing: the margins meet. A smaller margin or a larger panel makes room.',
  }),
  fixes: (_, { kind }) => {
    const margin = fieldsOf(kind).find((f) => f.id === 'margin')
    const usual = (kindOf(kind.id).defaults as Record<string, unknown>).margin
    return margin
      ? [
          {
            label: `Margin ${String(usual)} mm again`,
            edit: setField(`margin ${String(usual)} mm`, margin.path, usual),
          },
        ]
      : []
  },
}
