import { setField } from '../design/index.js'
import { fieldsOf } from '../kinds/index.js'
import type { Check, Fix } from './finding.js'

/** What a kind itself warns of. */
export const concern: Check = {
  code: 'concern',
  find: ({ master }) =>
    (master.concerns ?? []).map((c) => ({
      key: `concern:${c.id}`,
      code: 'concern',
      rank: c.rank,
      places: [{ panelId: c.panelId, at: c.at }],
      numbers: {},
      words: { id: c.id, what: c.what, why: c.why },
    })),
  say: ({ words }) => ({ what: `${words.what}.`, why: words.why! }),
  fixes: ({ words }, { master, kind }): Fix[] => {
    const remedy = master.concerns?.find((c) => c.id === words.id)?.remedy
    const field = remedy && fieldsOf(kind).find((f) => f.id === remedy.field)
    if (!remedy || !field) return []
    const said = remedy.said.charAt(0).toUpperCase() + remedy.said.slice(1)
    return [{ label: said, edit: setField(remedy.said, field.path, remedy.value) }]
  },
}
