import {
  ARC_ANGLE,
  ARC_RADIUS,
  BELT_GIRTH,
  BEND,
  BOOK_FOLD,
  CORD_MIDDLE,
  CORD_REACH,
  KEEPER,
  PIPED_COVER,
  ROLLED_COVER,
} from '../formulas/index.js'
import { type Entry, answer, entry, mm, neutral, step, thin } from './entry.js'
import { bent, board, handle, rounds, strip } from './sketches.js'

const thickness = { ...thin('thickness', 1.6), min: 0.1 }

/** Straps and handles: docs/formulas.md §10. */
export const STRAPS: readonly Entry[] = [
  entry({
    id: 'handle',
    section: '§10',
    title: 'Handle',
    says: 'bent as an arc over its two ends',
    inputs: {
      chord: { ...mm('between the ends', 110), min: 1 },
      rise: { ...mm('inner rise', 55), min: 1 },
      thickness: { ...thickness, value: 4 },
      k: neutral,
      end: mm('attachment at each end', 25),
    },
    answers: [
      step('radius', 'radius of the arc', ARC_RADIUS),
      step('angle', 'angle of the arc', ARC_ANGLE, 'angle'),
      answer('without attachments', BEND, { as: 'arc' }),
      answer('cut', '{arc} + 2 × {end} at the ends'),
    ],
    draw: (v) => handle(v.chord, v.rise),
  }),
  entry({
    id: 'keeper',
    section: '§10',
    title: 'Keeper',
    says: 'a loop round the straps it holds',
    inputs: {
      width: mm('strap width', 25),
      straps: thin('all straps together', 7),
      easeWidth: thin('ease in width', 0.5),
      easeThick: thin('ease in thickness', 0.5),
      thickness: { ...thickness, value: 1.8 },
      overlap: mm('overlap', 0),
      k: neutral,
    },
    answers: [answer('cut', `${KEEPER} + {overlap} overlap`)],
    draw: (v, [l = 0]) => board(l, 12, '{} strap', { mm: v.width }),
  }),
  entry({
    id: 'turn-back',
    section: '§10',
    title: 'Turn-back round a bar',
    says: 'from the middle of the bar to the end of the lap',
    inputs: { gap: thin('bar', 6), thickness: { ...thickness, value: 2.5 }, lap: mm('lap', 35), k: neutral },
    answers: [answer('add', `${BOOK_FOLD} + {lap} lap`)],
    draw: (v) => bent(Math.PI, v.gap / 2, v.thickness, v.lap),
  }),
  entry({
    id: 'belt',
    section: '§10',
    title: 'Belt',
    says: 'inner girth of a flat strap',
    inputs: { flat: mm('flat length', 900), thickness: { ...thickness, value: 3.5 }, k: neutral },
    answers: [answer('inner girth', BELT_GIRTH)],
    draw: (v) => strip([v.flat], 35),
  }),
  entry({
    id: 'rolled-handle',
    section: '§10',
    title: 'Rolled handle',
    says: 'cover round a cord',
    inputs: {
      cord: { ...thin('cord', 8), min: 0.5 },
      thickness: { ...thickness, value: 2 },
      below: { ...thin('stitch row below the middle', 9), min: 0.5 },
      flange: thin('flange', 4),
      k: neutral,
    },
    answers: [
      answer('butted', ROLLED_COVER),
      step('middle', 'from the middle of the cord to the middle of the leather', CORD_MIDDLE),
      step('reach', 'from there to the middle of the leather at the stitches', CORD_REACH),
      answer('row to row with flanges', PIPED_COVER, { as: 'rows' }),
      answer('cut with flanges', '{rows} + 2 × {flange} flange'),
    ],
    draw: (v) => rounds(v.cord + 2 * v.thickness, v.cord),
  }),
]
