import { setField } from '../design/index.js'
import { SNIPPED } from '../formulas/index.js'
import { fieldsOf } from '../kinds/index.js'
import { printBoth, printLength } from '../measure/index.js'
import { check } from './finding.js'

/** A corner has to be so many times as round as firm, medium or soft leather is thick (J); docs/formulas.md §20. */
const ROUND = { firm: 6, medium: 4, soft: 2 } as const

/** A corner that is too tight for the leather that goes round it, or for its seam allowance. */
export const cornerTight = check({
  code: 'corner-tight',
  find: ({ master, design }) =>
    (master.corners ?? []).flatMap((corner) => {
      const leather = design.leathers[corner.role]
      const t = leather?.thickness ?? 0
      const round = leather ? ROUND[leather.temper] * t : 0
      const min = Math.max(
        corner.allowance / SNIPPED.strain > corner.radius.value ? corner.uncut / SNIPPED.strain : 0,
        round,
      )
      if (corner.radius.value >= min - 1e-6) return []
      return [
        {
          key: `corner-tight:${corner.id}`,
          rank: corner.radius.value < 2 * t ? ('stop' as const) : ('look' as const),
          places: [{ panelId: corner.panelId, at: corner.at }],
          about: corner.name,
          data: {
            radius: corner.radius.value,
            min,
            thickness: t,
            uncut: corner.uncut,
            leather: leather?.name ?? '',
          },
        },
      ]
    }),
  say: ({ about, data }, unit) => ({
    what: `The ${about} have a radius of ${printBoth(data.radius, data.min, unit)[0]} at the stitch line; ${data.leather}, ${printLength(data.thickness, unit)} thick, wants ${printBoth(data.radius, data.min, unit)[1]}.`,
    why:
      data.uncut > SNIPPED.root
        ? 'A tighter corner puckers: its cuts must stop short of the second row. Round it more, or sew one row.'
        : 'A tighter corner puckers or splits at its snips. Round it more, skive the allowances, or wet the gusset and form it.',
  }),
  fixes: ({ data }, { kind }, _tryOut, unit) => {
    const fields = fieldsOf(kind)
    const field = fields.find((f) => f.id === 'radius')
    const rows = data.uncut > SNIPPED.root ? fields.find((f) => f.id === 'rows') : undefined
    const value = Math.ceil(data.min)
    return [
      ...(field
        ? [
            {
              label: `Corner radius ${printLength(value, unit)}`,
              edit: setField(`corner radius ${printLength(value, unit)}`, field.path, value),
            },
          ]
        : []),
      ...(rows ? [{ label: 'Sew it in one row', edit: setField('sew it in one row', rows.path, 1) }] : []),
    ]
  },
})
