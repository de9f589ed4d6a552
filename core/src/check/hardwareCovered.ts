import type { Check } from './finding.js'
import { panelOfSheet } from './hardwareClose.js'

/** Hardware that something is later sewn over: it has to be set before. */
export const hardwareCovered: Check = {
  code: 'hardware-covered',
  find: (derived) =>
    derived.fittings
      .filter((f) => f.coveredBy.length > 0)
      .map((f) => ({
        key: `hardware-covered:${f.fitting.id}`,
        code: 'hardware-covered',
        rank: 'look' as const,
        places: [{ panelId: panelOfSheet(derived, f.fitting.sheet), at: f.fitting.at }],
        numbers: {},
        words: { name: f.fitting.name, by: f.coveredBy.join(' and ') },
      })),
  say: ({ words }) => ({
    what: `The ${words.name} lies under the ${words.by}.`,
    why: 'Once that is sewn it can’t be reached any more: set it before, or put one of the two elsewhere.',
  }),
  fixes: () => [],
}
