import { setField } from '../design/index.js'
import { fieldsOf } from '../kinds/index.js'
import { printLength } from '../measure/index.js'
import type { Check } from './finding.js'

/** Stretch a snipped allowance bears as a share, and the least that is left uncut at a snip, mm; docs/formulas.md §20. */
const STRAIN = 0.12
const ROOT = 1.5

/** A corner that is too tight for the leather that goes round it, or for its seam allowance. */
export const cornerTight: Check = {
  code: 'corner-tight',
  find: ({ master, design }) =>
    (master.corners ?? []).flatMap((corner) => {
      const leather = design.leathers[corner.role]
      const t = leather?.thickness ?? 0
      const firm = leather?.temper === 'firm' ? 6 : leather?.temper === 'medium' ? 4 : 2
      const least = Math.max(corner.allowance / STRAIN > corner.radius.value ? ROOT / STRAIN : 0, firm * t)
      if (corner.radius.value >= least - 1e-6) return []
      return [
        {
          key: `corner-tight:${corner.id}`,
          code: 'corner-tight',
          rank: corner.radius.value < 2 * t ? ('stop' as const) : ('look' as const),
          places: [{ panelId: corner.panelId, at: corner.at }],
          numbers: { radius: corner.radius.value, least, thickness: t },
          words: { name: corner.name, leather: leather?.name ?? '' },
        },
      ]
    }),
  say: ({ numbers, words }, unit) => ({
    what: `The ${words.name} have a radius of ${printLength(numbers.radius!, unit)} at the stitch line; ${words.leather}, ${printLength(numbers.thickness!, unit)} thick, wants ${printLength(numbers.least!, unit)}.`,
    why: 'A tighter corner puckers or splits at its snips. Round it more, skive the allowances, or wet the gusset and form it.',
  }),
  fixes: ({ numbers }, { kind }, _tryOut, unit) => {
    const field = fieldsOf(kind).find((f) => f.id === 'radius')
    const value = Math.ceil(numbers.least!)
    return field
      ? [
          {
            label: `Corner radius ${printLength(value, unit)}`,
            edit: setField(`corner radius ${printLength(value, unit)}`, field.path, value),
          },
        ]
      : []
  },
}
