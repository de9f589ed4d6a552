import { setField } from '../design/index.js'
import { printLength } from '../measure/index.js'
import { strapsOf } from '../wholeWork.js'
import type { Check } from './finding.js'

/** A strap longer than any straight run on the hides on the shelf. */
export const strapTooLong: Check = {
  code: 'strap-too-long',
  find: (derived) =>
    strapsOf(derived).flatMap((run) => {
      if (run.longest === undefined || run.length.value <= run.longest) return []
      return [
        {
          key: `strap-too-long:${run.panelId}`,
          code: 'strap-too-long',
          rank: 'look' as const,
          places: [{ panelId: run.panelId, at: { x: 5, y: run.length.value / 2 } }],
          numbers: { length: run.length.value, longest: run.longest },
          words: { name: run.name, leather: run.leather },
        },
      ]
    }),
  say: ({ numbers, words }, unit) => ({
    what: `The ${words.name} is ${printLength(numbers.length!, unit)} long; what lies on the shelf of ${words.leather} gives one run of about ${printLength(numbers.longest!, unit)}.`,
    why: 'Join it of two pieces: a long lap, both skived, sewn along the pull; or buy a longer part of a hide.',
  }),
  fixes: (_finding, { kind }) =>
    kind.fields.some((f) => f.id === 'strapJoin')
      ? [
          {
            label: 'Join it of two pieces',
            edit: setField('join it of two pieces', ['params', 'strapJoin'], 'joined'),
          },
        ]
      : [],
}
