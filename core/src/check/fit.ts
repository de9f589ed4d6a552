import { giveBack, setField } from '../design/index.js'
import { fieldsOf } from '../kinds/index.js'
import { printLength } from '../measure/index.js'
import { type Fix, check } from './finding.js'
import { required } from '../lists/index.js'

/** Sizes nearer than this are taken as equal, mm. */
const SLACK = 0.05

/** Contents that don't fit, or can't be got out. */
export const fit = check({
  code: 'fit',
  screen: 'brief',
  find: ({ master }) =>
    master.fits
      .filter(({ needs, has }) => has.value < needs.value - SLACK)
      .map((f) => ({
        key: `fit:${f.id}`,
        rank: f.rank,
        places: [{ panelId: f.panelId, at: f.at }],
        about: f.what,
        data: { needs: f.needs.value, has: f.has.value, id: f.id, why: f.why },
      })),
  say: ({ about, data }, unit) => ({
    what: `Room for ${about}: ${printLength(data.has, unit)}, needed ${printLength(data.needs, unit)}.`,
    why: `As it is, ${data.why}.`,
  }),
  fixes: ({ data }, { master, design, kind }, _tryOut, unit): Fix[] => {
    const own = master.fits.find((f) => f.id === data.id)
    if (!own) return []
    const keys = own.keys.filter((key) => Object.hasOwn(design.overrides, key))
    const back =
      keys.length > 0
        ? [{ label: 'Give the computed size back', edit: giveBack(`size for ${own.what}`, keys) }]
        : []
    const field = own.remedy && fieldsOf(kind).find((f) => f.id === required(own.remedy, 'remedy').field)
    if (!field || !own.remedy) return back
    const { value } = own.remedy
    const said = `${field.label} ${field.type === 'count' ? String(value) : printLength(value, unit)}`
    return [...back, { label: capital(said), edit: setField(said, field.path, value) }]
  },
})

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1)
