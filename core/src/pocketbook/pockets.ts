import { narrowestPocket, sideRoom, topCardHeight } from '../formulas/index.js'
import { type Entry, answer, count, entry, mm, thin } from './entry.js'
import { board, strip } from './sketches.js'

/** Card pockets: docs/formulas.md §9. */
export const POCKETS: readonly Entry[] = [
  entry(
    'pocket-width',
    '§9',
    'Card pocket',
    'room at both sides so that the face rises over the pile',
    {
      card: { ...mm('card', 85.6), least: 1 },
      rise: thin('rise of the pile', 1.5),
      stretch: { ...thin('stretch of the face', 1.3), least: 0.05 },
      margin: thin('margin', 3),
      hole: thin('half a hole', 0.6),
    },
    [
      answer('room a side', '({rise}² − {stretch}² / 4) / {stretch}', (v) => sideRoom(v.rise!, v.stretch!)),
      answer('between the stitches', '{card} + 2 × room', (v) => v.card! + 2 * sideRoom(v.rise!, v.stretch!)),
      answer(
        'panel',
        'that + 2 × ({margin} + {hole})',
        (v) => v.card! + 2 * sideRoom(v.rise!, v.stretch!) + 2 * (v.margin! + v.hole!),
      ),
    ],
    (v, [a]) =>
      strip([v.margin! + v.hole!, Math.max(0, a!), v.card!, Math.max(0, a!), v.margin! + v.hole!], 46),
  ),
  entry(
    'narrowest-pocket',
    '§9',
    'Narrowest pocket',
    'both faces free: less than this and no card goes in',
    {
      card: mm('card', 85.6),
      thick: thin('card thickness', 0.76),
      cards: { ...count('cards', 3), least: 1 },
    },
    [
      answer('between the stitches', '{card} + {cards} × {thick}', (v) =>
        narrowestPocket(v.card!, v.thick!, v.cards!),
      ),
    ],
    (_, [w]) => board(w!, 46, w!.toFixed(1)),
  ),
  entry(
    'top-card',
    '§9',
    'Stack of pockets',
    'how high the uppermost card stands',
    {
      pockets: { ...count('pockets', 4), least: 1, most: 12 },
      reveal: mm('reveal', 12),
      card: mm('card height', 53.98),
      depth: mm('depth of the front pocket', 48),
    },
    [
      answer('top of the uppermost card', '({pockets} − 1) × {reveal} + {card}', (v) =>
        topCardHeight(v.pockets!, v.reveal!, v.card!),
      ),
      answer('top edge of the pockets', '{depth} + ({pockets} − 1) × {reveal}', (v) =>
        topCardHeight(v.pockets!, v.reveal!, v.depth!),
      ),
      answer('shown', 'the difference', (v) => v.card! - v.depth!),
    ],
    (v, [top]) => board(85.6, top!, `${v.pockets} pockets`),
    [
      {
        holds: (v) => v.depth! <= v.card!,
        says: 'The front pocket can be no deeper than the card is high: the card would vanish in it.',
      },
    ],
  ),
]
