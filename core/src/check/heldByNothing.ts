import { boxCentre, pathBox } from '../geometry/index.js'
import { check } from './finding.js'

/** A piece that was put on another with no seam, glue or hardware through it. */
export const heldByNothing = check({
  code: 'held-by-nothing',
  find: ({ design, master, fittings, works }) => {
    const sheets = works.flatMap(({ layup }) => layup.sheets).filter((s) => s.type === 'panel')
    const held = new Set([
      ...master.joins.flatMap((j) =>
        [j.course.sheet, ...j.through].length > 1 ? [j.course.sheet, ...j.through] : [],
      ),
      ...fittings.flatMap((f) => f.fitting.through.map((t) => t.sheet)),
    ])
    return Object.entries(design.added).flatMap(([id, part]) => {
      const own = sheets.filter((s) => s.panelId === id)
      const panel = master.panels.find((p) => p.id === id)
      if (!panel || own.length === 0 || own.some((s) => held.has(s.id))) return []
      return [
        {
          key: `held-by-nothing:${id}`,
          rank: 'look' as const,
          places: [{ panelId: id, at: boxCentre(pathBox(panel.outline)) }],
          about: part.name,
          data: {},
        },
      ]
    })
  },
  say: ({ about }) => ({
    what: `Nothing holds the ${about.toLowerCase()}.`,
    why: 'Put a rivet through it, or have it sewn.',
  }),
  fixes: () => [],
})
