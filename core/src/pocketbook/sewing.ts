import { bobbinHolds, lockstitch, proudLoop, saddleStitchThread } from '../formulas/index.js'
import { OUNCE, pitchOfNumber, pitchOfSpi, threadDiameter } from '../measure/index.js'
import { given } from '../working/index.js'
import { type Entry, type Values, answer, count, entry, mm, number, share, thin } from './entry.js'
import { board, evenHoles, rounds, strip } from './sketches.js'

const stacks = (v: Values): number[] => Array.from({ length: v.stitches! + 1 }, () => v.thickness!)
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
      answer('thickness', '{oz} × {ounce}', (v) => v.oz! * v.ounce!, 'thickness', {
        ounce: given('an ounce, 1/64 in', OUNCE, 'thickness'),
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
      answer('by the inch', '{inch} / {spi}', (v) => v.inch! / v.spi!, 'thickness', {
        inch: given('an inch', pitchOfSpi(1), 'thickness'),
      }),
      answer('by the number', '{pouce} / {number}', (v) => v.pouce! / v.number!, 'thickness', {
        pouce: given('the old French inch', pitchOfNumber(1), 'thickness'),
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
    [
      answer(
        'thickness',
        '√(0.004 × {tex} / (π × {density} × {packing}))',
        (v) => threadDiameter(v.tex!, v.density!, v.packing!),
        'thickness',
      ),
    ],
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
      answer(
        'thread',
        '(2 × {stitches} × {pitch} + (2 × {stitches} + 1) × {thickness} + {back} × 2 × ({pitch} + {thickness}) + 2 × {tail}) × (1 + {waste})',
        (v) =>
          (1 + v.waste!) *
          saddleStitchThread({
            stitches: v.stitches!,
            pitch: v.pitch!,
            stacks: stacks(v),
            backstitches: v.back!,
            ends: 2,
            tail: v.tail!,
          }),
      ),
      answer(
        'times the seam, without tails',
        '2 × (1 + {thickness} / {pitch})',
        (v) => 2 * (1 + v.thickness! / v.pitch!),
        'share',
      ),
    ],
    (v) => evenHoles(v.stitches! * v.pitch!, v.stitches!),
  ),
  entry(
    'proud-loop',
    '§6',
    'Thread lying proud',
    'one stitch along the middle of the thread',
    { pitch, thickness: thin('thickness', 4), thread: thin('thread', 0.6) },
    [
      answer('one loop', '2 × ({pitch} + {thickness}) + π × {thread}', (v) =>
        proudLoop(v.pitch!, v.thickness!, v.thread!),
      ),
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
      answer(
        'needle',
        '{stitches} × ({pitch} + 2 × {lock} × {thickness})',
        (v) => lockstitch(v.stitches!, v.pitch!, v.thickness!, v.lock!).needle,
      ),
      answer(
        'bobbin',
        '{stitches} × ({pitch} + 2 × (1 − {lock}) × {thickness})',
        (v) => lockstitch(v.stitches!, v.pitch!, v.thickness!, v.lock!).bobbin,
      ),
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
      answer('denier', '9 × {tex}', (v) => 9 * v.tex!, 'share'),
      answer('ticket', '3000 / {tex}', (v) => 3000 / v.tex!, 'share'),
      answer('cotton ticket', '1771.6 / {tex}', (v) => 1771.6 / v.tex!, 'share'),
      answer('Nm', '1000 / {tex}', (v) => 1000 / v.tex!, 'share'),
      answer('lea of three plies', '3 × 1653.5 / {tex}', (v) => (3 * 1653.5) / v.tex!, 'share'),
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
    [
      answer('thread', '({across}² − {core}²) × {wide} × {fill} / {thread}²', (v) =>
        v.across! > v.core! ? 1000 * bobbinHolds(v.across!, v.core!, v.wide!, v.thread!, v.fill!) : 0,
      ),
    ],
    (v) => rounds(v.thread!),
  ),
]
