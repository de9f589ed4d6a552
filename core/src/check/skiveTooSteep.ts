import { firstOf } from '../lists/index.js'
import { skivingsOf } from '../edges/index.js'
import { boxCentre, pathBox, pathLength, pathPlaceAt } from '../geometry/index.js'
import { edgeChain } from '../master/index.js'
import { printLength, printWeight } from '../measure/index.js'
import { check } from './finding.js'

/** A skive that no tool at the bench makes well. */
export const skiveTooSteep = check({
  code: 'skive-too-steep',
  screen: 'relief',
  find: ({ edges }) =>
    edges.flatMap((work) =>
      skivingsOf(work)
        .filter((s) => s.tools.every((t) => t.not !== undefined))
        .map((s) => {
          const { panel } = work
          const chain =
            panel.skives?.find((k) => k.key === s.key)?.chain ??
            work.turned
              .find((t) => s.key === `${panel.id}.${firstOf(t.edges).id}.turn`)
              ?.edges.map((e) => e.id)
          const path = chain && edgeChain(panel, chain)
          return {
            key: `skive-too-steep:${s.key}`,
            rank: 'look' as const,
            places: [
              {
                panelId: panel.id,
                at: path ? pathPlaceAt(path, pathLength(path) / 2).at : boxCentre(pathBox(panel.outline)),
              },
            ],
            about: s.name,
            data: {
              width: s.width,
              thin: Math.min(s.start, s.end),
              slope: s.slope,
              why: s.tools.map((t) => `${t.tool}: ${t.not}`).join('; '),
            },
          }
        }),
    ),
  say: ({ about, data }, unit) => ({
    what: `The ${about} goes down to ${printWeight(data.thin, unit)} over ${printLength(data.width, unit)}, ${Math.round((data.slope * 180) / Math.PI)}° steep; no tool does that well.`,
    why: `${data.why}. A wider skive, or one that leaves more, can be made evenly.`,
  }),
  fixes: () => [],
})
