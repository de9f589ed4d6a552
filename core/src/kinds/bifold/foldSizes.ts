import { BOOK_FOLD } from '../../formulas/index.js'
import { CARD, type Leather, NOTE_THICKNESS } from '../../stores/index.js'
import { type Reckoned, given } from '../../working/index.js'
import { sizeBy } from '../parts/basics.js'
import { hasOwnFront } from '../pockets/index.js'
import { BENCH, type Start, foldPieces } from './bench.js'

/** What the fold uses up, and how much longer each leaf outside the inside is for it. */
export interface FoldSizes {
  readonly foldClear: Reckoned
  /** What the outside is longer in full, and what of it is taken. */
  readonly difference: Reckoned
  readonly taken: Reckoned
  /** The same for the leaves between, where the wallet has them. */
  readonly dividerTaken: Reckoned | undefined
  readonly dividerLiningTaken: Reckoned | undefined
  readonly liningTaken: Reckoned | undefined
}

// eslint-disable-next-line max-lines-per-function -- a list of sizes in the order they are reckoned in; each names those above it
export function foldSizes(start: Start): FoldSizes {
  const { p, reckon, outside, inside, leather, frontLeather, divider, dividerLining, lining } = start
  const size = sizeBy(reckon)
  const piles = p.coins === 'right' ? 1 : 2
  const gap = size(
    'fold.gap',
    'gap in the fold',
    hasOwnFront(p)
      ? '2 × (({pieces} − {own}) × {t} + {own} × {front} front pocket) + {fill} × {cards} cards × {card}'
      : '2 × {pieces} × {t} pockets + {fill} × {cards} cards × {card}',
    '§3',
    {
      pieces: given('pieces', foldPieces(p), 'share'),
      t: given('pocket leather', leather.thickness, 'thickness'),
      front: given('front pocket', frontLeather.thickness, 'thickness'),
      // A coin pocket on the right leaves one front pocket for both halves.
      own: given('front pockets a half', p.coins === 'right' ? 0.5 : 1, 'share'),
      fill: given('fill', BENCH.foldFill, 'share'),
      cards: given('cards', piles * p.pockets * p.cardsPerPocket, 'count'),
      card: given('card', CARD.thickness, 'thickness'),
    },
  )
  const bend = size('fold.insideBend', 'inside used up by the bend', BOOK_FOLD, '§2', {
    gap,
    k: given('neutral-axis factor', inside.neutral, 'share'),
    thickness: given('inside leather', inside.thickness, 'thickness'),
  })
  const foldClear = size(
    'fold.clear',
    'pockets end before the fold line by',
    'half of {bend} + {room}',
    '§2',
    { bend, room: given('room', BENCH.foldRoom) },
  )
  const notes = reckon(
    {
      key: 'fold.notes',
      label: 'notes in the fold',
      formula: '{count} × {one}',
      source: '§2',
      quantity: 'thickness',
    },
    {
      count: given('count', p.currency === 'none' ? 0 : p.notes, 'count'),
      one: given('one', NOTE_THICKNESS, 'thickness'),
    },
  )
  const t = (one: Leather | undefined): number => one?.thickness ?? 0
  const leaf = (key: string, words: string, share: number, leaves: number, outer: Leather) => {
    const middles = reckon(
      {
        key: `${key}.middles`,
        label: `between the middles of ${words}`,
        formula: `{ki} × {ti} + {notes} notes${leaves > 0 ? ' + {leaves} leaves' : ''} + {ko} × {to}`,
        source: '§2',
        quantity: 'thickness',
      },
      {
        ki: given('1 − k', 1 - inside.neutral, 'share'),
        ti: given('inside', inside.thickness, 'thickness'),
        notes: share === 1 ? notes : given('notes', share * notes.value, 'thickness'),
        leaves: given('leaves', leaves, 'thickness'),
        ko: given('k', outer.neutral, 'share'),
        to: given('outer', outer.thickness, 'thickness'),
      },
    )
    const difference = size(
      `${key}.difference`,
      'longer round the fold',
      'π × {middles} between the middles',
      '§2',
      { middles },
    )
    const taken = size(
      `${key}.taken`,
      key === 'fold' ? 'added to the outside' : 'added for the fold',
      '{share} × {difference}',
      '§2',
      { share: given('share', p.foldShare, 'share'), difference },
    )
    return { difference, taken }
  }
  // Notes lie on both sides of a divider.
  const between = t(divider) + t(dividerLining)
  return {
    foldClear,
    ...leaf('fold', 'the two layers', 1, between + t(lining), outside),
    dividerLiningTaken:
      dividerLining && leaf('dividerLining', 'inside and lining', 0.5, 0, dividerLining).taken,
    dividerTaken: divider && leaf('divider', 'inside and divider', 0.5, t(dividerLining), divider).taken,
    liningTaken: lining && leaf('lining', 'inside and lining', 1, between, lining).taken,
  }
}
