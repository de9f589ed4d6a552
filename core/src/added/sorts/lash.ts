import { point } from '../../geometry/index.js'
import { plainPanel, rectangleShape } from '../../kinds/index.js'
import { choice, length, settings } from '../../settings/index.js'
import { given } from '../../working/index.js'
import { lyingAt } from '../place.js'
import { type AddedSort, defineSort, flat } from '../sort.js'
import { FINISH, allEdges, cutEdge, heldJoin, marginOf } from './common.js'

const SETTINGS = settings(
  {
    strap: length('width of the strap that goes through', 6, 60, 20),
    apart: length('from slot to slot', 6, 80, 16),
    punch: length('width of the slots’ round ends', 1, 12, 4),
    rim: length('leather beside and beyond the slots', 5, 40, 10),
    corner: length('rounding of its corners', 0, 40, 8),
    held: choice('how it is held', 'sewn', [
      ['sewn', 'sewn all round', 'the strap lies between it and the bag'],
      ['riveted', 'riveted', 'put a rivet in each end'],
    ]),
    margin: length('seam from its edge', 1, 12, 3),
    finish: FINISH,
  },
  { inPlay: { margin: (p) => p.held === 'sewn' } },
)

/** A slot is so much longer than the strap is wide, mm. */
const EASE = 2

/** A lash tab: a piece with two slots that a strap is threaded through. */
export const lash: AddedSort = defineSort({
  id: 'lash',
  name: 'lash tab',
  about: 'two slots side by side: a strap is threaded through to lash something on',
  takes: 'spot',
  sided: false,
  settings: SETTINGS,
  leathers: [{ suffix: '', label: 'lash tab' }],
  usual: { inward: 30, size: ['strap', 'apart', 'rim', 'corner'] },
  says: [
    'For a strap {strap} wide, its slots {apart} apart, punched {punch} round; {rim} of leather round them, corners rounded by {corner}.',
    'It is {held}[, {margin} from its edge]; its edges are {finish}. Its arrow says which end is up.',
  ],
  make: ({ id, name, p, reckon }) => {
    const slot = reckon(
      { key: `${id}.slot`, label: 'length of a slot', formula: '{strap} + {ease} to slide', source: '§10' },
      { strap: given('strap', p.strap), ease: given('ease', EASE) },
    )
    const rim = given('leather round them', p.rim)
    const wide = reckon(
      {
        key: `${id}.wide`,
        label: 'width of the tab',
        formula: '{apart} between the slots + {punch} + 2 × {rim}',
        source: '§10',
      },
      { apart: given('apart', p.apart), punch: given('slot', p.punch), rim },
    )
    const high = reckon(
      { key: `${id}.high`, label: 'height of the tab', formula: '{slot} + 2 × {rim}', source: '§10' },
      { slot, rim },
    )
    const middle = point(wide.value / 2, high.value / 2)
    const r = Math.min(p.corner, p.rim)
    const panel = plainPanel({
      id,
      name,
      role: id,
      ...rectangleShape(wide.value, high.value, { topLeft: r, topRight: r, footLeft: r, footRight: r }, () =>
        cutEdge(p.finish),
      ),
      labelAt: point(middle.x, high.value - p.rim / 2),
      marks: [
        ...[-1, 1].map((way) => ({
          type: 'slot' as const,
          id: way < 0 ? 'left' : 'right',
          at: point(middle.x + (way * p.apart) / 2, middle.y),
          angle: Math.PI / 2,
          length: Math.max(slot.value, p.punch),
          punch: p.punch,
        })),
        { type: 'up', id: 'up', at: middle, angle: -Math.PI / 2 },
      ],
    })
    const margin = marginOf(reckon, id, Math.min(p.margin, p.rim / 2))
    return {
      pieces: [
        {
          panel,
          side: 'grain',
          lies: (spot) => flat(lyingAt(spot, wide.value / 2, 'grain')),
          joins: (names) =>
            p.held === 'riveted'
              ? []
              : [heldJoin(names, { panel, chain: allEdges(panel), margin, glued: false })],
        },
      ],
      sizes: [slot, wide, high].map((size) => ({ panelId: id, size })),
    }
  },
})
