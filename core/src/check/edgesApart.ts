import { firstOf, required } from '../lists/index.js'
import { giveBack } from '../design/index.js'
import { easeLimit } from '../formulas/index.js'
import { pathPlaceAt, pointMoved } from '../geometry/index.js'
import { printLength } from '../measure/index.js'
import type { Derived } from '../derived/index.js'
import type { Run } from '../stitch/index.js'
import { check } from './finding.js'

/** A pucker of this height a stitch does not show (J), mm; docs/formulas.md §7. */
const PUCKER = 0.3

/** Seams of pieces that lie apart whose edges differ by more than can be eased in; pleats are meant to. */
const uneven = ({ runs }: Derived): Run[] =>
  runs.filter((run) => {
    // A second row lies further out in both allowances: snips open in the one that is stretched there.
    if (!run.join.mate || !run.other || run.join.beside) return false
    const by = Math.abs(run.other.length - run.length - (run.join.extra ?? 0))
    return by > 0.3 && by / run.length > easeLimit(run.ways.pitch, PUCKER)
  })

/** A gusset too long or too short for what it goes round: its ends don’t come out level. */
export const edgesApart = check({
  code: 'edges-apart',
  screen: 'round',
  find: (derived) =>
    uneven(derived).flatMap((run) => {
      const laid = firstOf(derived.works).sheets.find((s) => s.sheet.id === run.join.course.sheet)
      if (laid?.sheet.type !== 'panel') return []
      const place = pathPlaceAt(run.path, run.length / 2).at
      return [
        {
          key: `edges-apart:${run.join.id}`,
          rank: 'stop' as const,
          run: run.join.id,
          places: [{ panelId: laid.sheet.panelId, at: pointMoved(place, laid.toSheet) }],
          about: run.join.name,
          data: {
            by: required(run.other, 'other').length - run.length,
            limit: easeLimit(run.ways.pitch, PUCKER) * run.length,
          },
        },
      ]
    }),
  say: ({ about, data }, unit) => ({
    what: `The edges of the ${about} differ: the other one is ${printLength(Math.abs(data.by), unit)} too ${data.by > 0 ? 'long' : 'short'}.`,
    why: `${printLength(data.limit, unit)} could be eased in unseen; the rest puckers, or its ends don’t come out level.`,
  }),
  fixes: (_finding, { design }) => {
    const own = ['gusset.length', 'bag.wide', 'bag.high', 'bag.deep'].filter((key) =>
      Object.hasOwn(design.overrides, key),
    )
    return own.length > 0
      ? [{ label: 'Give the computed sizes back', edit: giveBack('computed sizes', own) }]
      : []
  },
})
