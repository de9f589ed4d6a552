import { ARC_PER_STITCH, EASE_LIMIT, EDGE_DISTANCE } from '../formulas/index.js'
import { type Entry, type Values, answer, count, entry, mm, number, thin } from './entry.js'
import { evenHoles, handle, holeRow } from './sketches.js'

const pitch = { ...thin('pitch', 3.38), least: 0.5 }
const joints = (v: Values): number[] => Array.from({ length: v.steps! }, (_, i) => v.first! + i * v.reveal!)
const CLEAR_OF_STEPS = '{clearance} clear of {steps} steps {reveal} apart from {first} counted round {pitch}'

/** Holes: docs/formulas.md §7. */
export const HOLES: readonly Entry[] = [
  entry(
    'stitch-count',
    '§7',
    'Stitches on a side',
    'the count whose pitch comes nearest to the iron',
    { length: { ...mm('length', 187.3), least: 1 }, pitch: { ...pitch, value: 3.85 } },
    [
      answer('stitches', 'the count of stitches nearest to {pitch} on {length}', {
        quantity: 'count',
        as: 'stitches',
      }),
      answer('pitch', '{length} / {stitches} stitches', { quantity: 'thickness' }),
    ],
    (v, [n]) => evenHoles(v.length!, n!),
  ),
  entry(
    'side-nudge',
    '§7',
    'Nudge to whole stitches',
    'how much a side changes to take whole stitches at the iron’s own pitch',
    { length: { ...mm('length', 101.3), least: 1 }, pitch: { ...pitch, value: 3.85 } },
    [
      answer('stitches', '{length} / {pitch}, rounded, at least 1', { quantity: 'count', as: 'stitches' }),
      answer('change', '{stitches} stitches × {pitch} − {length}', { quantity: 'thickness' }),
    ],
    (v, [n, d]) => evenHoles(v.length! + d!, n!),
  ),
  entry(
    'curve-stitch',
    '§7',
    'Stitches round a curve',
    'irons step straight across: a stitch uses up more of the curve',
    { radius: { ...mm('radius of the stitch line', 12), least: 1 }, pitch: { ...pitch, value: 3.85 } },
    [
      answer('curve used by a stitch', ARC_PER_STITCH, { quantity: 'thickness', as: 'arc' }),
      answer('stitches on a quarter', 'π/2 × {radius} / {arc}', { quantity: 'share' }),
    ],
    (v) => handle(v.radius! * Math.SQRT2, v.radius! * (1 - Math.SQRT1_2)),
  ),
  entry(
    'step-phase',
    '§7',
    'Start clear of the steps',
    'where the first hole may lie so that none falls beside a pocket step',
    {
      pitch: { ...pitch, value: 3.85 },
      first: mm('first step', 10),
      reveal: mm('reveal', 11.55),
      steps: { ...count('steps', 4), least: 1, most: 12 },
      clearance: thin('clearance', 1),
    },
    [
      answer('earliest start', `the first start ${CLEAR_OF_STEPS}`, { quantity: 'thickness', as: 'from' }),
      answer('latest start', `the last start ${CLEAR_OF_STEPS}`, { quantity: 'thickness', as: 'to' }),
      answer('best clearance', '({to} − {from}) / 2 + {clearance}', { quantity: 'thickness' }),
    ],
    (v, [from, to]) =>
      holeRow(
        60,
        Array.from(
          { length: Math.floor(60 / v.pitch!) },
          (_, i) => ((Number.isFinite(from) ? (from! + to!) / 2 : 0) % v.pitch!) + i * v.pitch!,
        ),
        3,
        joints(v).filter((j) => j < 60),
      ),
  ),
  entry(
    'edge-distance',
    '§7',
    'Hole to edge',
    'so that the thread does not tear out',
    {
      hole: thin('hole', 1),
      bevel: thin('bevel', 0.5),
      force: { ...number('pull of a stitch, N', 60), most: 1000 },
      thickness: { ...thin('thickness', 1.5), least: 0.1 },
      shear: { ...number('shear strength, N/mm²', 12), least: 1, most: 100 },
    },
    [answer('hole centre to edge', EDGE_DISTANCE)],
    (_, [q]) => holeRow(30, [5, 10, 15, 20, 25], q!),
  ),
  entry(
    'ease',
    '§7',
    'Ease of two edges',
    'how much longer one edge may be before it puckers',
    { pitch: { ...pitch, value: 4 }, pucker: thin('pucker that may show', 0.3) },
    [answer('share longer', EASE_LIMIT, { quantity: 'share' })],
    (v) => evenHoles(v.pitch! * 6, 6),
  ),
]
