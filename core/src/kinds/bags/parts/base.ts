import { STAY, point, point3, shift } from '../../../geometry/index.js'
import type { Panel } from '../../../master/index.js'
import { type Reckoned, given } from '../../../working/index.js'
import { hardwareOf, leatherOf } from '../../kind.js'
import { turnedFate } from '../../parts/shape.js'
import { panelSheet } from '../../parts/sheets.js'
import { X, Y, flatPart } from '../axes.js'
import { type Bag, basePile } from '../bag.js'
import { onPanel, rectanglePanel, row } from './onFace.js'
import { type Body, type Part, onto, part } from '../assembly.js'

/** Room round a board that is put in, and how far its cover is turned under it, mm. */
const BENCH = { room: 1, turn: 15, feetIn: 14, footRoom: 6, leastAcross: 12, leastDeep: 8 } as const

/** The cover as it is finished, and the board that goes into it, both ways. */
function boardSizes({ p, size, materials }: Bag) {
  const { thickness } = leatherOf(materials, 'inner')
  const finished = (key: 'wide' | 'deep', way: 'width' | 'depth', room: number): Reckoned =>
    size(`base.${key}`, `base, finished ${way}`, '{room} room inside − 2 × {play}', '§20', {
      room: given(`${way} inside`, room),
      play: given('play', BENCH.room),
    })
  const board = (key: 'wide' | 'deep', way: 'width' | 'depth', of: Reckoned): Reckoned =>
    size(`base.board.${key}`, `board, ${way}`, '{size} − 2 × {t} leather round its edge', '§4', {
      size: of,
      t: given('leather', thickness, 'thickness'),
    })
  const [wide, deep] = [finished('wide', 'width', p.wide), finished('deep', 'depth', p.deep)]
  return { wide, deep, boardWide: board('wide', 'width', wide), boardDeep: board('deep', 'depth', deep) }
}

/** What board and foam look like on the sheet. */
const SWATCH = { board: '#d9d4c7', foam: '#eef0f2' } as const

/** A board for the foot in a cover with turned edges, with foam under the cover where it is cushioned. */
export function boardBase(bag: Bag): Part {
  const { p, materials, s } = bag
  const inner = leatherOf(materials, 'inner')
  const t = inner.thickness
  const { wide, deep, boardWide, boardDeep } = boardSizes(bag)
  const cover = rectanglePanel(bag, 'base-cover', 'Cover of the base', 'inner', wide.value, deep.value, {
    core: p.board,
    fate: () => ({
      ...turnedFate(Math.min(BENCH.turn, deep.value / 2 - 2), 'feather', inner, 4),
      core: 'square',
      lines: 0,
    }),
  })
  const sheet = (id: 'board' | 'foam', name: string, thickness: number): Panel =>
    rectanglePanel(bag, id, name, id, boardWide.value, boardDeep.value, {
      stock: { name: name.toLowerCase(), thickness, neutral: 0.5, swatch: SWATCH[id] },
      behind: { panelId: 'base-cover', sort: id },
    })
  const foam = p.base === 'cushioned' ? [sheet('foam', 'Foam', p.foam)] : []
  const parts = [...foam, sheet('board', 'Board', p.board)]
  const level = basePile(p) + 0.5 * t
  const out = s.deep.value / 2
  return part({
    panels: [cover, ...parts],
    piles: [
      {
        base: 'base-cover',
        sheets: [
          ...parts.toReversed().map((q) => panelSheet(q.id, q.name.toLowerCase(), q.id, shift(t, t), true)),
          { ...panelSheet('base-cover', 'cover of the base', 'base-cover', STAY, true), turnedOver: 'board' },
        ],
      },
    ],
    sizes: [
      ...[wide, deep].map((size) => ({ panelId: 'base-cover', size })),
      ...[boardWide, boardDeep].map((size) => ({ panelId: 'board', size })),
    ],
    stood: () => [
      {
        sheet: 'base-cover',
        seamOffset: 0,
        // Lying, its grain up: its own y runs to the front.
        parts: [flatPart(point3(-wide.value / 2, level, -Math.min(out, deep.value / 2)), X, Y)],
      },
    ],
  })
}

/** A panel over the foot that laps up the front and the back, sewn on before the body is closed. */
export function overlappingBase(bag: Bag, body: Body): Part {
  const { p, s, size } = bag
  const lap = Math.min(p.baseLap, body.front.high - 10)
  const high = size(
    'base.panel',
    'base panel from lap to lap',
    '{deep} foot + 2 × {lap} up front and back',
    '§20',
    { deep: s.deep, lap: given('lap', lap) },
  )
  const { foot } = body
  if (!foot || body.front.sheet !== body.back.sheet)
    return part({
      concerns: [
        {
          id: 'base-needs-one-piece',
          rank: 'stop',
          panelId: body.front.sheet,
          at: onPanel(body.front, 0, body.front.high),
          what: 'A base panel that laps up front and back needs a body in one piece',
          why: 'It can’t be laid over a foot seam or a gusset. Fold the body at the foot, or board the base.',
          remedy: { field: 'body', value: 'boxed-folded', said: 'a body folded at the foot' },
        },
      ],
    })
  const wide = body.front.wide
  const panel = rectanglePanel(bag, 'base-panel', 'Base panel', 'gusset', wide, high.value)
  const { at: middle } = foot.at(0, 0)
  const m = p.margin
  const through = ['base-panel', body.front.sheet]
  return part({
    panels: [panel],
    onto: [onto(body.front.sheet, 'outside', panel, shift(middle.x - wide / 2, middle.y - high.value / 2))],
    joins: [
      row('base-front', 'base panel to the front', 'base-panel', [point(3, m), point(wide - 3, m)], through),
      row(
        'base-back',
        'base panel to the back',
        'base-panel',
        [point(3, high.value - m), point(wide - 3, high.value - m)],
        through,
      ),
    ],
    sizes: [{ panelId: 'base-panel', size: high }],
  })
}

/** A base panel that front and back end in has to have two that end. */
export const lappedNeedsTwo = (body: Body): Part =>
  part({
    concerns: [
      {
        id: 'base-needs-two-panels',
        rank: 'stop',
        panelId: body.front.sheet,
        at: onPanel(body.front, 0, body.front.high),
        what: 'A base panel that front and back end in needs two panels with boxed corners',
        why: 'Here the foot is of one piece with them, or a gusset lies between. Lay the panel over the foot, or build it of two panels.',
        remedy: { field: 'body', value: 'boxed', said: 'two panels with boxed corners' },
      },
    ],
  })

/** Four feet near the corners of the foot, through body and board. */
export function feet(bag: Bag, body: Body): Part {
  const { p } = bag
  const { foot } = body
  if (!foot)
    return part({
      concerns: [
        {
          id: 'feet-no-foot',
          rank: 'stop',
          panelId: body.front.sheet,
          at: onPanel(body.front, 0, body.front.high),
          what: 'Sides that fold leave no flat foot to set feet in',
          why: 'The bag stands on the seam at its foot. Leave the feet out, or take another gusset.',
          remedy: { field: 'feet', value: 'none', said: 'no feet' },
        },
      ],
    })
  const ware = hardwareOf(bag.materials, 'foot')
  const bare = (half: number, min: number): number =>
    Math.max(min, Math.min(half - BENCH.feetIn, half - ware.across / 2 - BENCH.footRoom))
  const [x, z] = [bare(foot.wide, BENCH.leastAcross), bare(foot.deep, BENCH.leastDeep)]
  const board = p.base === 'board' || p.base === 'cushioned'
  const places = ([-1, 1] as const).flatMap((dx) => ([-1, 1] as const).map((dz) => [dx * x, dz * z] as const))
  return part({
    fittings: places.map(([dx, dz], i) => {
      const { sheet, at } = foot.at(dx, dz)
      return {
        id: `foot-${i + 1}`,
        name: `foot ${i + 1}`,
        role: 'foot',
        sheet,
        at,
        up: -Math.PI / 2,
        through: [
          { sheet, times: 1 },
          ...(board
            ? [{ sheet: 'board', times: 1, at: point(p.wide / 2 - 1 + dx, p.deep / 2 - 1 + dz) }]
            : []),
        ],
        count: 1,
      }
    }),
  })
}
