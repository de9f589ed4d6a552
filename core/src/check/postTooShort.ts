import { printBoth, printLength } from '../measure/index.js'
import { check } from './finding.js'
import { panelOfSheet } from './hardwareClose.js'
import { required } from '../lists/index.js'

/** No post of that hardware is long enough for what it is set through. */
export const postTooShort = check({
  code: 'post-too-short',
  screen: 'fittings',
  find: (derived) =>
    derived.fittings
      .filter((f) => f.wanted !== undefined && f.post === undefined)
      .map((f) => ({
        key: `post-too-short:${f.fitting.id}`,
        rank: 'stop' as const,
        places: [{ panelId: panelOfSheet(derived, f.fitting.sheet), at: f.fitting.at }],
        about: f.fitting.name,
        data: {
          wanted: required(f.wanted, 'wanted').value,
          longest: f.hardware.posts[f.hardware.posts.length - 1] ?? 0,
          stack: required(f.stack, 'stack').value,
          ware: f.hardware.name,
          sheet: f.fitting.sheet,
        },
      })),
  say: ({ about, data }, unit) => ({
    what: `The ${about} needs a post of ${printBoth(data.wanted, data.longest, unit)[0]}; the longest ${data.ware} has ${printBoth(data.wanted, data.longest, unit)[1]}.`,
    why: `${printLength(data.stack, unit)} of leather lie there. A shorter post does not close; skive what lies there, or take other hardware.`,
  }),
  fixes: () => [],
})
