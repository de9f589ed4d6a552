import { NARROWEST, SIDE_ROOM, TOP_OF_STACK } from '../formulas/index.js'
import { type Entry, answer, count, entry, mm, thin } from './entry.js'
import { board, strip } from './sketches.js'

/** Card pockets: docs/formulas.md §9. */
export const POCKETS: readonly Entry[] = [
  entry({
    id: 'pocket-width',
    section: '§9',
    title: 'Card pocket',
    says: 'room at both sides so that the face rises over the pile',
    inputs: {
      card: { ...mm('card', 85.6), min: 1 },
      rise: thin('rise of the pile', 1.5),
      stretch: { ...thin('stretch of the face', 1.3), min: 0.05 },
      margin: thin('margin', 3),
      hole: thin('half a hole', 0.6),
    },
    answers: [
      answer('room a side', SIDE_ROOM, { as: 'room' }),
      answer('between the stitches', '{card} card + 2 × {room} room', { as: 'between' }),
      answer('panel', '{between} + 2 × ({margin} margin + {hole} half a hole)'),
    ],
    draw: (v, [a = 0]) =>
      strip([v.margin + v.hole, Math.max(0, a), v.card, Math.max(0, a), v.margin + v.hole], 46),
  }),
  entry({
    id: 'narrowest-pocket',
    section: '§9',
    title: 'Narrowest pocket',
    says: 'both faces free: less than this and no card goes in',
    inputs: {
      card: mm('card', 85.6),
      thick: thin('card thickness', 0.76),
      cards: { ...count('cards', 3), min: 1 },
    },
    answers: [answer('between the stitches', NARROWEST)],
    draw: (_, [w = 0]) => board(w, 46, '{}', { mm: w }),
  }),
  entry({
    id: 'top-card',
    section: '§9',
    title: 'Stack of pockets',
    says: 'how high the uppermost card stands',
    inputs: {
      pockets: { ...count('pockets', 4), min: 1, max: 12 },
      reveal: mm('reveal', 12),
      card: mm('card height', 53.98),
      depth: mm('depth of the front pocket', 48),
    },
    answers: [
      answer('top of the uppermost card', TOP_OF_STACK),
      answer('top edge of the pockets', '({pockets} − 1) × {reveal} + {depth}'),
      answer('shown', '{card} card − {depth} pocket'),
    ],
    draw: (v, [top = 0]) => board(85.6, top, `${v.pockets} pockets`),
    conditions: [
      {
        holds: (v) => v.depth <= v.card,
        says: 'The front pocket can be no deeper than the card is high: the card would vanish in it.',
      },
    ],
  }),
]
