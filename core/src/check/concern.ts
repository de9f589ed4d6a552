import { required } from '../lists/index.js'
import { fieldsOf } from '../kinds/index.js'
import { type Units, printLength } from '../measure/index.js'
import { type Fix, check } from './finding.js'

/** A sentence with its lengths put in, in the maker's units. */
const filledIn = (text: string, lengths: Readonly<Record<string, number>>, unit: Units): string =>
  text.replace(/\{(\w+)\}/g, (_, name: string) => printLength(required(lengths[name], name), unit))

/** What a kind itself warns of. */
export const concern = check({
  code: 'concern',
  find: ({ master }) =>
    (master.concerns ?? []).map((c) => ({
      key: `concern:${c.id}`,
      rank: c.rank,
      places: [{ panelId: c.panelId, at: c.at }],
      about: c.id,
      data: { lengths: c.lengths ?? {}, what: c.what, why: c.why },
    })),
  say: ({ data }, unit) => ({
    what: `${filledIn(data.what, data.lengths, unit)}.`,
    why: filledIn(data.why, data.lengths, unit),
  }),
  fixes: ({ about, data }, { master, kind }, _tryOut, unit): Fix[] => {
    const remedy = master.concerns?.find((c) => c.id === about)?.remedy
    if (!remedy) return []
    const changes = [remedy, ...(remedy.and ? [remedy.and] : [])].flatMap(({ field, value }) => {
      const path = fieldsOf(kind).find((f) => f.id === field)?.path
      return path ? [{ path, value }] : []
    })
    if (changes.length === 0) return []
    const said = filledIn(remedy.said, data.lengths, unit)
    return [{ label: said.charAt(0).toUpperCase() + said.slice(1), edit: { name: said, changes } }]
  },
})
