import { type LaidSheet, layersAt, laidUpOf } from '../layup/index.js'
import type { Join } from '../master/index.js'
import type { Hole } from '../stitch/index.js'
import { printWeight } from '../measure/index.js'
import { pointMoved } from '../geometry/index.js'
import { type Found, check } from './finding.js'
import { required } from '../lists/index.js'

/** Thicknesses mm. */
export interface Thin {
  readonly left: number
  readonly bears: number
  readonly panel: string
  readonly leather: string
  readonly turned: boolean
}

/** Whether a run holds this very turned border; where another run merely crosses its thin end nothing hangs on it. */
const ownRow = ({ course }: Join, laid: LaidSheet): boolean =>
  course.type === 'edges' &&
  course.sheet === laid.sheet.id &&
  required(laid.work, 'work').turned.some((t) => t.edges.some((e) => course.chain.includes(e.id)))

/** Thin leather between two that bear the stitch: the thread pulls on those. */
function between(hole: Hole, layers: ReturnType<typeof layersAt>, at: number): boolean {
  const bears = ({ laid, thickness }: (typeof layers)[number]): boolean =>
    hole.sheets.includes(laid.sheet.id) &&
    laid.work?.stock !== undefined &&
    thickness >= laid.work.stock.bears - 1e-6
  return layers.slice(0, at).some(bears) && layers.slice(at + 1).some(bears)
}

/** Leather skived thinner, under a stitch line, than it bears; each panel once for each run. */
export const thinUnderStitch = check({
  code: 'thin-under-stitch',
  screen: 'relief',
  find: (derived) => {
    const found = new Map<string, Found<Thin>>()
    for (const run of derived.runs) {
      const work = laidUpOf(derived.works, run.join.layup)
      for (const hole of run.holes) {
        const layers = layersAt(work, hole.at)
        for (const [at, { laid, thickness }] of layers.entries()) {
          const stock = laid.work?.stock
          if (laid.sheet.type !== 'panel' || !stock || !hole.sheets.includes(laid.sheet.id)) continue
          if (laid.part === 'turn' && !ownRow(run.join, laid)) continue
          if (thickness >= stock.bears - 1e-6 || stock.thickness < stock.bears) continue
          if (between(hole, layers, at)) continue
          const wished = laid.bands.some((b) => Object.hasOwn(derived.design.skives, b.key))
          const key = `thin-under-stitch:${laid.sheet.panelId}:${run.join.twin && found.has(`thin-under-stitch:${laid.sheet.panelId}:${run.join.twin}`) ? run.join.twin : run.join.id}`
          const before = found.get(key)
          if (wished || (before && before.data.left <= thickness)) continue
          found.set(key, {
            key,
            rank: 'look' as const,
            run: run.join.id,
            places: [{ panelId: laid.sheet.panelId, at: pointMoved(hole.at, laid.toSheet) }],
            about: run.join.name,
            data: {
              left: thickness,
              bears: stock.bears,
              panel: laid.sheet.name,
              leather: stock.name,
              turned: laid.part === 'turn',
            },
          })
        }
      }
    }
    return [...found.values()]
  },
  say: ({ about, data }, unit) => ({
    what: `The ${about} goes through ${data.turned ? 'the turned border' : 'a skive'} of the ${data.panel} where ${printWeight(data.left, unit)} is left; ${data.leather} bears ${printWeight(data.bears, unit)}.`,
    why: 'The thread cuts through so thin a skin. Sew farther from the thin end, skive less, or put tape behind it.',
  }),
  fixes: () => [],
})
