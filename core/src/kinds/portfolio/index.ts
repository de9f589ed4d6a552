import { bagKind } from '../bags/kind.js'

/** A flat case for papers that folds over, with a slip for a pad. */
export const portfolio = bagKind({
  id: 'portfolio',
  name: 'Portfolio',
  about: 'a flat case for a pad and papers that folds over; places for cards and pens',
  suits: {
    body: ['folded', 'bellows', 'set-in', 'tapered'],
    flap: ['one', 'none'],
    closure: ['none', 'snap', 'magnet', 'lock', 'strap', 'zip'],
    base: ['none'],
    pocket: ['none'],
    feet: ['none'],
    strap: ['none'],
    handle: ['none', 'ring', 'flat', 'doubled'],
  },
  usual: {
    body: 'folded',
    wide: 330,
    high: 240,
    deep: 30,
    seam: 'raw',
    pleatAngle: 120,
    flap: 'one',
    flapLength: 220,
    flapRadius: 12,
    closure: 'snap',
    slip: 'pad',
    organiser: 'covered',
    cards: 2,
    pens: 2,
    handle: 'none',
    handles: 1,
    handleRise: 45,
    handleSpan: 110,
    handleWide: 20,
    lap: 30,
  },
  brief: [
    'Built as {body}, sewn {seam}. {flap}[ folds over {flapLength}], shut by {closure}. Inside {slip}; {organiser}[, {cards} for cards and {pens} for pens].',
  ],
})
