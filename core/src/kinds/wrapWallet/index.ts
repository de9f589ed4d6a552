import { nth } from '../../lists/index.js'
import { point } from '../../geometry/index.js'
import type { Fit } from '../../master/index.js'
import { CARD } from '../../stores/index.js'
import type { Reckon } from '../../working/index.js'
import { type Role, defineKind } from '../kind.js'
import { counted, notesMaybe } from '../parts/basics.js'
import { betweenSeams, needed, present } from '../parts/fits.js'
import { wrapJoins, wrapLayups } from './lay.js'
import { wrapPanels } from './panels.js'
import { WRAP, type WrapParams, isSewn } from './params.js'
import { type WrapSizes, wrapSizes } from './sizes.js'

const ROLES: readonly Role<WrapParams>[] = [
  { id: 'body', label: 'Body', why: 'folded over itself many times: thin and supple', usual: 1.1 },
]

function fits(p: WrapParams, s: WrapSizes, reckon: Reckon): Fit[] {
  const note = notesMaybe(p)
  const over = (id: string, what: string, needs: number, has: WrapSizes['across']): Fit => ({
    id,
    rank: 'stop',
    why: 'it stands out and is bent in the fold',
    what,
    panelId: 'body',
    keys: ['flat', 'across'],
    at: point(s.across.value / 2, nth(s.strips, 1).from + 10),
    needs: needed(reckon, `fit.${id}`, 'along it', needs, '§3'),
    has: present(reckon, `fit.${id}.has`, 'room', has, '§3'),
  })
  return [
    ...(p.cards > 0
      ? [
          over('card-long', 'a card along the panel', CARD.width, s.flat),
          over(
            'card-across',
            'a card across it',
            CARD.height,
            isSewn(p) ? betweenSeams(reckon, 'fit.card-between', s.across, s, '§3') : s.across,
          ),
        ]
      : []),
    ...(note && note.count > 0
      ? [
          over('note-half', 'a note folded once', note.long / 2, s.flat),
          over('note-across', 'a note across the panel', note.short, s.across),
        ]
      : []),
  ]
}

/** One piece wrapped round and round what it carries. */
export const wrapWallet = defineKind({
  id: 'wrap-wallet',
  name: 'Wrap wallet',
  about: 'one piece folded over itself three to six times, with or without a pocket',
  settings: WRAP,
  roles: ROLES,
  brief: [
    'Folded {folds} times round {cards} cards and {notes} notes: {currency}, with {ease} of room.',
    'Of what it carries, {fill} reaches into a fold. Held shut by {band}.',
    'The second panel has its sides {noteFlaps}.',
  ],
  sentences: {
    body: [
      'Cut 1 from {leather-body}, folded {folds} times; corners rounded {corner}, edges {finish}.',
      'Sides of the second panel {noteFlaps}[: {flapWidth} wide][, turned over {turn}][, {ear} cut off each ear][, sewn {margin} in].',
    ],
    band: ['Cut 1 from {leather-body}: held shut by {band}; edges {finish}.'],
  },
  master: (p, materials, reckon) => {
    const s = wrapSizes(p, materials, reckon)
    return {
      panels: wrapPanels(p, s, materials),
      layups: wrapLayups(p, s),
      joins: wrapJoins(p, s),
      matches: [],
      fits: fits(p, s, reckon),
      carries: [...counted(p.cards, 'card'), ...counted(p.currency === 'none' ? 0 : p.notes, 'note')],
      sizes: [
        ...[s.length, s.across, s.flat, ...s.bends, ...s.growth, s.closed].map((size) => ({
          panelId: 'body',
          size,
        })),
        ...(s.band ? [{ panelId: 'band', size: s.band }] : []),
      ],
    }
  },
})
