import { pathPlaceAt, pathLength, boxCentre, pathBox } from '../geometry/index.js'
import { edgeChain } from '../master/index.js'
import { check } from './finding.js'

/** Edges that can't be cut as asked: the turn is wider than the panel, or nothing is left to cut. */
export const edgeFault = check({
  code: 'edge-fault',
  find: ({ edges }) =>
    edges.flatMap(({ panel, faults }) =>
      faults.map(({ edge, what }) => {
        const known = panel.edges.find((e) => e.id === edge)
        const path = known && edgeChain(panel, [known.id])
        return {
          key: `edge-fault:${panel.id}:${edge}:${what}`,
          rank: 'stop' as const,
          places: [
            {
              panelId: panel.id,
              at: path ? pathPlaceAt(path, pathLength(path) / 2).at : boxCentre(pathBox(panel.outline)),
            },
          ],
          about: known?.name ?? 'edge',
          data: { what, panel: panel.name.toLowerCase() },
        }
      }),
    ),
  say: ({ about, data }) =>
    data.what === 'no outline left'
      ? {
          what: `Nothing is left to cut of the ${data.panel}.`,
          why: 'What is taken off its edges is more than it is wide. The finished outline is shown instead.',
        }
      : {
          what: `The turned ${about} is wider than the ${data.panel} has room for.`,
          why: 'The cut edge would land beyond the other side. A narrower turn, or a larger panel, gives it a place to lie.',
        },
  fixes: () => [],
})
