import { narrowestPocket, topCardHeight } from '../../formulas/index.js'
import { point } from '../../geometry/index.js'
import type { Fit } from '../../master/index.js'
import { CARD, currencyOf, largestNote } from '../../stores/index.js'
import { type Reckon, given } from '../../working/index.js'
import { BENCH } from './bench.js'
import type { BifoldParams } from './params.js'
import type { BifoldSizes } from './sizes.js'

/** What it carries, as a maker would count it. */
export function bifoldCarries(p: BifoldParams): string[] {
  const counted = (n: number, one: string): string[] => (n === 0 ? [] : [`${n} ${one}${n === 1 ? '' : 's'}`])
  return [
    ...counted(2 * p.pockets * p.cardsPerPocket, 'card'),
    ...counted(p.currency === 'none' ? 0 : p.notes, 'note'),
  ]
}

/** What has to go in, against what there is: cards between the stitches and under the edge, notes in their compartment. */
export function bifoldFits(p: BifoldParams, s: BifoldSizes, reckon: Reckon): Fit[] {
  return [...(p.pockets > 0 ? cardFits(p, s, reckon) : []), ...noteFits(p, s, reckon)]
}

function cardFits(p: BifoldParams, s: BifoldSizes, reckon: Reckon): Fit[] {
  const cards = given('cards', p.cardsPerPocket, 'count')
  const wide = {
    id: 'card-wide',
    rank: 'stop',
    why: 'the card will not go in between the stitches',
    what: 'a card between the stitches',
    panelId: 'inside',
    keys: ['pocket.sideRoom', 'pocket.between', 'pocket.width'],
    at: point(s.pocketWidth.value / 2, s.insideHeight.value - 20),
    needs: reckon(
      { key: 'fit.cardWide', label: 'needs', formula: '{card} card + {cards} × {thick}', source: '§9' },
      { card: given('card', CARD.width), cards, thick: given('thick', CARD.thickness, 'thickness') },
      (v) => narrowestPocket(v.card, v.thick, v.cards),
    ),
    has: reckon(
      {
        key: 'fit.cardRoom',
        label: 'room',
        formula: '{width} pocket − 2 × ({margin} + {hole})',
        source: '§9',
      },
      { width: s.pocketWidth, margin: s.margin, hole: s.hole },
      (v) => v.width - 2 * (v.margin + v.hole),
    ),
  } as const
  const tall = {
    id: 'card-tall',
    rank: 'stop',
    why: 'the card stands out over the edge and is bent when the wallet is pushed into a pocket',
    what: 'the uppermost card under the top edge',
    panelId: 'inside',
    keys: ['inside.height', 'pocket.depth'],
    at: point(s.pocketWidth.value / 2, 4),
    needs: reckon(
      {
        key: 'fit.cardTall',
        label: 'needs',
        formula: '{steps} × {reveal} + {shorten} + {card} card',
        source: '§9',
      },
      {
        steps: given('steps', p.pockets - 1, 'count'),
        reveal: given('reveal', p.reveal),
        shorten: s.shorten,
        card: given('card', CARD.height),
      },
      (v) => topCardHeight(v.steps + 1, v.reveal, v.card) + v.shorten,
    ),
    has: reckon(
      { key: 'fit.cardHeight', label: 'room', formula: '{height} − {margin} margin − {hole}', source: '§9' },
      { height: s.insideHeight, margin: s.margin, hole: s.hole },
      (v) => v.height - v.margin - v.hole,
    ),
  } as const
  const grip = {
    id: 'card-grip',
    rank: 'look',
    why: 'less than a fingertip shows, so the card is hard to pull out',
    what: 'a finger on a card',
    panelId: 'foot-pocket',
    keys: [],
    remedy: { field: 'shown', value: BENCH.grip },
    at: point(s.pocketWidth.value / 2, 0),
    needs: reckon(
      { key: 'fit.gripNeeds', label: 'needs', formula: '{grip} showing', source: '§9' },
      { grip: given('grip', BENCH.grip) },
      (v) => v.grip,
    ),
    has: reckon(
      { key: 'fit.grip', label: 'showing', formula: '{card} card − {depth} pocket', source: '§9' },
      { card: given('card', CARD.height), depth: s.depth },
      (v) => v.card - v.depth,
    ),
  } as const
  return [wide, tall, grip]
}

function noteFits(p: BifoldParams, s: BifoldSizes, reckon: Reckon): Fit[] {
  if (p.currency === 'none') return []
  const note = largestNote(currencyOf(p.currency))
  const long = {
    id: 'note-long',
    rank: 'stop',
    why: 'the note has to be folded to go in',
    what: 'a note laid open',
    panelId: 'outside',
    keys: ['half', 'inside.width'],
    at: point(s.outsideWidth.value / 4, s.outsideHeight.value / 2),
    needs: reckon(
      { key: 'fit.noteLong', label: 'needs', formula: '{note} note', source: '§2' },
      { note: given('note', note.long) },
      (v) => v.note,
    ),
    has: reckon(
      { key: 'fit.noteWidth', label: 'room', formula: '{width} − 2 × ({margin} + {hole})', source: '§2' },
      { width: s.insideWidth, margin: s.margin, hole: s.hole },
      (v) => v.width - 2 * (v.margin + v.hole),
    ),
  } as const
  const deep = {
    id: 'note-deep',
    rank: 'stop',
    why: 'the note stands out over the top edge',
    what: 'a note below the top edge',
    panelId: 'outside',
    keys: ['inside.height', 'outside.height'],
    at: point(s.outsideWidth.value / 2, 4),
    needs: reckon(
      { key: 'fit.noteDeep', label: 'needs', formula: '{note} note', source: '§2' },
      { note: given('note', note.short) },
      (v) => v.note,
    ),
    has: reckon(
      { key: 'fit.noteHeight', label: 'room', formula: '{height} − {margin} margin − {hole}', source: '§2' },
      { height: s.outsideHeight, margin: s.margin, hole: s.hole },
      (v) => v.height - v.margin - v.hole,
    ),
  } as const
  return [long, deep]
}
