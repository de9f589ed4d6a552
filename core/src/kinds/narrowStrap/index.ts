import { lengthSaid, thicknessSaid } from '../../measure/index.js'
import { point } from '../../geometry/index.js'
import type { Concern, Fit } from '../../master/index.js'
import { type Reckon, given } from '../../working/index.js'
import { type Role, defineKind } from '../kind.js'
import { sizeBy } from '../parts/basics.js'
import { strapJoins, strapLayups } from './lay.js'
import { strapPanels } from './panels.js'
import { STRAP, type StrapParams } from './params.js'
import { type StrapSizes, strapSizes } from './sizes.js'
import { needed, present } from '../parts/fits.js'

/** Where what is wrong with the holes is shown, mm from the end. */
const ALONG = 20
/** A short part that is in the way is shorter by this, and no shorter than that, mm. */
const SHORTER = { by: 10, min: 30 } as const

const ROLES: readonly Role<StrapParams>[] = [
  {
    id: 'outside',
    label: 'Outside',
    why: `thin enough to turn over: ${thicknessSaid(0.8)} to ${thicknessSaid(1.2)}`,
    usual: 0.9,
  },
  {
    id: 'lining',
    label: 'Lining',
    why: 'against the skin: vegetable tanned, smooth',
    usual: 0.9,
    when: (params) => params.lining === 'lined',
  },
]

function fits(p: StrapParams, s: StrapSizes, reckon: Reckon): Fit[] {
  const size = sizeBy(reckon)
  return [
    {
      id: 'holes-behind-bar',
      rank: 'stop',
      why: 'the first hole lies in the turn-back of the other end',
      what: 'the holes between bar and tip',
      panelId: 'tongue',
      keys: ['usual', 'around'],
      remedy: { field: 'short', value: Math.max(SHORTER.min, p.short - SHORTER.by) },
      at: point(p.wideEnd / 2, s.backEnd.value),
      needs: size('fit.holes', 'needs', '({holes} − 1) / 2 × {spacing} + {lap} lap', '§10', {
        holes: given('holes', p.holes, 'count'),
        spacing: given('spacing', p.spacing),
        lap: given('lap', p.lap),
      }),
      has: present(reckon, 'fit.holesHas', 'to the usual hole', s.usual, '§10'),
    },
    {
      id: 'prong-in-hole',
      rank: 'look',
      why: 'the prong does not go through, or tears the hole',
      what: 'the prong in a hole',
      panelId: 'tongue',
      keys: [],
      remedy: { field: 'hole', value: p.prong },
      at: point(p.wideEnd / 2, s.backEnd.value + s.usual.value),
      needs: needed(reckon, 'fit.prong', 'prong', p.prong, '§10'),
      has: present(reckon, 'fit.prongHas', 'hole', given('hole', p.hole), '§10'),
    },
  ]
}

/** Leather that holds between two holes under the prong, mm. */
const BETWEEN_HOLES = 3

function concerns(p: StrapParams): Concern[] {
  const found: Concern[] = []
  if (p.holes % 2 === 0)
    found.push({
      id: 'holes-even',
      rank: 'tip',
      panelId: 'tongue',
      at: point(p.wideEnd / 2, ALONG),
      what: 'With an even number of holes none is the usual one',
      why: 'An odd number puts the measured girth on the middle hole, with as much either way.',
      remedy: { field: 'holes', value: p.holes + 1 > 11 ? 11 : p.holes + 1, said: 'one hole more' },
    })
  if (p.spacing - p.hole < BETWEEN_HOLES)
    found.push({
      id: 'holes-tear',
      rank: 'look',
      panelId: 'tongue',
      at: point(p.wideEnd / 2, ALONG),
      what: 'Less than {least} of leather stands between two holes',
      lengths: { least: BETWEEN_HOLES },
      why: 'They tear into one another under the prong. Space them out or punch smaller ones.',
      remedy: { field: 'spacing', value: p.hole + 4, said: 'holes spaced wider' },
    })
  if (p.narrowEnd > p.wideEnd)
    found.push({
      id: 'widens',
      rank: 'look',
      panelId: 'tongue',
      at: point(p.wideEnd / 2, ALONG),
      what: 'The strap is wider at the buckle than at the bar',
      why: 'It will not go through a keeper made for the bar’s end; taper it the other way.',
      remedy: { field: 'narrowEnd', value: p.wideEnd, said: 'as wide at the buckle as at the bar' },
    })
  return found
}

/** A strap of two pieces, for a watch or hung from a bag: tongue and buckle, from the measure of what it goes round. */
export const narrowStrap = defineKind({
  id: 'narrow-strap',
  name: 'Narrow strap',
  about: 'for a watch or hung from a bag: tongue piece and buckle piece',
  settings: STRAP,
  roles: ROLES,
  brief: [
    'It goes round {girth}, with {ease} of ease; between its two pieces lie {between} from bar to bar.',
    'The buckle piece is {short} long. {holes} holes of {hole}, {spacing} apart; {tongue} from the last to a {tip} tip.',
    'At the bar {wideEnd} wide, at the buckle {narrowEnd}; the bars {barEnd} and {barBuckle} thick, the prong {prong}.',
    'Its edges are {edges}[, {turn} wide]; on its flesh side: {lining}.',
  ],
  sentences: {
    tongue: [
      'Cut 1 from {leather-outside}: {wideEnd} wide at the bar, {narrowEnd} at the holes, tip {tip}.',
      'Edges {edges}, {turn} wide, flesh side {lining}; sewn {margin} in; raw edges {finish}.',
      'Turned back {lap} round a bar of {barEnd}. {holes} holes of {hole}, {spacing} apart.',
    ],
    buckle: [
      'Cut 1 from {leather-outside}, {short} long, turned back {lap} round bars of {barEnd} and {barBuckle}.',
      'Edges {edges}, {turn} wide; a slot for a prong of {prong}. Sewn {margin} in.',
    ],
    'tongue-lining': ['Cut 1 from {leather-lining}: flesh side {lining}.'],
    'buckle-lining': ['Cut 1 from {leather-lining}: flesh side {lining}.'],
    keeper: ['Cut 2 from {leather-outside}; edges {finish}.'],
  },
  master: (p, materials, reckon) => {
    const s = strapSizes(p, materials, reckon)
    return {
      panels: strapPanels(p, s, materials),
      layups: strapLayups(p, s),
      joins: strapJoins(p, s),
      matches: [],
      fits: fits(p, s, reckon),
      concerns: concerns(p),
      carries: [`a girth of ${lengthSaid(p.girth)}`],
      sizes: [
        ...[s.longCut, s.long, s.usual, s.around, s.min, s.max, s.thick].map((size) => ({
          panelId: 'tongue',
          size,
        })),
        ...[s.shortCut, s.slot, s.backBuckle].map((size) => ({ panelId: 'buckle', size })),
        { panelId: 'keeper', size: s.keeper },
      ],
    }
  },
})
