import { circleShape, plainPanel } from '../../kinds/index.js'
import { choice, length, settings } from '../../settings/index.js'
import type { HardwareSort } from '../../stores/index.js'
import { below, lyingAt } from '../place.js'
import { type AddedSort, defineSort, flat } from '../sort.js'
import { cutEdge } from './common.js'

const SETTINGS = settings(
  {
    reach: choice('what it goes through', 'all', [
      ['all', 'through all that lies there', 'it holds the layers together'],
      ['host', 'through this piece only', 'and what was put on it before'],
    ]),
    head: choice('its head', 'grain', [
      ['grain', 'on the grain side', 'the fair side of it is seen outside'],
      ['flesh', 'on the flesh side', 'where the flesh side is what is seen'],
    ]),
    washer: choice('leather washer', 'none', [
      ['none', 'without a washer', 'for firm leather and wide caps'],
      [
        'one',
        'a leather washer under its other end',
        'cut from an offcut: it does not pull through soft leather',
      ],
    ]),
    across: length('washer across', 6, 60, 16),
  },
  { inPlay: { across: (p) => p.washer === 'one' } },
)

/** Hardware that is set through a hole, with its washer of leather. */
const fastener = (id: HardwareSort, name: string, about: string): AddedSort =>
  defineSort({
    id,
    name,
    about,
    takes: 'spot',
    sided: false,
    settings: SETTINGS,
    leathers: [],
    hardware: id,
    usual: { inward: 10 },
    says: ['It is set {reach}, its head {head}; {washer}[, {across} across].'],
    make: ({ id: own, name: called, p, host }) => {
      const side = p.head === 'grain' ? 'flesh' : 'grain'
      const washer =
        p.washer === 'one'
          ? plainPanel({
              id: `${own}-washer`,
              name: `Washer of the ${called.toLowerCase()}`,
              role: host.role,
              notes: ['from an offcut'],
              ...circleShape(p.across, () => cutEdge('left')),
            })
          : undefined
      return {
        pieces: washer
          ? [
              {
                panel: washer,
                side,
                lies: (spot) => flat(lyingAt(below(spot, -p.across / 2), p.across / 2, side)),
                joins: () => [],
              },
            ]
          : [],
        holding: {
          through: p.reach,
          ...(p.head === 'flesh' ? { said: 'head on the flesh side' } : {}),
        },
      }
    },
  })

export const rivet = fastener('rivet', 'rivet', 'set with a hammer: holds a strap, a tab, the end of a seam')
export const burr = fastener('burr', 'burr rivet', 'trimmed and domed over a burr: what has to hold for good')
export const magnet = fastener('magnet', 'magnet', 'one half of a magnet; put the other where it meets it')
export const lock = fastener('lock', 'lock', 'a part of a lock, on its prongs or posts')

const SNAP = settings({
  half: choice('which half', 'upper', [
    ['upper', 'the upper half', 'cap and socket: on what closes'],
    ['lower', 'the lower half', 'stud and post: on what it closes on'],
  ]),
  reach: choice('what it goes through', 'host', [
    ['host', 'through this piece only', 'and what was put on it before'],
    ['all', 'through all that lies there', 'it holds the layers together'],
  ]),
})

/** Half of a snap. */
export const snap: AddedSort = defineSort({
  id: 'snap',
  name: 'snap',
  about: 'one half of a snap; put the other where it meets it',
  takes: 'spot',
  sided: false,
  settings: SNAP,
  leathers: [],
  hardware: 'snap',
  usual: { inward: 15 },
  says: ['It is {half}, set {reach}.'],
  make: ({ p }) => ({ holding: { through: p.reach, half: p.half } }),
})
