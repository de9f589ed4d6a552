import { setSkives } from '../design/index.js'
import { boxCentre, pathBox } from '../geometry/index.js'
import { printWeight } from '../measure/index.js'
import type { Check } from './finding.js'

/** A band skived by hand thinner than its leather bears, or thicker than it is. */
export const skiveTooThin: Check = {
  code: 'skive-too-thin',
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
            code: 'skive-too-thin',
            rank: 'look' as const,
            places: band.areas
              .slice(0, 1)
              .map((a) => ({ panelId: panel.id, at: boxCentre(pathBox(a.outline)) })),
            numbers: { wish, bears: leather.bears },
            words: { band: band.name, key: band.key, leather: leather.name },
          },
        ]
      }),
    )
  },
  say: ({ numbers, words }, unit) => ({
    what: `The ${words.band} would be ${printWeight(numbers.wish!, unit)}; ${words.leather} bears ${printWeight(numbers.bears!, unit)} under a stitch.`,
    why: 'The thread cuts through leather skived so thin; tape behind it helps, a thicker skive helps more.',
  }),
  fixes: ({ numbers, words }, _derived, _tryOut, unit) => [
    {
      label: `Skive it to ${printWeight(numbers.bears!, unit)} instead`,
      edit: setSkives(`skive the ${words.band}`, { [words.key!]: numbers.bears! }),
    },
  ],
}
