import { lengthSaid } from '../../measure/index.js'
import { point } from '../../geometry/index.js'
import type { Concern, Fit, MasterSize } from '../../master/index.js'
import { type Reckon, given } from '../../working/index.js'
import { defineKind, type Materials, type Role, leatherOf } from '../kind.js'
import { sizeBy } from '../parts/basics.js'
import { holderJoins, holderLayups } from './lay.js'
import { holderPanels } from './panels.js'
import { HOLDER, type HolderParams } from './params.js'
import { BENCH, type HolderSizes, holderSizes } from './sizes.js'
import { needed, present } from '../parts/fits.js'

const ROLES: readonly Role<HolderParams>[] = [
  {
    id: 'front',
    label: 'Front',
    why: 'vegetable tanned, so that it takes and keeps a shape when wet',
    usual: 2.2,
  },
  { id: 'back', label: 'Back', why: 'flat and firm; carries the weight', usual: 2.6 },
]

/** A pouch that is sewn flat is formed over no more than this share of the thing’s width (J); docs/formulas.md §11. */
const POUCH = 1 / 3

/** Flat leather gives only so much: over a deep thing it puckers at the foot, or stays short. */
const tooDeep = (p: HolderParams): Concern[] =>
  p.formed === 'first' || p.deep <= p.wide * POUCH
    ? []
    : [
        {
          id: 'too-deep-for-a-pouch',
          rank: 'look',
          panelId: 'front',
          at: point(p.wide / 2, p.high / 2),
          what: 'A thing {deep} thick and {wide} wide is deep for a pouch that is sewn flat',
          why: 'Sewn flat, the leather puckers at the foot and pulls at its stitches. Form the front first, over the block.',
          lengths: { deep: p.deep, wide: p.wide },
          remedy: { field: 'formed', value: 'first', said: 'the front formed first' },
        },
      ]

/** A form whose edge is rounded further than it is deep has no wall: the leather would be cut too small. */
function concerns(p: HolderParams, materials: Materials): Concern[] {
  const t = leatherOf(materials, 'front').thickness
  const wall = p.formed === 'sewn' ? p.deep / 2 : p.deep - t
  const max = Math.min(wall, p.wide / 2, p.high - p.shown)
  if (p.edge <= max + 1e-9) return tooDeep(p)
  const value = Math.floor(2 * max) / 2
  return [
    {
      id: 'edge-deeper-than-form',
      rank: 'stop',
      panelId: 'block',
      at: point(p.wide / 2, p.high / 2),
      what: 'The edge of the form is rounded {edge}; {deep} deep, less the leather at its foot, it leaves room for {max}',
      why: 'No wall stands between the two roundings, and the front would be cut too small. Round the edge less, or take a deeper form.',
      lengths: { edge: p.edge, deep: p.deep, max: Math.max(0, max) },
      ...(value >= 0.5 ? { remedy: { field: 'edge', value, said: 'an edge rounded less' } } : {}),
    },
  ]
}

function fits(p: HolderParams, s: HolderSizes, reckon: Reckon, materials: Materials): Fit[] {
  const size = sizeBy(reckon)
  const t = leatherOf(materials, 'front').thickness
  return [
    {
      id: 'edge-radius',
      rank: 'look',
      why: 'the leather bridges so sharp an edge and thins there; round the block more',
      what: 'the rounding of the form’s edge',
      panelId: 'block',
      keys: [],
      remedy: { field: 'edge', value: Math.ceil(2 * t) / 2 },
      at: point(p.wide / 2, p.high / 2),
      needs: needed(reckon, 'fit.edge', 'thickness of the leather', t, '§11', 'thickness'),
      has: present(reckon, 'fit.edgeHas', 'radius', given('edge', p.edge), '§11'),
    },
    {
      id: 'held',
      rank: 'stop',
      why: 'hardly anything of the thing is inside, and it falls out',
      what: 'the thing inside the holder',
      panelId: 'back',
      keys: [],
      remedy: { field: 'shown', value: Math.floor(p.high / 3) },
      at: point(s.pocketWide.value / 2, 2),
      needs: size('fit.held', 'needs', '{high} / 3 of it', '§11', { high: given('high', p.high) }),
      has: size('fit.heldHas', 'inside', '{high} − {shown}', '§11', {
        high: given('high', p.high),
        shown: given('shown', p.shown),
      }),
    },
    ...(p.hung === 'none'
      ? []
      : [
          {
            id: 'slots-apart',
            rank: 'stop' as const,
            why: 'the slots come too near the mouth or the foot and tear out',
            what: 'the belt on the back',
            panelId: 'back',
            keys: ['pocket.high'],
            at: point(s.pocketWide.value / 2, s.pocketHigh.value / 2),
            needs: size('fit.belt', 'needs', '{spacing} + 2 × {rim} beside the slots', '§10', {
              spacing: s.spacing,
              rim: given('rim', p.hung === 'loop' ? BENCH.loopLap + 4 : BENCH.wingRim),
            }),
            has: present(reckon, 'fit.beltHas', 'height of the back', s.pocketHigh, '§10'),
          },
        ]),
  ]
}

/** The sizes of what it hangs by. */
function hungBy({ hung }: HolderParams, s: HolderSizes): MasterSize[] {
  if (hung === 'none') return []
  const spacing: MasterSize = { panelId: 'back', size: s.spacing }
  return [spacing, hung === 'loop' ? { panelId: 'loop', size: s.loop } : { panelId: 'back', size: s.wing }]
}

/** A flat back and a front wet-formed over the thing it holds, hung on a belt. */
export const mouldedHolder = defineKind({
  id: 'moulded-holder',
  name: 'Moulded holder',
  about: 'front formed wet over a block, flat back, hung on a belt',
  settings: HOLDER,
  roles: ROLES,
  brief: [
    'It holds a thing {wide} wide, {high} high and {deep} thick, of which {shown} stands out of the mouth.',
    'Formed over a block with edges rounded {edge}, {formed}; the leather {shrink}[, {rough} left to trim].',
    'Hung by {hung}[: a belt {belt} wide][ and {beltThick} thick].',
  ],
  sentences: {
    front: [
      'Cut 1 from {leather-front}. Formed over {wide} × {high} × {deep}, edges rounded {edge}.',
      'Formed {formed}[: {rough} left to trim all round]; {shrink} in drying. Sewn {margin} in; edges {finish}.',
    ],
    back: [
      'Cut 1 from {leather-back}, corners rounded {corner}. Hung by {hung}[, for a belt of {belt}][ × {beltThick}].',
      'Sewn {margin} in with the {iron}; edges {finish}, cut {trim} over size.',
    ],
    loop: ['Cut 1 from {leather-back}, for a belt of {belt} × {beltThick}.'],
  },
  master: (p, materials, reckon) => {
    const s = holderSizes(p, materials, reckon)
    return {
      panels: holderPanels(p, s, materials),
      layups: holderLayups(p, s, materials),
      joins: holderJoins(p, s),
      matches: [],
      fits: fits(p, s, reckon, materials),
      concerns: concerns(p, materials),
      carries: [`one thing ${[p.wide, p.high, p.deep].map(lengthSaid).join(' × ')}`],
      sizes: [
        ...(p.formed === 'first' ? [s.blankWide, s.blankHigh, s.extra, s.flange] : [s.flange]).map(
          (size) => ({ panelId: 'front', size }),
        ),
        ...[s.pocketWide, s.pocketHigh, s.closed].map((size) => ({ panelId: 'back', size })),
        ...hungBy(p, s),
      ],
    }
  },
})
