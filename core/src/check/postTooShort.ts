import { printLength } from '../measure/index.js'
import type { Check } from './finding.js'
import { panelOfSheet } from './hardwareClose.js'

/** No post of that hardware is long enough for what it is set through. */
export const postTooShort: Check = {
  code: 'post-too-short',
  find: (derived) =>
    derived.fittings
      .filter((f) => f.wanted !== undefined && f.post === undefined)
      .map((f) => ({
        key: `post-too-short:${f.fitting.id}`,
        code: 'post-too-short',
        rank: 'stop' as const,
        places: [{ panelId: panelOfSheet(derived, f.fitting.sheet), at: f.fitting.at }],
        numbers: {
          wanted: f.wanted!.value,
          longest: f.hardware.posts[f.hardware.posts.length - 1] ?? 0,
          stack: f.stack!.value,
        },
        words: { name: f.fitting.name, ware: f.hardware.name, sheet: f.fitting.sheet },
      })),
  say: ({ numbers, words }, unit) => ({
    what: `The ${words.name} needs a post of ${printLength(numbers.wanted!, unit)}; the longest ${words.ware} has ${printLength(numbers.longest!, unit)}.`,
    why: `${printLength(numbers.stack!, unit)} of leather lie there. A shorter post does not close; skive what lies there, or take other hardware.`,
  }),
  fixes: () => [],
}
