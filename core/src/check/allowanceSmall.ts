import { setField } from '../design/index.js'
import { pointMoved } from '../geometry/index.js'
import { printLength } from '../measure/index.js'
import { check } from './finding.js'
import { required } from '../lists/index.js'

/** An allowance has to be wider than what is sewn is thick by so much to be turned and pressed open, mm (J). */
const MORE = 3

/** Seam allowance too small where three layers or more meet. */
export const allowanceSmall = check({
  code: 'allowance-small',
  find: ({ runs, works, panels }) =>
    runs.flatMap((run) => {
      const { course, mate } = run.join
      const laid = works[0]?.sheets.find((s) => s.sheet.id === course.sheet)
      const panel =
        laid?.sheet.type === 'panel'
          ? panels.find((q) => laid.sheet.type === 'panel' && q.id === laid.sheet.panelId)
          : undefined
      const fate = panel?.edges.map((e) => e.fate).find((f) => f.type === 'sewn' && f.inside)
      if (!mate || fate?.type !== 'sewn' || run.join.through.length < 3) return []
      const min = run.thickest + MORE
      const hole = run.holes.find((h) => h.stack === run.thickest)
      if (fate.margin >= min || !hole || !laid) return []
      return [
        {
          key: `allowance-small:${run.join.id}`,
          rank: 'look' as const,
          run: run.join.id,
          places: [{ panelId: required(panel, 'panel').id, at: pointMoved(hole.at, laid.toSheet) }],
          about: run.join.name,
          data: { margin: fate.margin, min, stack: run.thickest },
        },
      ]
    }),
  say: ({ about, data }, unit) => ({
    what: `${printLength(data.margin, unit)} of allowance for the ${about}, where ${printLength(data.stack, unit)} of leather meet.`,
    why: `It can’t be pressed open and pulls out of the seam. ${printLength(data.min, unit)} would do, or skive the allowances.`,
  }),
  fixes: ({ data }, { kind }, _tryOut, unit) => {
    const value = Math.ceil(data.min)
    return kind.fields.some((f) => f.id === 'allowance')
      ? [
          {
            label: `Allowance ${printLength(value, unit)}`,
            edit: setField(`allowance ${printLength(value, unit)}`, ['params', 'allowance'], value),
          },
        ]
      : []
  },
})
