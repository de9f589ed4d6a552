import { giveBack, setField } from '../design/index.js'
import { fieldsOf } from '../kinds/index.js'
import { printLength } from '../measure/index.js'
import type { Check, Fix } from './finding.js'

/** Sizes nearer than this are taken as equal, mm. */
const SLACK = 0.05

/** Contents that don't fit, or can't be got out. */
export const fit: Check = {
  code: 'fit',
  find: ({ master }) =>
    master.fits
      .filter(({ needs, has }) => has.value < needs.value - SLACK)
      .map((f) => ({
        key: `fit:${f.id}`,
        code: 'fit',
        rank: f.rank,
        places: [{ panelId: f.panelId, at: f.at }],
        numbers: { needs: f.needs.value, has: f.has.value },
        words: { id: f.id, what: f.what, why: f.why },
      })),
  say: ({ numbers, words }, unit) => ({
    what: `Room for ${words.what}: ${printLength(numbers.has!, unit)}, needed ${printLength(numbers.needs!, unit)}.`,
    why: `As it is, ${words.why}.`,
  }),
  fixes: ({ words }, { master, design, kind }, _tryOut, unit): Fix[] => {
    const own = master.fits.find((f) => f.id === words.id)
    if (!own) return []
    const keys = own.keys.filter((key) => Object.hasOwn(design.overrides, key))
    const back =
      keys.length > 0
        ? [{ label: 'Give the computed size back', edit: giveBack(`size for ${own.what}`, keys) }]
        : []
    const field = own.remedy && fieldsOf(kind).find((f) => f.id === own.remedy!.field)
    if (!field || !own.remedy) return back
    const { value } = own.remedy
    const said = `${field.label} ${field.type === 'count' ? String(value) : printLength(value, unit)}`
    return [...back, { label: capital(said), edit: setField(said, field.path, value) }]
  },
}

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1)
