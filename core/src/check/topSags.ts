import { setField } from '../design/index.js'
import { printLength } from '../measure/index.js'
import type { Check } from './finding.js'

/** A single edge of leather stands up over so many times its thickness (J); docs/formulas.md §20. */
const STANDS = { soft: 150, medium: 220, firm: 400 } as const

/** A wide open top in a single layer sags. */
export const topSags: Check = {
  code: 'top-sags',
  find: ({ design, master }) => {
    const { params, leathers } = design
    const leather = leathers.body
    const { room } = master
    if (!room || !leather || params.top !== 'single' || params.flap !== 'none' || params.closure === 'zip')
      return []
    const least = STANDS[leather.temper] * leather.thickness
    if (room.wide.value <= least) return []
    return [
      {
        key: 'top-sags',
        code: 'top-sags',
        rank: 'look' as const,
        places: [{ panelId: room.panelId, at: { x: room.wide.value / 2, y: 4 } }],
        numbers: { wide: room.wide.value, least, thickness: leather.thickness },
        words: { leather: leather.name, temper: leather.temper },
      },
    ]
  },
  say: ({ numbers, words }, unit) => ({
    what: `The top is single and ${printLength(numbers.wide!, unit)} wide; ${words.leather}, ${words.temper}, stands up over about ${printLength(numbers.least!, unit)}.`,
    why: 'A wider mouth sags and gapes. Double it with a band, or roll it.',
  }),
  fixes: () => [
    {
      label: 'Double the top with a band',
      edit: setField('double the top with a band', ['params', 'top'], 'doubled'),
    },
    { label: 'Roll the top', edit: setField('roll the top', ['params', 'top'], 'rolled') },
  ],
}
