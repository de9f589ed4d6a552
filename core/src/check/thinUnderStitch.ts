import { type LaidSheet, layersAt } from '../layup/index.js'
import type { Join } from '../master/index.js'
import { printWeight } from '../measure/index.js'
import { pointMoved } from '../geometry/index.js'
import type { Check, Finding } from './finding.js'

/** Whether a run holds this very turned border; where another run merely crosses its thin end nothing hangs on it. */
const ownRow = ({ course }: Join, laid: LaidSheet): boolean =>
  course.type === 'edges' &&
  course.sheet === laid.sheet.id &&
  laid.work!.turned.some((t) => t.edges.some((e) => course.chain.includes(e.id)))

/** Leather skived thinner, under a stitch line, than it bears; each panel once for each run. */
export const thinUnderStitch: Check = {
  code: 'thin-under-stitch',
  find: (derived) => {
    const found = new Map<string, Finding>()
    for (const run of derived.runs) {
      const work = derived.works.find((w) => w.layup.id === run.join.layup)!
      for (const hole of run.holes)
        for (const { laid, thickness } of layersAt(work, hole.at)) {
          const stock = laid.work?.stock
          if (laid.sheet.type !== 'panel' || !stock || !hole.sheets.includes(laid.sheet.id)) continue
          if (laid.part === 'turn' && !ownRow(run.join, laid)) continue
          if (thickness >= stock.bears - 1e-6 || stock.thickness < stock.bears) continue
          const wished = laid.bands.some((b) => Object.hasOwn(derived.design.skives, b.key))
          const key = `thin-under-stitch:${laid.sheet.panelId}:${run.join.twin && found.has(`thin-under-stitch:${laid.sheet.panelId}:${run.join.twin}`) ? run.join.twin : run.join.id}`
          const before = found.get(key)
          if (wished || (before && before.numbers.left! <= thickness)) continue
          found.set(key, {
            key,
            code: 'thin-under-stitch',
            rank: 'look',
            run: run.join.id,
            places: [{ panelId: laid.sheet.panelId, at: pointMoved(hole.at, laid.toSheet) }],
            numbers: { left: thickness, bears: stock.bears },
            words: {
              run: run.join.name,
              panel: laid.sheet.name,
              leather: stock.name,
              turned: laid.part === 'turn' ? 'yes' : '',
            },
          })
        }
    }
    return [...found.values()]
  },
  say: ({ numbers: n, words }, unit) => ({
    what: `The ${words.run} goes through ${words.turned ? 'the turned border' : 'a skive'} of the ${words.panel} where ${printWeight(n.left!, unit)} is left; ${words.leather} bears ${printWeight(n.bears!, unit)}.`,
    why: 'The thread cuts through so thin a skin. Sew farther from the thin end, skive less, or put tape behind it.',
  }),
  fixes: () => [],
}
