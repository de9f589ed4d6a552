import {
  SQUARE_FOOT_DM2,
  areaToBuy,
  curlLength,
  domeShank,
  edgeLoss,
  mouldingExtra,
  postLength,
  turning,
} from '../formulas/index.js'
import { type Entry, type Values, answer, degrees, entry, mm, neutral, number, share, thin } from './entry.js'
import { bent, board, rounds, wall } from './sketches.js'

const thickness = { ...thin('thickness', 1.6), least: 0.1 }
const turnedBag = (v: Values) =>
  turning({
    modulus: v.modulus!,
    poisson: 0.3,
    thickness: v.thickness!,
    girth: v.girth!,
    opening: v.opening!,
  })

/** Moulding, hardware, turning and area: docs/formulas.md §11 to §14. */
export const HARDWARE: readonly Entry[] = [
  entry(
    'moulding',
    '§11',
    'Wet moulding',
    'what a panel needs over its footprint',
    {
      height: mm('height', 22),
      slope: { ...degrees('slope of the wall', 80), least: 1, most: 90 },
      topRadius: thin('top radius', 3),
      footRadius: thin('foot radius', 3.5),
      thickness: { ...thickness, value: 2.5 },
      k: { ...neutral, value: 0.55 },
    },
    [
      answer(
        'over the footprint',
        '2 × {height} × tan(half of {slope}) + 2 × ({topRadius} + {footRadius}) × ({slope} − 2 × tan(half)) + 2 × {slope} × (2 × {k} − 1) × {thickness}',
        (v) =>
          mouldingExtra({
            height: v.height!,
            slope: v.slope!,
            topRadius: v.topRadius!,
            footRadius: v.footRadius!,
            thickness: v.thickness!,
            neutral: v.k!,
          }),
      ),
    ],
    (v) => wall(v.height!, v.slope!, 30),
  ),
  entry(
    'rivet',
    '§12',
    'Rivet or snap',
    'post for the stack',
    {
      stack: thin('stack', 4),
      pressed: { ...share('pressed to', 0.92), least: 0.5 },
      setting: thin('left for setting', 2.5),
    },
    [answer('post', '{stack} × {pressed} + {setting}', (v) => postLength(v.stack!, v.pressed!, v.setting!))],
    (_, [p]) => board(4, p!, p!.toFixed(1)),
  ),
  entry(
    'dome',
    '§12',
    'Peened dome',
    'shank left over the burr, by volume',
    {
      shank: { ...thin('shank', 3), least: 0.5 },
      head: thin('head', 4.5),
      height: thin('height of the dome', 1.5),
    },
    [
      answer('leave', '4 × π × {height} × (3 × {head}² / 4 + {height}²) / 6 / (π × {shank}²)', (v) =>
        domeShank(v.shank!, v.head!, v.height!),
      ),
    ],
    (v) => rounds(v.head!, v.shank!),
  ),
  entry(
    'curl',
    '§12',
    'Curled tube',
    'snap or eyelet: tube that becomes a flange',
    { tube: thin('tube', 5), flange: thin('flange', 8) },
    [answer('tube', 'π × ({flange} − {tube}) / 4', (v) => curlLength(v.tube!, v.flange!))],
    (v) => rounds(v.flange!, v.tube!),
    [
      {
        holds: (v) => v.tube! < v.flange!,
        says: 'The flange has to be wider than the tube that curls into it.',
      },
    ],
  ),
  entry(
    'turning',
    '§13',
    'Turning inside out',
    'how hard a bag is to turn through its opening',
    {
      modulus: {
        ...number('stiffness, N/mm² (soft 5–15, medium 30, firm 100–200)', 30),
        least: 1,
        most: 400,
      },
      thickness,
      girth: { ...mm('girth of the body', 700), least: 10 },
      opening: { ...mm('round the opening', 400), least: 10 },
    },
    [
      answer('fold radius', '{opening}² / (4 × π) / (2 × {girth})', (v) => turnedBag(v).radius),
      answer('strain', '{thickness} / (2 × radius)', (v) => turnedBag(v).strain, 'share'),
      answer('pull, N', '{girth} × stiffness / (2 × radius²)', (v) => turnedBag(v).pull, 'count'),
    ],
    (v, [r]) => bent(Math.PI, r!, v.thickness!),
  ),
  entry(
    'hide-area',
    '§14',
    'Leather to buy',
    'from the net area of the pieces',
    {
      net: { ...number('net, dm²', 95), least: 0.1 },
      nesting: { ...share('share nested', 0.8), least: 0.1 },
      quality: { ...share('share good', 0.9), least: 0.1 },
      edge: { ...share('lost at the edge', 0.12), most: 0.9 },
    },
    [
      answer(
        'buy, dm²',
        '{net} / ({nesting} × {quality} × (1 − {edge}))',
        (v) => areaToBuy(v.net!, v.nesting!, v.quality!, v.edge!),
        'share',
      ),
      answer(
        'buy, sq ft',
        'that / 9.290304',
        (v) => areaToBuy(v.net!, v.nesting!, v.quality!, v.edge!) / SQUARE_FOOT_DM2,
        'share',
      ),
    ],
    (_, [a]) => board(Math.sqrt(a!) * 100, Math.sqrt(a!) * 100, `${a!.toFixed(0)} dm²`),
  ),
  entry(
    'edge-loss',
    '§14',
    'Loss along the edge of a hide',
    'the share that pieces of one size cannot use along its border',
    {
      area: { ...number('area of the hide, dm²', 200), least: 1 },
      perimeter: { ...number('round its border, mm', 6200), least: 100 },
      side: { ...mm('side of a piece, on average', 150), least: 1 },
    },
    [
      answer(
        'lost along the edge',
        '(2/π × {perimeter} × {side} − {side}²) / ({area} × 10000)',
        (v) => edgeLoss(v.perimeter!, v.area! * 1e4, v.side!),
        'share',
      ),
    ],
    (v) => board(v.side!, v.side!, 'one piece'),
  ),
]
