import { fieldsOf } from '../kinds/index.js'
import { type LengthUnit, printLength } from '../measure/index.js'
import type { Check, Fix } from './finding.js'

/** A sentence with its lengths put in, in the maker's units. */
const filledIn = (text: string, lengths: Readonly<Record<string, number>>, unit: LengthUnit): string =>
  text.replace(/\{(\w+)\}/g, (_, name: string) => printLength(lengths[name]!, unit))

/** What a kind itself warns of. */
export const concern: Check = {
  code: 'concern',
  find: ({ master }) =>
    (master.concerns ?? []).map((c) => ({
      key: `concern:${c.id}`,
      code: 'concern',
      rank: c.rank,
      places: [{ panelId: c.panelId, at: c.at }],
      numbers: c.lengths ?? {},
      words: { id: c.id, what: c.what, why: c.why },
    })),
  say: ({ words, numbers }, unit) => ({
    what: `${filledIn(words.what!, numbers, unit)}.`,
    why: filledIn(words.why!, numbers, unit),
  }),
  fixes: ({ words }, { master, kind }): Fix[] => {
    const remedy = master.concerns?.find((c) => c.id === words.id)?.remedy
    if (!remedy) return []
    const changes = [remedy, ...(remedy.and ? [remedy.and] : [])].flatMap(({ field, value }) => {
      const path = fieldsOf(kind).find((f) => f.id === field)?.path
      return path ? [{ path, value }] : []
    })
    if (changes.length === 0) return []
    const said = remedy.said.charAt(0).toUpperCase() + remedy.said.slice(1)
    return [{ label: said, edit: { name: remedy.said, changes } }]
  },
}
