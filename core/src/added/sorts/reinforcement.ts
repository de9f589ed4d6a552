import { plainPanel, rectangleShape } from '../../kinds/index.js'
import { length, settings } from '../../settings/index.js'
import { lyingAt } from '../place.js'
import { type AddedSort, defineSort, flat } from '../sort.js'
import { allEdges, cutEdge, heldJoin, marginOf } from './common.js'

const SETTINGS = settings({
  wide: length('width of the reinforcement', 6, 600, 30),
  high: length('height of the reinforcement', 6, 600, 30),
  corner: length('rounding of its corners', 0, 60, 4),
})

/** How far in from its border glue reaches, mm. */
const GLUED = 3

/** A piece glued behind another where it is pulled: under a rivet, a lock, the end of a strap. */
export const reinforcement: AddedSort = defineSort({
  id: 'reinforcement',
  name: 'reinforcement',
  about: 'a piece glued on where it is pulled: under a rivet, a lock, the end of a strap',
  takes: 'spot',
  sided: true,
  settings: SETTINGS,
  leathers: [{ suffix: '', label: 'reinforcement' }],
  usual: { inward: 20, side: 'flesh', size: ['wide', 'high', 'corner'] },
  says: ['It is {wide} wide and {high} high, its corners rounded by {corner}, and glued down all over.'],
  make: ({ id, name, p, side, reckon }) => {
    const r = { topLeft: p.corner, topRight: p.corner, footLeft: p.corner, footRight: p.corner }
    const panel = plainPanel({
      id,
      name,
      role: id,
      ...rectangleShape(p.wide, p.high, r, () => cutEdge('left')),
    })
    const margin = marginOf(reckon, id, Math.min(GLUED, p.wide / 3, p.high / 3))
    return {
      pieces: [
        {
          panel,
          side,
          lies: (spot) => flat(lyingAt(spot, p.wide / 2, side)),
          joins: (names) => [heldJoin(names, { panel, chain: allEdges(panel), margin, glued: true })],
        },
      ],
    }
  },
})
