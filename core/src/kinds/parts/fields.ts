import { CURRENCIES } from '../../stores/index.js'
import type { Choice, Field } from '../fields.js'
import type { Role } from '../kind.js'

const at = (id: string): readonly string[] => ['params', id]

/** The leather of a role, as a setting. */
export const leatherField = ({ id, label, when }: Role): Field => ({
  type: 'leather',
  id: `leather-${id}`,
  label: `leather of the ${label.toLowerCase()}`,
  path: ['leathers', id],
  role: id,
  ...(when ? { when } : {}),
})

export const countField = (id: string, label: string, least: number, most: number, hint?: string): Field => ({
  type: 'count',
  id,
  label,
  path: at(id),
  least,
  most,
  ...(hint ? { hint } : {}),
})

interface LengthExtras {
  readonly step?: number
  readonly hint?: string
  readonly mayMove?: number
}

export const lengthField = (
  id: string,
  label: string,
  least: number,
  most: number,
  { step = 0.5, ...rest }: LengthExtras = {},
): Field => ({ type: 'length', id, label, path: at(id), least, most, step, ...rest })

export const shareField = (id: string, label: string, hint: string, most = 1, step = 0.05): Field => ({
  type: 'share',
  id,
  label,
  path: at(id),
  least: 0,
  most,
  step,
  hint,
})

/** A menu; each choice as value, label and the reason to take it. */
export const choiceField = (
  id: string,
  label: string,
  choices: readonly (readonly [string, string, string])[],
): Field => ({
  type: 'choice',
  id,
  label,
  path: at(id),
  choices: choices.map(([value, name, why]): Choice => ({ value, label: name, why })),
})

export const MARGIN_FIELD = lengthField('margin', 'margin', 1.5, 10, {
  step: 0.1,
  mayMove: 0.6,
  hint: 'from the finished edge to the stitch line',
})
export const CORNER_FIELD = lengthField('corner', 'corner radius', 0, 25)
export const TRIM_FIELD = lengthField('trim', 'cut extra and trimmed after sewing', 0, 5)
export const FINISH_FIELD = choiceField('finish', 'finish of the edges', [
  ['burnished', 'burnished', 'bevelled, rubbed and waxed; for vegetable tanned leather'],
  ['painted', 'painted', 'thin coats sanded between; for chrome tanned or mixed leather'],
])
/** What every sewn and edged thing asks. */
export const EDGE_FIELDS: readonly Field[] = [MARGIN_FIELD, CORNER_FIELD, TRIM_FIELD, FINISH_FIELD]

export const NOTE_FIELDS: readonly Field[] = [
  {
    type: 'choice',
    id: 'currency',
    label: 'notes to carry',
    path: at('currency'),
    choices: [
      { value: 'none', label: 'no notes', why: 'the size follows the cards alone' },
      ...CURRENCIES.map((c) => ({ value: c.id, label: `${c.name} notes`, why: c.source })),
    ],
  },
  countField('notes', 'number of notes', 0, 60),
]
