import { check } from './finding.js'
import { panelOfSheet } from './hardwareClose.js'

/** Hardware that something is later sewn over: it has to be set before. */
export const hardwareCovered = check({
  code: 'hardware-covered',
  screen: 'fittings',
  find: (derived) =>
    derived.fittings
      .filter((f) => f.coveredBy.length > 0)
      .map((f) => ({
        key: `hardware-covered:${f.fitting.id}`,
        rank: 'look' as const,
        places: [{ panelId: panelOfSheet(derived, f.fitting.sheet), at: f.fitting.at }],
        about: f.fitting.name,
        data: { by: f.coveredBy.join(' and ') },
      })),
  say: ({ about, data }) => ({
    what: `The ${about} lies under the ${data.by}.`,
    why: 'Once that is sewn it can’t be reached any more: set it before, or put one of the two elsewhere.',
  }),
  fixes: () => [],
})
