import { firstOf } from '../lists/index.js'
import { roundTo } from '../measure/index.js'
import { hangingOf } from '../derived/index.js'
import { check } from './finding.js'

/** A bag that leans further than this when it hangs is seen to, degrees (J). */
const LEANS = 8
/** Further than this it chafes and spills, degrees (J). */
const SEEN = 15

/** What it hangs from is not above where it balances. */
export const hangsLevel = check({
  code: 'hangs-level',
  screen: 'round',
  find: (derived) =>
    hangingOf(derived)
      .filter((h) => Math.abs(h.tilt) > LEANS)
      .map((h) => ({
        key: `hangs-level:${h.name}`,
        rank: Math.abs(h.tilt) > SEEN ? ('look' as const) : ('tip' as const),
        places: [
          { panelId: derived.master.room?.panelId ?? firstOf(derived.panels).id, at: { x: 20, y: 20 } },
        ],
        about: h.name,
        data: { tilt: h.tilt },
      })),
  say: ({ about, data }) => ({
    what: `Hung from its ${about} it leans ${roundTo(Math.abs(data.tilt), 0)}° to the ${data.tilt > 0 ? 'front' : 'back'}.`,
    why: 'The balance comes to lie under the strap. Move the rings over it, or carry the heavy things on the other side.',
  }),
  fixes: () => [],
})
