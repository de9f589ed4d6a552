import { circleShape, needed, plainPanel, present, rectangleShape } from '../../kinds/index.js'
import type { Panel } from '../../master/index.js'
import { choice, length, settings } from '../../settings/index.js'
import type { HardwareSort } from '../../stores/index.js'
import { given } from '../../working/index.js'
import { below, lyingAt } from '../place.js'
import { type AddedSort, type Asked, type Brought, type Lying, defineSort, flat } from '../sort.js'
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

/** The side its other end comes out on. */
const otherEnd = (p: { readonly head: string }): 'grain' | 'flesh' => (p.head === 'grain' ? 'flesh' : 'grain')
/** What is told of its head where that isn’t on the fair side. */
const headSaid = (p: { readonly head: string }): { readonly said?: string } =>
  p.head === 'flesh' ? { said: 'head on the flesh side' } : {}

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
    make: ({ id: own, name: called, p, host }) => ({
      pieces: washerOf(own, called, { host, p }, otherEnd(p)),
      holding: { through: p.reach, ...headSaid(p) },
    }),
  })

const PRONGS = {
  ...REACH,
  ...WASHER,
  cover: choice('cover over its prongs', 'none', [
    ['none', 'nothing over its prongs', 'a lining or a second layer covers them'],
    ['sewn', 'a piece sewn over its prongs', 'after it is set; nothing scratches what is inside'],
    ['glued', 'a piece glued over its prongs', 'no seam is seen outside'],
  ]),
  past: length('cover past it on every side', 4, 40, 10),
  margin: length('seam of the cover from its edge', 1, 12, 3),
}
const PRONGS_IN_PLAY = {
  across: withWasher,
  past: (p: { readonly cover: string }) => p.cover !== 'none',
  margin: (p: { readonly cover: string }) => p.cover === 'sewn',
}
const PRONGED = settings(PRONGS, { inPlay: PRONGS_IN_PLAY })
type Pronged = typeof PRONGED.usual

/** What a part held by prongs does to its host besides. */
type Besides<P> = (asked: Asked<P>) => Pick<Brought, 'marks' | 'fits'>

/** Hardware held by prongs, and the piece that covers them. */
function pronged(own: string, called: string, { host, p, reckon, hardware }: Asked<Pronged>): Brought {
  const ware = hardware[own]
  const side = otherEnd(p)
  const washers = washerOf(own, called, { host, p }, side)
  if (p.cover === 'none' || !ware) return { pieces: washers, holding: { through: p.reach, ...headSaid(p) } }
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
    holding: { through: p.reach, before: '', under: coverId, ...headSaid(p) },
  }
}

const PRONGS_SAID =
  'It is set {reach}, its head {head}; {washer}[, {across} across]; {cover}[, {past} past it on every side][, sewn {margin} in].'

/** A sort of hardware held by prongs. */
const heldByProngs = <P extends Pronged>(
  sort: Pick<AddedSort<P>, 'name' | 'about' | 'settings' | 'says'> & { readonly id: HardwareSort },
  besides: Besides<P>,
): AddedSort =>
  defineSort<P>({
    ...sort,
    takes: 'spot',
    sided: false,
    leathers: [{ suffix: '-cover', label: 'cover', when: (p) => p.cover !== 'none' }],
    hardware: [{ suffix: '', sort: sort.id }],
    usual: { inward: 10 },
    make: (asked) => ({ ...pronged(asked.id, asked.name, asked), ...besides(asked) }),
  })

const LOCK = settings(
  {
    ...PRONGS,
    part: choice('which part of a lock', 'whole', [
      ['whole', 'set by its prongs or posts', 'a turning lock, a post, a plate'],
      ['plate', 'the plate of a tuck lock, over an opening', 'the tongue goes in there'],
      ['tongue', 'the tongue of a tuck lock, over the edge', 'clamped by screws; finish that edge first'],
    ]),
    open: length('length of the opening', 3, 90, 22),
    openHigh: length('height of the opening', 1.5, 25, 6),
    mouth: length('what its mouth takes', 0.5, 10, 3),
  },
  {
    inPlay: {
      ...PRONGS_IN_PLAY,
      open: (p) => p.part === 'plate',
      openHigh: (p) => p.part === 'plate',
      mouth: (p) => p.part === 'tongue',
    },
  },
)

/** The opening under the plate of a tuck lock; what the mouth of its tongue takes. */
const tucked: Besides<typeof LOCK.usual> = ({ id, p, host, spots, thickness, reckon }) => {
  if (p.part === 'plate')
    return {
      marks: ({ at, right }, markId) => [
        {
          type: 'slot',
          id: markId,
          at,
          angle: Math.atan2(right.y, right.x),
          length: Math.max(p.open, p.openHigh),
          punch: p.openHigh,
        },
      ],
    }
  if (p.part === 'whole') return {}
  return {
    fits: [
      {
        id: `${id}-mouth`,
        rank: 'look',
        what: `the ${host.name.toLowerCase()} in the mouth of the tongue`,
        why: 'it does not go in: skive that edge, or take a tongue with a wider mouth',
        panelId: host.id,
        keys: [],
        at: spots[0]?.at ?? { x: 0, y: 0 },
        needs: needed(reckon, `${id}.mouth.needs`, 'leather there', thickness, '§12', 'thickness'),
        has: present(reckon, `${id}.mouth`, 'its mouth', given('mouth', p.mouth), '§12'),
      },
    ],
  }
}

export const rivet = fastener('rivet', 'rivet', 'set with a hammer: holds a strap, a tab, the end of a seam')
export const burr = fastener('burr', 'burr rivet', 'trimmed and domed over a burr: what has to hold for good')
export const magnet = heldByProngs(
  {
    id: 'magnet',
    name: 'magnet',
    about: 'one half of a magnet; put the other where it meets it',
    settings: PRONGED,
    says: [PRONGS_SAID],
  },
  () => ({}),
)
export const lock = heldByProngs(
  {
    id: 'lock',
    name: 'lock',
    about: 'a part of a lock: on its prongs or posts, over an opening, or clamped over an edge',
    settings: LOCK,
    says: [`It is {part}[, {open} × {openHigh}][, up to {mouth} thick]. ${PRONGS_SAID}`],
  },
  tucked,
)

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
