import {
  BELLOWS_CLOSED,
  BELLOWS_LEAF,
  BELLOWS_STRIP,
  BOXED_INSIDE,
  BOXED_OUTSIDE,
  FLANGED_GUSSET,
  FLANGE_STRAIN,
  GUSSET_STRIP,
  ONE_PIECE_WRAP,
  SEAM_HEIGHT,
  SEAM_REACH,
  SEAM_SHIFT,
  SNIPS,
  SNIPS_ROOT,
  TAPER_ALONG,
  TAPER_HALF,
  TAPER_LEAN,
} from '../formulas/index.js'
import { type Entry, answer, count, degrees, entry, mm, neutral, share, step, thin } from './entry.js'
import { bent, board, corner, strip } from './sketches.js'

const thickness = { ...thin('thickness', 1.6), min: 0.1 }
/** Gussets and bag seams: docs/formulas.md §8. */
export const GUSSETS: readonly Entry[] = [
  entry({
    id: 'gusset-strip',
    section: '§8',
    title: 'Gusset round a panel',
    says: 'a strip round two sides and a bottom, along the stitch line',
    inputs: { height: mm('straight side', 220), bottom: mm('bottom', 300), radius: mm('corner radius', 40) },
    answers: [answer('strip', GUSSET_STRIP)],
    draw: (v) =>
      strip(
        [
          v.height - v.radius,
          (Math.PI / 2) * v.radius,
          v.bottom - 2 * v.radius,
          (Math.PI / 2) * v.radius,
          v.height - v.radius,
        ].map((l) => Math.max(0, l)),
        40,
      ),
  }),
  entry({
    id: 'snips',
    section: '§8',
    title: 'Snips round a curve',
    says: 'how many, and how much stays uncut at the root',
    inputs: {
      radius: { ...mm('radius of the stitch line', 40), min: 1 },
      allowance: thin('allowance', 7),
      angle: degrees('angle', 90),
      strain: share('stretch it bears', 0.12),
      gap: { ...thin('widest gap', 2.5), min: 0.2 },
      facet: { ...thin('facet may stand off', 0.2), min: 0.01 },
    },
    answers: [answer('snips', SNIPS, { quantity: 'count' }), answer('uncut at the root', SNIPS_ROOT)],
    draw: (v) => corner(v.radius, 0, v.allowance),
  }),
  entry({
    id: 'flange-strain',
    section: '§8',
    title: 'Flange round a corner',
    says: 'how far the edge of a border that is turned outwards is stretched',
    inputs: {
      radius: { ...mm('corner radius', 25), min: 1 },
      seam: thin('seam, from the corner', 3),
      beyond: thin('border beyond the seam', 4),
    },
    answers: [answer('stretched by', FLANGE_STRAIN, { quantity: 'share' })],
    draw: (v) => corner(v.radius, v.seam, v.beyond),
    conditions: [
      {
        holds: (v) => v.seam < v.radius,
        says: 'The seam has to be less from the corner than its radius: there would be no curve left to turn out.',
      },
    ],
  }),
  entry({
    id: 'seam-roll',
    section: '§8',
    title: 'Turned seam',
    says: 'how a seam sewn inside out stands; an upper bound, hammered it is less',
    inputs: {
      thickness: { ...thickness, value: 1.5 },
      angle: degrees('allowances stand at', 45),
      k: neutral,
    },
    answers: [
      answer('reaches past the seam', SEAM_REACH, { quantity: 'thickness' }),
      answer('stands over it', SEAM_HEIGHT, { quantity: 'thickness' }),
      answer('seam moves by', SEAM_SHIFT, { quantity: 'thickness' }),
    ],
    draw: (v) => bent(Math.PI - v.angle, 0, v.thickness),
  }),
  entry({
    id: 'tapered-gusset',
    section: '§8',
    title: 'Tapered gusset at its corner',
    says: 'flat pattern at an angle up from the bottom',
    inputs: {
      radius: mm('corner radius', 40),
      height: { ...mm('height', 220), min: 1 },
      top: mm('depth at the top', 120),
      bottom: mm('depth at the foot', 60),
      angle: { ...degrees('angle from the bottom', 60), max: 90 },
    },
    answers: [
      step('lean', 'lean, as a share of its side', TAPER_LEAN, 'share'),
      answer('along the middle', TAPER_ALONG),
      answer('half width', TAPER_HALF),
    ],
    draw: (_, [c = 0, y = 0]) => board(c, 2 * y, '{}', { mm: 2 * y }),
  }),
  entry({
    id: 'bellows',
    section: '§8',
    title: 'Bellows',
    says: 'a gusset of several folds',
    inputs: {
      valleys: { ...count('valleys', 3), min: 1, max: 12 },
      leaf: mm('leaf', 22),
      thickness: { ...thickness, value: 1 },
      gap: thin('gap', 0.6),
      k: neutral,
    },
    answers: [
      answer('strip between flanges', BELLOWS_STRIP),
      answer('closed', BELLOWS_CLOSED),
      answer('depth of a leaf', BELLOWS_LEAF),
    ],
    draw: (v) =>
      strip(
        Array.from({ length: 2 * v.valleys }, () => v.leaf),
        30,
      ),
  }),
  entry({
    id: 'boxed-corner',
    section: '§8',
    title: 'Boxed corner',
    says: 'a square out of each bottom corner',
    inputs: {
      width: mm('width between seams', 320),
      height: mm('height between seams', 250),
      square: mm('square', 45),
      thickness: { ...thickness, value: 1.8 },
      k: neutral,
    },
    answers: [
      answer('depth', '2 × {square}'),
      answer('width left', '{width} − 2 × {square}'),
      answer('height left', '{height} − {square}'),
      answer('outside depth', BOXED_OUTSIDE),
      answer('inside depth', BOXED_INSIDE),
    ],
    draw: (v) => board(v.width, v.height, '{} out of each corner', { mm: v.square }),
    conditions: [
      {
        holds: (v) => 2 * v.square < v.width && v.square < v.height,
        says: 'Two squares have to be less than the width, and one less than the height: nothing would be left of the panel.',
      },
    ],
  }),
  entry({
    id: 'flanged-gusset',
    section: '§8',
    title: 'Flanged gusset',
    says: 'width of the strip from outside sizes',
    inputs: {
      depth: mm('outside depth', 60),
      flange: mm('outside flange', 12),
      radius: thin('inner radius', 0.5),
      thickness,
      k: neutral,
    },
    answers: [answer('strip', FLANGED_GUSSET)],
    draw: (v, [w = 0]) => strip([v.flange, Math.max(0, w - 2 * v.flange), v.flange], 30),
  }),
  entry({
    id: 'one-piece-wrap',
    section: '§8',
    title: 'One piece round a box',
    says: 'flat length of a piece that goes round front, base and back, from outside sizes',
    inputs: {
      front: mm('front, outside', 180),
      base: mm('base, outside', 60),
      back: mm('back, outside', 180),
      radius: { ...mm('outer corner radius', 8), min: 0 },
      thickness: thin('thickness', 2),
      k: neutral,
    },
    answers: [answer('flat length', ONE_PIECE_WRAP)],
    draw: (v) => strip([v.front, v.base, v.back], 30),
  }),
]
