import {
  BOBBIN,
  LOCKSTITCH,
  PROUD_LOOP,
  SADDLE_STITCHED,
  SLANTED_BOTH,
  SLANTED_ONE,
  THREAD_DIAMETER,
  threadDiameter,
} from '../formulas/index.js'
import { OUNCE, pitchOfNumber, pitchOfSpi } from '../measure/index.js'
import { given } from '../working/index.js'
import { type Entry, answer, count, degrees, entry, mm, number, share, step, thin } from './entry.js'
import { board, evenHoles, rounds, strip } from './sketches.js'

const pitch = { ...thin('pitch', 3.38), min: 0.5 }

/** Units and thread: docs/formulas.md §1 and §6. */
export const SEWING: readonly Entry[] = [
  entry({
    id: 'leather-weight',
    section: '§1',
    title: 'Leather weight',
    says: 'ounces to millimetres',
    inputs: { oz: { ...number('ounces', 4), min: 0.5, max: 20 } },
    answers: [
      answer('thickness', '{oz} × {ounce}', {
        quantity: 'thickness',
        also: { ounce: given('an ounce, 1/64 in', OUNCE, 'thickness') },
      }),
    ],
    draw: (_, [t = 0]) => strip([20], t),
  }),
  entry({
    id: 'iron-pitch',
    section: '§1',
    title: 'Pitch',
    says: 'stitches to an inch, or the number of an iron',
    inputs: {
      spi: { ...number('stitches to an inch', 7), min: 1, max: 20 },
      number: { ...number('number of the iron', 9), min: 4, max: 20 },
    },
    answers: [
      answer('by the inch', '{inch} / {spi}', {
        quantity: 'thickness',
        also: { inch: given('an inch', pitchOfSpi(1), 'thickness') },
      }),
      answer('by the number', '{pouce} / {number}', {
        quantity: 'thickness',
        also: { pouce: given('the old French inch', pitchOfNumber(1), 'thickness') },
      }),
    ],
    draw: (_, [p = 0]) => evenHoles(p * 8, 8),
  }),
  entry({
    id: 'thread-size',
    section: '§1',
    title: 'Thread size',
    says: 'how thick a thread of that weight is',
    inputs: {
      tex: { ...number('tex, g/km', 275), min: 5, max: 3000 },
      density: { ...number('density (linen 1.50, polyester 1.38)', 1.5), min: 0.8, max: 2 },
      packing: { ...share('packing', 0.6), min: 0.3 },
    },
    answers: [answer('thickness', THREAD_DIAMETER, { quantity: 'thickness' })],
    draw: (_, [d = 0]) => rounds(d),
  }),
  entry({
    id: 'saddle-thread',
    section: '§6',
    title: 'Thread for saddle stitch',
    says: 'both needles together',
    inputs: {
      stitches: { ...count('stitches', 40), min: 1 },
      pitch,
      thickness: thin('thickness', 4),
      back: count('backstitches', 3),
      tail: mm('tail at each needle', 150),
      waste: share('added', 0.06),
    },
    answers: [
      step('holes', 'through the work', '{thickness} once + 2 × {stitches} holes × {thickness}'),
      answer('thread', `(${SADDLE_STITCHED} + 2 × {tail} tails) × (1 + {waste})`),
      answer('times the seam, without tails', '2 × (1 + {thickness} / {pitch})', { quantity: 'share' }),
    ],
    draw: (v) => evenHoles(v.stitches * v.pitch, v.stitches),
  }),
  entry({
    id: 'proud-loop',
    section: '§6',
    title: 'Thread lying proud',
    says: 'one stitch along the middle of the thread',
    inputs: { pitch, thickness: thin('thickness', 4), thread: thin('thread', 0.6) },
    answers: [answer('one loop', PROUD_LOOP)],
    draw: (v) => board(v.pitch, v.thickness, ''),
  }),
  entry({
    id: 'slanted-stitch',
    section: '§6',
    title: 'Thread through slanted slots',
    says: 'one stitch whose slots let the thread lie at a slant, on one face or on both',
    inputs: {
      pitch,
      thickness: thin('thickness', 3),
      slit: thin('slit left beside the thread', 1.2),
      slant: degrees('slant of the slots', 45),
    },
    answers: [
      step('along', 'slit along the seam', '{slit} × cosine of {slant}', 'thickness'),
      step('across', 'slit across the seam', '{slit} × sine of {slant}', 'thickness'),
      answer('slanting on one face', SLANTED_ONE),
      answer('slanting on both', SLANTED_BOTH),
    ],
    draw: (v) => board(v.pitch, v.thickness, ''),
  }),
  entry({
    id: 'lockstitch',
    section: '§6',
    title: 'Thread for lockstitch',
    says: 'needle and bobbin apart',
    inputs: {
      stitches: { ...count('stitches', 60), min: 1 },
      pitch: { ...pitch, value: 3.5 },
      thickness: thin('thickness', 3),
      lock: share('lock at, from the needle side', 0.5),
    },
    answers: [
      answer('needle', LOCKSTITCH),
      answer('bobbin', '{stitches} × ({pitch} + 2 × (1 − {lock}) × {thickness})'),
    ],
    draw: (v) => evenHoles(v.stitches * v.pitch, v.stitches),
  }),
  entry({
    id: 'thread-systems',
    section: '§1',
    title: 'Thread by other systems',
    says: 'what the same thread is called elsewhere',
    inputs: { tex: { ...number('tex, g/km', 135), min: 5, max: 3000 } },
    answers: [
      answer('denier', '9 × {tex}', { quantity: 'share' }),
      answer('ticket', '3000 / {tex}', { quantity: 'share' }),
      answer('cotton ticket', '1771.6 / {tex}', { quantity: 'share' }),
      answer('Nm', '1000 / {tex}', { quantity: 'share' }),
      answer('lea of three plies', '3 × 1653.5 / {tex}', { quantity: 'share' }),
    ],
    draw: (v) => rounds(threadDiameter(v.tex, 1.38, 0.65)),
  }),
  entry({
    id: 'bobbin',
    section: '§19',
    title: 'Thread on a bobbin',
    says: 'how far a full one goes',
    inputs: {
      across: mm('across the winding', 24),
      core: { ...mm('across the core', 8), min: 0.5 },
      wide: mm('between the flanges', 10),
      fill: { ...share('share filled', 0.7), min: 0.1 },
      thread: { ...thin('thread', 0.35), min: 0.05 },
    },
    answers: [
      answer('thread', ({ across = 0, core = 0 }) => (across > core ? BOBBIN : '0: the core fills it')),
    ],
    draw: (v) => rounds(v.thread),
  }),
]
