import { setSkives } from '../design/index.js'
import { boxCentre, pathBox } from '../geometry/index.js'
import { printWeight } from '../measure/index.js'
import { check } from './finding.js'

/** A band skived by hand thinner than its leather bears, or thicker than it is. */
export const skiveTooThin = check({
  code: 'skive-too-thin',
  screen: 'relief',
  find: ({ panels, design }) => {
    const told = new Set<string>()
    return panels.flatMap((panel) =>
      panel.bands.flatMap((band) => {
        const leather = design.leathers[panel.role]
        const wish = design.skives[band.key]
        if (
          !leather ||
          wish === undefined ||
          wish >= leather.bears ||
          band.start !== band.end ||
          told.has(band.key)
        )
          return []
        told.add(band.key)
        return [
          {
            key: `skive-too-thin:${band.key}`,
            rank: 'look' as const,
            places: band.areas
              .slice(0, 1)
              .map((a) => ({ panelId: panel.id, at: boxCentre(pathBox(a.outline)) })),
            about: band.name,
            data: { wish, bears: leather.bears, key: band.key, leather: leather.name },
          },
        ]
      }),
    )
  },
  say: ({ about, data }, unit) => ({
    what: `The ${about} would be ${printWeight(data.wish, unit)}; ${data.leather} bears ${printWeight(data.bears, unit)} under a stitch.`,
    why: 'The thread cuts through leather skived so thin; tape behind it helps, a thicker skive helps more.',
  }),
  fixes: ({ about, data }, _derived, _tryOut, unit) => [
    {
      label: `Skive it to ${printWeight(data.bears, unit)} instead`,
      edit: setSkives(`skive the ${about}`, { [data.key]: data.bears }),
    },
  ],
})
