import { type Panel } from '../../master/index.js'
import { edgeSeam, plainPanel, rectangleShape, turnedFate } from '../../kinds/index.js'
import { choice, length, settings } from '../../settings/index.js'
import { type Given, type Reckon, type Reckoned, given } from '../../working/index.js'
import { below, lyingAt } from '../place.js'
import { type AddedSort, type Lying, defineSort, flat } from '../sort.js'
import { FINISH, MARGIN, cutEdge, heldJoin, marginOf } from './common.js'

const SETTINGS = settings(
  {
    wide: length('width of the pocket', 30, 600, 110, { step: 1 }),
    high: length('height of the pocket', 20, 600, 90, { step: 1 }),
    corner: length('rounding of its lower corners', 0, 80, 8),
    top: choice('its top edge', 'raw', [
      ['raw', 'finished as cut', 'thin, and quick'],
      ['turned', 'turned over and sewn', 'strong, and clean from both sides'],
    ]),
    open: choice('where it opens', 'top', [
      ['top', 'at the top', 'sewn along its sides and foot'],
      [
        'left',
        'at the top and on its left',
        'sewn along its right side and foot: papers slide in from the side',
      ],
      [
        'right',
        'at the top and on its right',
        'sewn along its left side and foot: papers slide in from the side',
      ],
      ['sides', 'at the top and on both sides', 'sewn along its foot alone: something long lies in it'],
    ]),
    topTurn: length('width of the turn at its top', 4, 40, 10),
    lined: choice('lining', 'none', [
      ['none', 'unlined', 'one layer'],
      ['lined', 'lined', 'its flesh side is not seen'],
    ]),
    margin: MARGIN,
    finish: FINISH,
  },
  { inPlay: { topTurn: (p) => p.top === 'turned' } },
)

/** The ends of its seam stop so far short of where it opens, mm. */
const AT_MOUTH = 1.5

/** What it is sewn along, and of how many seams its width loses a margin. */
const SEWN = {
  top: ['right', 'foot-right', 'foot', 'foot-left', 'left'],
  left: ['right', 'foot-right', 'foot'],
  right: ['foot', 'foot-left', 'left'],
  sides: ['foot'],
} as const
const ROOM = {
  top: '{wide} − 2 × {margin} to the seams',
  left: '{wide} − {margin} to the seam',
  right: '{wide} − {margin} to the seam',
} as const

/** A flat pocket sewn on along sides and foot: outside on a body, inside on a lining, on another pocket. */
export const pocket: AddedSort = defineSort({
  id: 'pocket',
  name: 'pocket',
  about: 'a flat pocket, sewn on along its foot and the sides that are not open',
  takes: 'spot',
  sided: true,
  settings: SETTINGS,
  leathers: [
    { suffix: '', label: 'pocket' },
    { suffix: '-lining', label: 'lining of the pocket', when: (p) => p.lined === 'lined' },
  ],
  usual: { inward: 30, size: ['wide', 'high', 'corner'] },
  says: [
    'It is {wide} wide and {high} high, its lower corners rounded by {corner}, and {lined}.',
    'It opens {open}.',
    'Its top edge is {top}[, {topTurn} wide]; it is sewn on {margin} from its edge; cut edges are {finish}.',
  ],
  make: ({ id, name, p, side, reckon, leathers }) => {
    const cut = cutEdge(p.finish)
    const margin = marginOf(reckon, id, p.margin)
    const leather = leathers[id]
    const turned = p.top === 'turned' && leather
    const shape = (high: number, top: boolean) =>
      rectangleShape(p.wide, high, { footLeft: p.corner, footRight: p.corner }, (edge) =>
        top && edge === 'top' && turned ? turnedFate(p.topTurn, 'even', leather, margin.value) : cut,
      )
    const panel = plainPanel({ id, name, role: id, ...shape(p.high, true) })
    const chain = SEWN[p.open].filter((e) => panel.edges.some((edge) => edge.id === e))
    const liningId = `${id}-lining`
    const under = turned ? p.topTurn / 2 : 0
    const lining: Panel | undefined =
      p.lined === 'lined'
        ? plainPanel({
            id: liningId,
            name: `Lining of the ${name.toLowerCase()}`,
            role: liningId,
            ...shape(p.high - under, false),
          })
        : undefined
    const lying =
      (drop: number): Lying['lies'] =>
      (spot) =>
        flat(lyingAt(below(spot, drop), p.wide / 2, side))
    return {
      pieces: [
        ...(lining ? [{ panel: lining, side, lies: lying(under), joins: () => [] }] : []),
        {
          panel,
          side,
          lies: lying(0),
          joins: (names) => [
            ...(turned ? [topRow(names.own, names.id, names.name, margin)] : []),
            heldJoin(names, {
              panel,
              chain,
              margin,
              glued: false,
              trims: [AT_MOUTH, AT_MOUTH],
              between: lining ? [names.own.replace(id, liningId)] : [],
            }),
          ],
        },
      ],
      sizes: [
        {
          panelId: id,
          size: roomOf(reckon, id, p.open, given('width', p.wide), margin),
        },
        {
          panelId: id,
          size: reckon(
            {
              key: `${id}.depth`,
              label: 'depth above the seam',
              formula: '{high} − {margin} to the seam',
              source: '§9',
              measured: true,
            },
            { high: given('height', p.high), margin },
          ),
        },
      ],
    }
  },
})

/** How wide a thing in it can be. */
function roomOf(
  reckon: Reckon,
  id: string,
  open: keyof typeof SEWN,
  wide: Given,
  margin: Reckoned,
): Reckoned {
  const spec = { key: `${id}.room`, source: '§9', measured: true } as const
  if (open === 'sides')
    return reckon({ ...spec, label: 'room, open on both sides', formula: '{wide}' }, { wide })
  const label = open === 'top' ? 'room between the seams' : 'room beside the seam'
  return reckon({ ...spec, label, formula: ROOM[open] }, { wide, margin })
}

/** The row that holds a turned top, before the pocket is sewn on. */
const topRow = (own: string, id: string, name: string, margin: Reckoned) =>
  edgeSeam({
    id: `${id}-top`,
    name: `top of the ${name.toLowerCase()}`,
    sheet: own,
    chain: ['top'],
    margin,
    through: [own],
    back: [1, 1],
  })
