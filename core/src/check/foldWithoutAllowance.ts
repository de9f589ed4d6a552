import { firstOf, required } from '../lists/index.js'
import { giveBack } from '../design/index.js'
import { pointBetween } from '../geometry/index.js'
import { printBoth } from '../measure/index.js'
import type { Reckoned } from '../working/index.js'
import { check } from './finding.js'

/** Less than this share of what a fold needs is as good as none (J). */
const ENOUGH = 0.25

const written = (one: Reckoned): boolean => one.overridden && one.value < ENOUGH * one.figured

/** A fold whose allowance the maker wrote away. */
export const foldWithoutAllowance = check({
  code: 'fold-without-allowance',
  find: ({ panels }) =>
    panels.flatMap((panel) =>
      panel.folds.flatMap((fold) => {
        const culprits = fold.allowance ? [fold.allowance.full, fold.allowance.taken].filter(written) : []
        if (culprits.length === 0) return []
        return [
          {
            key: `fold-without-allowance:${panel.id}:${fold.id}`,
            rank:
              required(fold.allowance, 'allowance').taken.value <= 0.05
                ? ('stop' as const)
                : ('look' as const),
            places: [{ panelId: panel.id, at: pointBetween(fold.from, fold.to, 0.5) }],
            about: fold.name,
            data: {
              has: required(fold.allowance, 'allowance').taken.value,
              figured: firstOf(culprits).figured,
              panel: panel.name,
              keys: culprits.map((c) => c.key).join(' '),
              label: firstOf(culprits).label,
            },
          },
        ]
      }),
    ),
  say: ({ about, data }, unit) => ({
    what: `The ${data.panel.toLowerCase()} has ${printBoth(data.has, data.figured, unit)[0]} for the ${about}; the working says ${printBoth(data.has, data.figured, unit)[1]}.`,
    why: 'It will not fold flat: the inside buckles, or the seams pull at the fold until they tear.',
  }),
  fixes: ({ data }) => [
    { label: 'Give the computed allowance back', edit: giveBack(data.label, data.keys.split(' ')) },
  ],
})
