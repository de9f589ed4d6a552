import { pathNearest } from '../geometry/index.js'
import { edgeChain } from '../master/index.js'
import { printLength } from '../measure/index.js'
import type { Check } from './finding.js'

/** Glue that would run into a slot or a hole: it closes it, or comes out at the front. */
export const glueInMouth: Check = {
  code: 'glue-in-mouth',
  find: ({ master, panels, works }) => {
    const seen = new Set<string>()
    return master.joins.flatMap((join) =>
      join.glue.flatMap((glue) => {
        const sheet = works.flatMap((w) => w.sheets).find((s) => s.sheet.id === glue.sheet)?.sheet
        const panel = sheet?.type === 'panel' ? panels.find((q) => q.id === sheet.panelId) : undefined
        if (!panel || !glue.chain.every((id) => panel.edges.some((e) => e.id === id))) return []
        const edge = edgeChain(panel, glue.chain)
        return (panel.marks ?? [])
          .filter((m) => m.type === 'slot' || m.type === 'hole' || m.type === 'hardware')
          .filter((m) => pathNearest(edge, m.at).distance < glue.limit && !seen.has(`${panel.id} ${m.id}`))
          .map((m) => {
            seen.add(`${panel.id} ${m.id}`)
            return {
              key: `glue-in-mouth:${panel.id}:${m.id}`,
              code: 'glue-in-mouth',
              rank: 'look' as const,
              places: [{ panelId: panel.id, at: m.at }],
              numbers: { limit: glue.limit },
              words: { panel: panel.name.toLowerCase(), what: m.type === 'slot' ? 'slot' : 'hole' },
            }
          })
      }),
    )
  },
  say: ({ numbers, words }, unit) => ({
    what: `Glue ${printLength(numbers.limit!, unit)} wide would run into a ${words.what} of the ${words.panel}.`,
    why: 'It closes the slot, or comes out at the front. Leave the glue out round it.',
  }),
  fixes: () => [],
}
