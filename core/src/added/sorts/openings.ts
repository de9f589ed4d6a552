import { circlePoint } from '../../geometry/index.js'
import { choice, count, length, settings } from '../../settings/index.js'
import { type AddedSort, defineSort } from '../sort.js'

const REACH = choice('how deep', 'host', [
  ['host', 'through this piece', 'the others stay whole'],
  ['all', 'through all that lies there', 'they stay true to each other: pins, rivets that hold all layers'],
])

const SLOT = settings({
  length: length('length of the slot', 2, 300, 26),
  punch: length('width of its round ends', 1, 20, 4),
  reach: REACH,
})

/** A slot with round ends: a strap, a loop or a flap's tongue goes through. */
export const slot: AddedSort = defineSort({
  id: 'slot',
  name: 'slot',
  about: 'a slot with round ends, for a strap, a loop or a tongue',
  takes: 'spot',
  sided: false,
  settings: SLOT,
  leathers: [],
  usual: { inward: 15 },
  says: ['It is {length} long, its ends punched {punch} round, {reach}.'],
  make: ({ p }) => ({
    marks: ({ at, right }, id) => [
      {
        type: 'slot',
        id,
        at,
        angle: Math.atan2(right.y, right.x),
        length: Math.max(p.length, p.punch),
        punch: p.punch,
      },
    ],
    through: p.reach === 'all',
  }),
})

const HOLES = settings(
  {
    many: count('how many holes', 1, 20, 1),
    gap: length('from hole to hole', 2, 200, 20),
    punch: length('hole', 0.5, 30, 2),
    reach: { ...REACH, usual: 'all' as const },
  },
  { inPlay: { gap: (p) => p.many > 1 } },
)

/** Holes in a row away from the edge: for a tongue, a stud, or pins that keep layers true to each other. */
export const holes: AddedSort = defineSort({
  id: 'holes',
  name: 'holes',
  about: 'one hole or a row of them: for a stud or a buckle, or for pins that keep the layers in place',
  takes: 'spot',
  sided: false,
  settings: HOLES,
  leathers: [],
  usual: { inward: 6 },
  says: ['{many} of {punch}[, {gap} from one to the next], {reach}.'],
  make: ({ p }) => ({
    marks: ({ at, down }, id) =>
      Array.from({ length: p.many }, (_, i) => ({
        type: 'hole' as const,
        id: i === 0 ? id : `${id}-${i + 1}`,
        at: circlePoint(at, i * p.gap, Math.atan2(down.y, down.x)),
        punch: p.punch,
      })),
    through: p.reach === 'all',
  }),
})
