import { setField } from '../design/index.js'
import { printLength } from '../measure/index.js'
import { strapsOf } from '../derived/index.js'
import { check } from './finding.js'

/** A strap longer than any straight run on the hides it is cut from. */
export const strapTooLong = check({
  code: 'strap-too-long',
  screen: 'fittings',
  find: (derived) =>
    strapsOf(derived).flatMap((run) => {
      if (run.longest === undefined || run.length.value <= run.longest) return []
      return [
        {
          key: `strap-too-long:${run.panelId}`,
          rank: 'look' as const,
          places: [{ panelId: run.panelId, at: { x: 5, y: run.length.value / 2 } }],
          about: run.name,
          data: { length: run.length.value, longest: run.longest, leather: run.leather },
        },
      ]
    }),
  say: ({ about, data }, unit) => ({
    what: `The ${about} is ${printLength(data.length, unit)} long; the hides of ${data.leather} give one run of about ${printLength(data.longest, unit)}.`,
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
})
