import { boxWidth, pathBox } from '../../geometry/index.js'
import { circleShape, plainPanel, rectangleShape } from '../../kinds/index.js'
import { choice, length, settings } from '../../settings/index.js'
import { lyingAt } from '../place.js'
import { type AddedSort, defineSort, flat } from '../sort.js'
import { FINISH, HELD, MARGIN, allEdges, cutEdge, heldJoin, marginOf } from './common.js'

const SETTINGS = settings(
  {
    shape: choice('shape', 'rectangle', [
      ['rectangle', 'a rectangle', 'its corners as round as you say'],
      ['round', 'round', 'as wide as high'],
    ]),
    wide: length('width of the patch', 8, 400, 50),
    high: length('height of the patch', 8, 400, 30),
    corner: length('rounding of its corners', 0, 60, 4),
    held: HELD,
    margin: MARGIN,
    finish: FINISH,
  },
  {
    inPlay: {
      high: (p) => p.shape === 'rectangle',
      corner: (p) => p.shape === 'rectangle',
      margin: (p) => p.held === 'sewn',
    },
  },
)

/** A piece sewn or glued flat onto another: a name patch, a wearing piece, a lash tab. */
export const patch: AddedSort = defineSort({
  id: 'patch',
  name: 'patch',
  about: 'a piece sewn flat onto another: your mark, a wearing piece, a lash tab',
  takes: 'spot',
  sided: true,
  settings: SETTINGS,
  leathers: [{ suffix: '', label: 'patch' }],
  usual: { inward: 20, size: ['wide', 'high', 'corner'] },
  says: [
    'It is {shape}, {wide} wide[ and {high} high][, its corners rounded by {corner}].',
    'It is {held}[, {margin} from its edge]; its edges are {finish}.',
  ],
  make: ({ id, name, p, side, reckon }) => {
    const fate = cutEdge(p.finish)
    const r = { topLeft: p.corner, topRight: p.corner, footLeft: p.corner, footRight: p.corner }
    const shape =
      p.shape === 'round' ? circleShape(p.wide, () => fate) : rectangleShape(p.wide, p.high, r, () => fate)
    const panel = plainPanel({ id, name, role: id, ...shape })
    const margin = marginOf(reckon, id, p.margin)
    return {
      pieces: [
        {
          panel,
          side,
          lies: (spot) => flat(lyingAt(spot, boxWidth(pathBox(panel.outline)) / 2, side)),
          joins: (names) => [
            heldJoin(names, { panel, chain: allEdges(panel), margin, glued: p.held === 'glued' }),
          ],
        },
      ],
    }
  },
})
