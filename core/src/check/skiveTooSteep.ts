import { firstOf } from '../lists/index.js'
import { type SkiveChange, type SkiveSteps, skiveChanges, skivingsOf } from '../edges/index.js'
import { boxCentre, pathBox, pathLength, pathPlaceAt } from '../geometry/index.js'
import { edgeChain } from '../master/index.js'
import { INCH, OUNCE, type Units, printLength, printWeight, systemOf } from '../measure/index.js'
import { check } from './finding.js'

/** Steps that are told as they are in the maker's units: a figure rounded for the telling might not do. */
export const stepsIn = (unit: Units): SkiveSteps => ({
  width: systemOf(unit) === 'mm' ? 0.5 : INCH / 32,
  thickness: systemOf(unit, 'thickness') === 'mm' ? 0.05 : OUNCE / 10,
})

/** “At least 4.0 mm wide, or leaving 0.60 mm or more, it can be made evenly.” */
function changesSaid(changes: readonly SkiveChange[], unit: Units): string {
  const said = changes.map(({ what, to }) =>
    what === 'thicker'
      ? `leaving ${printWeight(to, unit)} or more`
      : `${what === 'wider' ? 'at least' : 'no more than'} ${printLength(to, unit)} wide`,
  )
  if (said.length === 0) return 'Thinned all over instead, or left as it is, it can be made.'
  const all = said.join(', or ')
  return `${all.charAt(0).toUpperCase()}${all.slice(1)}, it can be made evenly.`
}

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
              skive: { width: s.width, start: s.start, end: s.end, alongEdge: s.alongEdge },
            },
          }
        }),
    ),
  say: ({ about, data }, unit) => ({
    what: `The ${about} goes down to ${printWeight(data.thin, unit)} over ${printLength(data.width, unit)}, ${Math.round((data.slope * 180) / Math.PI)}° steep; no tool does that well.`,
    why: `${data.why}. ${changesSaid(skiveChanges(data.skive, stepsIn(unit)), unit)}`,
  }),
  fixes: () => [],
})
