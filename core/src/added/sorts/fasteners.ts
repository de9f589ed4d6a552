import { circleShape, plainPanel, rectangleShape } from '../../kinds/index.js'
import type { Panel } from '../../master/index.js'
import { choice, length, settings } from '../../settings/index.js'
import type { HardwareSort } from '../../stores/index.js'
import { below, lyingAt } from '../place.js'
import { type AddedSort, type Lying, defineSort, flat } from '../sort.js'
import { allEdges, cutEdge, heldJoin, marginOf } from './common.js'

const REACH = {
  reach: choice('what it goes through', 'all', [
    ['all', 'through all that lies there', 'it holds the layers together'],
    ['host', 'through this piece only', 'and what was put on it before'],
  ]),
  head: choice('its head', 'grain', [
    ['grain', 'on the grain side', 'the fair side of it is seen outside'],
    ['flesh', 'on the flesh side', 'where the flesh side is what is seen'],
  ]),
}

const WASHER = {
  washer: choice('leather washer', 'none', [
    ['none', 'without a washer', 'for firm leather and wide caps'],
    [
      'one',
      'a leather washer under its other end',
      'cut from an offcut: it does not pull through soft leather',
    ],
  ]),
  across: length('washer across', 6, 60, 16),
}
const withWasher = (p: { readonly washer: string }): boolean => p.washer === 'one'

const SETTINGS = settings({ ...REACH, ...WASHER }, { inPlay: { across: withWasher } })

/** The washer of a part, cut from an offcut of its host, under the end that is not its head. */
function washerOf(
  own: string,
  called: string,
  { host, p }: { readonly host: Panel; readonly p: { readonly washer: string; readonly across: number } },
  side: 'grain' | 'flesh',
): readonly Lying[] {
  if (!withWasher(p)) return []
  const panel = plainPanel({
    id: `${own}-washer`,
    name: `Washer of the ${called.toLowerCase()}`,
    role: host.role,
    notes: ['from an offcut'],
    ...circleShape(p.across, () => cutEdge('left')),
  })
  return [
    {
      panel,
      side,
      lies: (spot) => flat(lyingAt(below(spot, -p.across / 2), p.across / 2, side)),
      joins: () => [],
    },
  ]
}

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
    hardware: [{ suffix: '', sort: id }],
    usual: { inward: 10 },
    says: ['It is set {reach}, its head {head}; {washer}[, {across} across].'],
    make: ({ id: own, name: called, p, host }) => {
      const side = p.head === 'grain' ? 'flesh' : 'grain'
      return {
        pieces: washerOf(own, called, { host, p }, side),
        holding: {
          through: p.reach,
          ...(p.head === 'flesh' ? { said: 'head on the flesh side' } : {}),
        },
      }
    },
  })

const PRONGED = settings(
  {
    ...REACH,
    ...WASHER,
    cover: choice('cover over its prongs', 'none', [
      ['none', 'nothing over its prongs', 'a lining or a second layer covers them'],
      ['sewn', 'a piece sewn over its prongs', 'after it is set; nothing scratches what is inside'],
      ['glued', 'a piece glued over its prongs', 'no seam is seen outside'],
    ]),
    past: length('cover past it on every side', 4, 40, 10),
    margin: length('seam of the cover from its edge', 1, 12, 3),
  },
  {
    inPlay: {
      across: withWasher,
      past: (p) => p.cover !== 'none',
      margin: (p) => p.cover === 'sewn',
    },
  },
)

/** Hardware that is held by prongs, and the piece that covers them. */
function pronged(id: HardwareSort, name: string, about: string): AddedSort {
  return defineSort({
    id,
    name,
    about,
    takes: 'spot',
    sided: false,
    settings: PRONGED,
    leathers: [{ suffix: '-cover', label: 'cover', when: (p) => p.cover !== 'none' }],
    hardware: [{ suffix: '', sort: id }],
    usual: { inward: 10 },
    says: [
      'It is set {reach}, its head {head}; {washer}[, {across} across]; {cover}[, {past} past it on every side][, sewn {margin} in].',
    ],
    make: ({ id: own, name: called, p, host, reckon, hardware }) => {
      const ware = hardware[own]
      const side = p.head === 'grain' ? 'flesh' : 'grain'
      const said = p.head === 'flesh' ? { said: 'head on the flesh side' } : {}
      const washers = washerOf(own, called, { host, p }, side)
      if (p.cover === 'none' || !ware) return { pieces: washers, holding: { through: p.reach, ...said } }
      const coverId = `${own}-cover`
      const [wide, high] = [ware.across + 2 * p.past, (ware.high || ware.across) + 2 * p.past]
      const r = p.past / 2
      const panel = plainPanel({
        id: coverId,
        name: `Cover of the ${called.toLowerCase()}`,
        role: coverId,
        notes: ['on after it is set'],
        ...rectangleShape(wide, high, { topLeft: r, topRight: r, footLeft: r, footRight: r }, () =>
          cutEdge('left'),
        ),
      })
      const margin = marginOf(reckon, own, Math.min(p.margin, p.past / 2))
      return {
        pieces: [
          ...washers,
          {
            panel,
            side,
            lies: (spot) => flat(lyingAt(below(spot, -high / 2), wide / 2, side)),
            joins: (names) => [
              heldJoin(names, { panel, chain: allEdges(panel), margin, glued: p.cover === 'glued' }),
            ],
          },
        ],
        // What covers it is put on later: it is set through what was there before.
        holding: { through: p.reach, before: '', under: coverId, ...said },
      }
    },
  })
}

export const rivet = fastener('rivet', 'rivet', 'set with a hammer: holds a strap, a tab, the end of a seam')
export const burr = fastener('burr', 'burr rivet', 'trimmed and domed over a burr: what has to hold for good')
export const magnet = pronged('magnet', 'magnet', 'one half of a magnet; put the other where it meets it')
export const lock = pronged('lock', 'lock', 'a part of a lock, on its prongs or posts')

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
  hardware: [{ suffix: '', sort: 'snap' }],
  usual: { inward: 15 },
  says: ['It is {half}, set {reach}.'],
  make: ({ p }) => ({ holding: { through: p.reach, half: p.half } }),
})
