import {
  AREA_TO_BUY,
  CURL,
  DOME_SHANK,
  EDGE_LOSS,
  MOULDING,
  POISSON,
  POST,
  SHANK_IN_HOLE,
  SQUARE_FOOT_DM2,
  STRIP_STIFFNESS,
  TURNING_PULL,
  TURNING_RADIUS,
  TURNING_STRAIN,
} from '../formulas/index.js'
import { given } from '../working/index.js'
import { type Entry, answer, degrees, entry, mm, neutral, number, share, thin } from './entry.js'
import { bent, board, rounds, wall } from './sketches.js'

const thickness = { ...thin('thickness', 1.6), min: 0.1 }
/** Moulding, hardware, turning and area: docs/formulas.md §11 to §14. */
export const HARDWARE: readonly Entry[] = [
  entry({
    id: 'moulding',
    section: '§11',
    title: 'Wet moulding',
    says: 'what a panel needs over its footprint',
    inputs: {
      height: mm('height', 22),
      slope: { ...degrees('slope of the wall', 80), min: 1, max: 90 },
      topRadius: thin('top radius', 3),
      footRadius: thin('foot radius', 3.5),
      thickness: { ...thickness, value: 2.5 },
      k: { ...neutral, value: 0.55 },
    },
    answers: [answer('over the footprint', MOULDING)],
    draw: (v) => wall(v.height, v.slope, 30),
  }),
  entry({
    id: 'rivet',
    section: '§12',
    title: 'Rivet or snap',
    says: 'post for the stack',
    inputs: {
      stack: thin('stack', 4),
      pressed: { ...share('pressed to', 0.92), min: 0.5 },
      setting: thin('left for setting', 2.5),
    },
    answers: [answer('post', POST)],
    draw: (_, [p = 0]) => board(4, p, '{}', { mm: p }),
  }),
  entry({
    id: 'dome',
    section: '§12',
    title: 'Peened dome',
    says: 'shank left over the burr, by volume',
    inputs: {
      shank: { ...thin('shank', 3), min: 0.5 },
      head: thin('head', 4.5),
      height: thin('height of the dome', 1.5),
    },
    answers: [answer('leave', DOME_SHANK)],
    draw: (v) => rounds(v.head, v.shank),
  }),
  entry({
    id: 'shank-in-hole',
    section: '§12',
    title: 'Shank in a wide hole',
    says: 'what a shank loses filling a hole wider than itself',
    inputs: {
      stack: thin('stack', 6),
      shank: { ...thin('shank', 3), min: 0.5 },
      hole: { ...thin('hole', 3.3), min: 0.5 },
    },
    answers: [answer('lost', SHANK_IN_HOLE, { quantity: 'thickness' })],
    draw: (v) => rounds(v.hole, v.shank),
    conditions: [
      {
        holds: (v) => v.shank <= v.hole,
        says: 'The hole has to be as wide as the shank: it would not go in.',
      },
    ],
  }),
  entry({
    id: 'curl',
    section: '§12',
    title: 'Curled tube',
    says: 'snap or eyelet: tube that becomes a flange',
    inputs: { tube: thin('tube', 5), flange: thin('flange', 8) },
    answers: [answer('tube', CURL)],
    draw: (v) => rounds(v.flange, v.tube),
    conditions: [
      {
        holds: (v) => v.tube < v.flange,
        says: 'The flange has to be wider than the tube that curls into it.',
      },
    ],
  }),
  entry({
    id: 'turning',
    section: '§13',
    title: 'Turning inside out',
    says: 'how hard a bag is to turn through its opening',
    inputs: {
      modulus: {
        ...number('stiffness, N/mm² (soft 5–15, medium 30, firm 100–200)', 30),
        min: 1,
        max: 400,
      },
      thickness,
      girth: { ...mm('girth of the body', 700), min: 10 },
      opening: { ...mm('round the opening', 400), min: 10 },
    },
    answers: [
      answer('stiffness of a strip 1 mm wide, N mm', STRIP_STIFFNESS, {
        quantity: 'share',
        as: 'stiffness',
        step: true,
        also: { poisson: given('thinning across', POISSON, 'share') },
      }),
      answer('fold radius', TURNING_RADIUS, { as: 'radius' }),
      answer('strain', TURNING_STRAIN, { quantity: 'share' }),
      answer('pull, N', TURNING_PULL, { quantity: 'count' }),
    ],
    draw: (v, [r = 0]) => bent(Math.PI, r, v.thickness),
  }),
  entry({
    id: 'hide-area',
    section: '§14',
    title: 'Leather to buy',
    says: 'from the net area of the pieces',
    inputs: {
      net: { ...number('net, dm²', 95), min: 0.1 },
      nesting: { ...share('share nested', 0.8), min: 0.1 },
      quality: { ...share('share good', 0.9), min: 0.1 },
      edge: { ...share('lost at the edge', 0.12), max: 0.9 },
    },
    answers: [
      answer('buy, dm²', AREA_TO_BUY, { quantity: 'share', as: 'buy' }),
      answer('buy, sq ft', '{buy} / {foot} to the square foot', {
        quantity: 'share',
        also: { foot: given('a square foot', SQUARE_FOOT_DM2, 'share') },
      }),
    ],
    draw: (_, [a = 0]) => board(Math.sqrt(a) * 100, Math.sqrt(a) * 100, '{}', { area: a * 10_000 }),
  }),
  entry({
    id: 'edge-loss',
    section: '§14',
    title: 'Loss along the edge of a hide',
    says: 'the share that pieces of one size cannot use along its border',
    inputs: {
      area: { ...number('area of the hide, dm²', 200), min: 1 },
      perimeter: { ...number('round its border, mm', 6200), min: 100 },
      side: { ...mm('side of a piece, on average', 150), min: 1 },
    },
    answers: [answer('lost along the edge', EDGE_LOSS, { quantity: 'share' })],
    draw: (v) => board(v.side, v.side, 'one piece'),
  }),
]
