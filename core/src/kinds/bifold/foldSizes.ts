import { betweenMiddles, bookFold } from '../../formulas/index.js'
import { CARD, NOTE_THICKNESS } from '../../stores/index.js'
import { given } from '../../working/index.js'
import { BENCH, type Start, edgePieces } from './bench.js'

/** What the fold uses up, and how much longer the outside is for it. */
export function foldSizes({ p, reckon, outside, inside, pocketLeather }: Start) {
  const cards = 2 * p.pockets * p.cardsPerPocket
  const gap = reckon(
    {
      key: 'fold.gap',
      label: 'gap in the fold',
      formula: '2 × {pieces} × {t} pockets + {fill} × {cards} cards × {card}',
      source: '§3',
    },
    {
      pieces: given('pieces', edgePieces(p), 'share'),
      t: given('pocket leather', pocketLeather.thickness, 'thickness'),
      fill: given('fill', BENCH.foldFill, 'share'),
      cards: given('cards', cards, 'count'),
      card: given('card', CARD.thickness, 'thickness'),
    },
    (v) => 2 * v.pieces * v.t + v.fill * v.cards * v.card,
  )
  const bend = reckon(
    {
      key: 'fold.insideBend',
      label: 'inside used up by the bend',
      formula: 'π × ({gap} / 2 + {k} × {t})',
      source: '§2',
    },
    {
      gap,
      k: given('neutral share', inside.neutral, 'share'),
      t: given('inside leather', inside.thickness, 'thickness'),
    },
    (v) => bookFold(v.gap, v.t, v.k),
  )
  const foldClear = reckon(
    {
      key: 'fold.clear',
      label: 'pockets end before the fold line by',
      formula: 'half of {bend} + {room}',
      source: '§2',
    },
    { bend, room: given('room', BENCH.foldRoom) },
    (v) => v.bend / 2 + v.room,
  )
  const noteCount = p.currency === 'none' ? 0 : p.notes
  const notes = reckon(
    {
      key: 'fold.notes',
      label: 'notes in the fold',
      formula: '{count} × {one}',
      source: '§2',
      quantity: 'thickness',
    },
    { count: given('count', noteCount, 'count'), one: given('one', NOTE_THICKNESS, 'thickness') },
    (v) => v.count * v.one,
  )
  const middles = reckon(
    {
      key: 'fold.middles',
      label: 'between the middles of the two layers',
      formula: '{ki} × {ti} + {notes} notes + {ko} × {to}',
      source: '§2',
      quantity: 'thickness',
    },
    {
      ki: given('1 − k', 1 - inside.neutral, 'share'),
      ti: given('inside', inside.thickness, 'thickness'),
      notes,
      ko: given('k', outside.neutral, 'share'),
      to: given('outside', outside.thickness, 'thickness'),
    },
    (v) =>
      betweenMiddles({
        inner: { thickness: v.ti, neutral: 1 - v.ki },
        outer: { thickness: v.to, neutral: v.ko },
        between: v.notes,
      }),
  )
  const difference = reckon(
    {
      key: 'fold.difference',
      label: 'longer round the fold',
      formula: 'π × {middles} between the middles',
      source: '§2',
    },
    { middles },
    (v) => Math.PI * v.middles,
  )
  const taken = reckon(
    { key: 'fold.taken', label: 'added to the outside', formula: '{share} of {difference}', source: '§2' },
    { share: given('share', p.foldShare, 'share'), difference },
    (v) => v.share * v.difference,
  )
  return { foldClear, difference, taken }
}
