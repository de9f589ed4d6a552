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

const pitch = { ...thin('pitch', 3.38), least: 0.5 }

/** Units and thread: docs/formulas.md §1 and §6. */
export const SEWING: readonly Entry[] = [
  entry(
    'leather-weight',
    '§1',
    'Leather weight',
    'ounces to millimetres',
    { oz: { ...number('ounces', 4), least: 0.5, most: 20 } },
    [
      answer('thickness', '{oz} × {ounce}', {
        quantity: 'thickness',
        also: { ounce: given('an ounce, 1/64 in', OUNCE, 'thickness') },
      }),
    ],
    (_, [t]) => strip([20], t!),
  ),
  entry(
    'iron-pitch',
    '§1',
    'Pitch',
    'stitches to an inch, or the number of an iron',
    {
      spi: { ...number('stitches to an inch', 7), least: 1, most: 20 },
      number: { ...number('number of the iron', 9), least: 4, most: 20 },
    },
    [
      answer('by the inch', '{inch} / {spi}', {
        quantity: 'thickness',
        also: { inch: given('an inch', pitchOfSpi(1), 'thickness') },
      }),
      answer('by the number', '{pouce} / {number}', {
        quantity: 'thickness',
        also: { pouce: given('the old French inch', pitchOfNumber(1), 'thickness') },
      }),
    ],
    (_, [p]) => evenHoles(p! * 8, 8),
  ),
  entry(
    'thread-size',
    '§1',
    'Thread size',
    'how thick a thread of that weight is',
    {
      tex: { ...number('tex, g/km', 275), least: 5, most: 3000 },
      density: { ...number('density (linen 1.50, polyester 1.38)', 1.5), least: 0.8, most: 2 },
      packing: { ...share('packing', 0.6), least: 0.3 },
    },
    [answer('thickness', THREAD_DIAMETER, { quantity: 'thickness' })],
    (_, [d]) => rounds(d!),
  ),
  entry(
    'saddle-thread',
    '§6',
    'Thread for saddle stitch',
    'both needles together',
    {
      stitches: { ...count('stitches', 40), least: 1 },
      pitch,
      thickness: thin('thickness', 4),
      back: count('backstitches', 3),
      tail: mm('tail at each needle', 150),
      waste: share('added', 0.06),
    },
    [
      step('holes', 'through the work', '{thickness} once + 2 × {stitches} holes × {thickness}'),
      answer('thread', `(${SADDLE_STITCHED} + 2 × {tail} tails) × (1 + {waste})`),
      answer('times the seam, without tails', '2 × (1 + {thickness} / {pitch})', { quantity: 'share' }),
    ],
    (v) => evenHoles(v.stitches! * v.pitch!, v.stitches!),
  ),
  entry(
    'proud-loop',
    '§6',
    'Thread lying proud',
    'one stitch along the middle of the thread',
    { pitch, thickness: thin('thickness', 4), thread: thin('thread', 0.6) },
    [answer('one loop', PROUD_LOOP)],
    (v) => board(v.pitch!, v.thickness!, ''),
  ),
  entry(
    'slanted-stitch',
    '§6',
    'Thread through slanted slots',
    'one stitch whose slots let the thread lie at a slant, on one face or on both',
    {
      pitch,
      thickness: thin('thickness', 3),
      slit: thin('slit left beside the thread', 1.2),
      slant: degrees('slant of the slots', 45),
    },
    [
      step('along', 'slit along the seam', '{slit} × cosine of {slant}', 'thickness'),
      step('across', 'slit across the seam', '{slit} × sine of {slant}', 'thickness'),
      answer('slanting on one face', SLANTED_ONE),
      answer('slanting on both', SLANTED_BOTH),
    ],
    (v) => board(v.pitch!, v.thickness!, ''),
  ),
  entry(
    'lockstitch',
    '§6',
    'Thread for lockstitch',
    'needle and bobbin apart',
    {
      stitches: { ...count('stitches', 60), least: 1 },
      pitch: { ...pitch, value: 3.5 },
      thickness: thin('thickness', 3),
      lock: share('lock at, from the needle side', 0.5),
    },
    [
      answer('needle', LOCKSTITCH),
      answer('bobbin', '{stitches} × ({pitch} + 2 × (1 − {lock}) × {thickness})'),
    ],
    (v) => evenHoles(v.stitches! * v.pitch!, v.stitches!),
  ),
  entry(
    'thread-systems',
    '§1',
    'Thread by other systems',
    'what the same thread is called elsewhere',
    { tex: { ...number('tex, g/km', 135), least: 5, most: 3000 } },
    [
      answer('denier', '9 × {tex}', { quantity: 'share' }),
      answer('ticket', '3000 / {tex}', { quantity: 'share' }),
      answer('cotton ticket', '1771.6 / {tex}', { quantity: 'share' }),
      answer('Nm', '1000 / {tex}', { quantity: 'share' }),
      answer('lea of three plies', '3 × 1653.5 / {tex}', { quantity: 'share' }),
    ],
    (v) => rounds(threadDiameter(v.tex!, 1.38, 0.65)),
  ),
  entry(
    'bobbin',
    '§19',
    'Thread on a bobbin',
    'how far a full one goes',
    {
      across: mm('across the winding', 24),
      core: { ...mm('across the core', 8), least: 0.5 },
      wide: mm('between the flanges', 10),
      fill: { ...share('share filled', 0.7), least: 0.1 },
      thread: { ...thin('thread', 0.35), least: 0.05 },
    },
    [answer('thread', (v) => (v.across! > v.core! ? BOBBIN : '0: the core fills it'))],
    (v) => rounds(v.thread!),
  ),
]
