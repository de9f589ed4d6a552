import { length, settings } from '../../settings/index.js'
import { type AddedSort, defineSort } from '../sort.js'

const SETTINGS = settings({
  wide: length('width of the stamp', 3, 200, 20),
  high: length('height of the stamp', 3, 200, 12),
})

/** The maker's mark or an ornament, stamped into the grain before anything is sewn to the piece. */
export const stamp: AddedSort = defineSort({
  id: 'stamp',
  name: 'stamp',
  about: 'your mark or an ornament, stamped into the grain where nothing will cover it',
  takes: 'spot',
  sided: false,
  settings: SETTINGS,
  leathers: [],
  usual: { inward: 15 },
  says: ['It is {wide} wide and {high} high.'],
  make: ({ p, name }) => ({
    marks: ({ at, right, down }, id) => [
      {
        type: 'stamp',
        id,
        at: { x: at.x + (down.x * p.high) / 2, y: at.y + (down.y * p.high) / 2 },
        angle: Math.atan2(right.y, right.x),
        wide: p.wide,
        high: p.high,
        name: name.toLowerCase(),
      },
    ],
  }),
})
