import { ARC_PER_STITCH, EASE_LIMIT, EDGE_DISTANCE } from '../formulas/index.js'
import { type Entry, type Values, answer, count, entry, mm, number, thin } from './entry.js'
import { evenHoles, handle, holeRow } from './sketches.js'
import { required } from '../lists/index.js'

const pitch = { ...thin('pitch', 3.38), min: 0.5 }
const joints = (v: Values): number[] =>
  Array.from(
    { length: required(v.steps, 'steps') },
    (_, i) => required(v.first, 'first') + i * required(v.reveal, 'reveal'),
  )
const CLEAR_OF_STEPS = '{clearance} clear of {steps} steps {reveal} apart from {first} counted round {pitch}'

/** Holes: docs/formulas.md §7. */
export const HOLES: readonly Entry[] = [
  entry({
    id: 'stitch-count',
    section: '§7',
    title: 'Stitches on a side',
    says: 'the count whose pitch comes nearest to the iron',
    inputs: { length: { ...mm('length', 187.3), min: 1 }, pitch: { ...pitch, value: 3.85 } },
    answers: [
      answer('stitches', 'the count of stitches nearest to {pitch} on {length}', {
        quantity: 'count',
        as: 'stitches',
      }),
      answer('pitch', '{length} / {stitches} stitches', { quantity: 'thickness' }),
    ],
    draw: (v, [n = 0]) => evenHoles(v.length, n),
  }),
  entry({
    id: 'side-nudge',
    section: '§7',
    title: 'Nudge to whole stitches',
    says: 'how much a side changes to take whole stitches at the iron’s own pitch',
    inputs: { length: { ...mm('length', 101.3), min: 1 }, pitch: { ...pitch, value: 3.85 } },
    answers: [
      answer('stitches', '{length} / {pitch}, rounded, at least 1', { quantity: 'count', as: 'stitches' }),
      answer('change', '{stitches} stitches × {pitch} − {length}', { quantity: 'thickness' }),
    ],
    draw: (v, [n = 0, d = 0]) => evenHoles(v.length + d, n),
  }),
  entry({
    id: 'curve-stitch',
    section: '§7',
    title: 'Stitches round a curve',
    says: 'irons step straight across: a stitch uses up more of the curve',
    inputs: {
      radius: { ...mm('radius of the stitch line', 12), min: 1 },
      pitch: { ...pitch, value: 3.85 },
    },
    answers: [
      answer('curve used by a stitch', ARC_PER_STITCH, { quantity: 'thickness', as: 'arc' }),
      answer('stitches on a quarter', 'π/2 × {radius} / {arc}', { quantity: 'share' }),
    ],
    draw: (v) => handle(v.radius * Math.SQRT2, v.radius * (1 - Math.SQRT1_2)),
  }),
  entry({
    id: 'step-phase',
    section: '§7',
    title: 'Start clear of the steps',
    says: 'where the first hole may lie so that none falls beside a pocket step',
    inputs: {
      pitch: { ...pitch, value: 3.85 },
      first: mm('first step', 10),
      reveal: mm('reveal', 11.55),
      steps: { ...count('steps', 4), min: 1, max: 12 },
      clearance: thin('clearance', 1),
    },
    answers: [
      answer('earliest start', `the first start ${CLEAR_OF_STEPS}`, { quantity: 'thickness', as: 'from' }),
      answer('latest start', `the last start ${CLEAR_OF_STEPS}`, { quantity: 'thickness', as: 'to' }),
      answer('best clearance', '({to} − {from}) / 2 + {clearance}', { quantity: 'thickness' }),
    ],
    draw: (v, [from = 0, to = 0]) =>
      holeRow(
        60,
        Array.from(
          { length: Math.floor(60 / v.pitch) },
          (_, i) => ((Number.isFinite(from) ? (from + to) / 2 : 0) % v.pitch) + i * v.pitch,
        ),
        3,
        joints(v).filter((j) => j < 60),
      ),
  }),
  entry({
    id: 'edge-distance',
    section: '§7',
    title: 'Hole to edge',
    says: 'so that the thread does not tear out',
    inputs: {
      hole: thin('hole', 1),
      bevel: thin('bevel', 0.5),
      force: { ...number('pull of a stitch, N', 60), max: 1000 },
      thickness: { ...thin('thickness', 1.5), min: 0.1 },
      shear: { ...number('shear strength, N/mm²', 12), min: 1, max: 100 },
    },
    answers: [answer('hole centre to edge', EDGE_DISTANCE)],
    draw: (_, [q = 0]) => holeRow(30, [5, 10, 15, 20, 25], q),
  }),
  entry({
    id: 'ease',
    section: '§7',
    title: 'Ease of two edges',
    says: 'how much longer one edge may be before it puckers',
    inputs: { pitch: { ...pitch, value: 4 }, pucker: thin('pucker that may show', 0.3) },
    answers: [answer('share longer', EASE_LIMIT, { quantity: 'share' })],
    draw: (v) => evenHoles(v.pitch * 6, 6),
  }),
]
