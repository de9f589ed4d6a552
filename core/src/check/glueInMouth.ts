import { type Point, isNear, pathNearest } from '../geometry/index.js'
import { type Panel, type PanelMark, edgeChain } from '../master/index.js'
import { printLength } from '../measure/index.js'
import { check } from './finding.js'

/** Something glue must keep out of, on a panel. */
interface Opening {
  readonly id: string
  readonly at: Point
  readonly what: string
}

/** A hole that a cut ends in relieves a corner of an allowance: glue does no harm there. */
const relieves = ({ marks = [] }: Panel, { at, punch }: PanelMark & { type: 'hole' }): boolean =>
  marks.some((m) => m.type === 'cuts' && m.paths.some((path) => pathNearest(path, at).distance <= punch / 2))

const openingsOf = (panel: Panel): Opening[] =>
  (panel.marks ?? []).flatMap((m) =>
    m.type === 'slot' || (m.type === 'hole' && !relieves(panel, m))
      ? [{ id: m.id, at: m.at, what: m.type }]
      : [],
  )

/** Glue that would run into a slot or a hole: it closes it, or comes out at the front. */
export const glueInMouth = check({
  code: 'glue-in-mouth',
  find: ({ master, panels, works, fittings }) => {
    const seen = new Set<string>()
    const hardwareOn = (sheet: string): Opening[] =>
      fittings
        .filter((f) => f.wanted && f.fitting.sheet === sheet)
        .map((f) => ({ id: f.fitting.id, at: f.fitting.at, what: `hole of the ${f.fitting.name}` }))
    return master.joins.flatMap((join) =>
      join.glue.flatMap((glue) => {
        const sheet = works.flatMap((w) => w.sheets).find((s) => s.sheet.id === glue.sheet)?.sheet
        const panel = sheet?.type === 'panel' ? panels.find((q) => q.id === sheet.panelId) : undefined
        if (!panel || !glue.chain.every((id) => panel.edges.some((e) => e.id === id))) return []
        const edge = edgeChain(panel, glue.chain)
        return [...openingsOf(panel), ...hardwareOn(glue.sheet)]
          .filter((m) => isNear(edge, m.at, glue.limit) && !seen.has(`${panel.id} ${m.id}`))
          .map((m) => {
            seen.add(`${panel.id} ${m.id}`)
            return {
              key: `glue-in-mouth:${panel.id}:${m.id}`,
              rank: 'look' as const,
              places: [{ panelId: panel.id, at: m.at }],
              about: m.what,
              data: { limit: glue.limit, panel: panel.name.toLowerCase() },
            }
          })
      }),
    )
  },
  say: ({ about, data }, unit) => ({
    what: `Glue ${printLength(data.limit, unit)} wide would run into the ${about} on the ${data.panel}.`,
    why: 'It closes the slot, or comes out at the front. Leave the glue out round it.',
  }),
  fixes: () => [],
})
