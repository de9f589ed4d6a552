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

const thickness = { ...thin('thickness', 1.6), least: 0.1 }
/** Gussets and bag seams: docs/formulas.md §8. */
export const GUSSETS: readonly Entry[] = [
  entry(
    'gusset-strip',
    '§8',
    'Gusset round a panel',
    'a strip round two sides and a bottom, along the stitch line',
    { height: mm('straight side', 220), bottom: mm('bottom', 300), radius: mm('corner radius', 40) },
    [answer('strip', GUSSET_STRIP)],
    (v) =>
      strip(
        [
          v.height! - v.radius!,
          (Math.PI / 2) * v.radius!,
          v.bottom! - 2 * v.radius!,
          (Math.PI / 2) * v.radius!,
          v.height! - v.radius!,
        ].map((l) => Math.max(0, l)),
        40,
      ),
  ),
  entry(
    'snips',
    '§8',
    'Snips round a curve',
    'how many, and how much stays uncut at the root',
    {
      radius: { ...mm('radius of the stitch line', 40), least: 1 },
      allowance: thin('allowance', 7),
      angle: degrees('angle', 90),
      strain: share('stretch it bears', 0.12),
      gap: { ...thin('widest gap', 2.5), least: 0.2 },
      facet: { ...thin('facet may stand off', 0.2), least: 0.01 },
    },
    [answer('snips', SNIPS, { quantity: 'count' }), answer('uncut at the root', SNIPS_ROOT)],
    (v) => corner(v.radius!, 0, v.allowance!),
  ),
  entry(
    'flange-strain',
    '§8',
    'Flange round a corner',
    'how far the edge of a border that is turned outwards is stretched',
    {
      radius: { ...mm('corner radius', 25), least: 1 },
      seam: thin('seam, from the corner', 3),
      beyond: thin('border beyond the seam', 4),
    },
    [answer('stretched by', FLANGE_STRAIN, { quantity: 'share' })],
    (v) => corner(v.radius!, v.seam!, v.beyond!),
    [
      {
        holds: (v) => v.seam! < v.radius!,
        says: 'The seam has to be less from the corner than its radius: there would be no curve left to turn out.',
      },
    ],
  ),
  entry(
    'seam-roll',
    '§8',
    'Turned seam',
    'how a seam sewn inside out stands; an upper bound, hammered it is less',
    { thickness: { ...thickness, value: 1.5 }, angle: degrees('allowances stand at', 45), k: neutral },
    [
      answer('reaches past the seam', SEAM_REACH, { quantity: 'thickness' }),
      answer('stands over it', SEAM_HEIGHT, { quantity: 'thickness' }),
      answer('seam moves by', SEAM_SHIFT, { quantity: 'thickness' }),
    ],
    (v) => bent(Math.PI - v.angle!, 0, v.thickness!),
  ),
  entry(
    'tapered-gusset',
    '§8',
    'Tapered gusset at its corner',
    'flat pattern at an angle up from the bottom',
    {
      radius: mm('corner radius', 40),
      height: { ...mm('height', 220), least: 1 },
      top: mm('depth at the top', 120),
      bottom: mm('depth at the foot', 60),
      angle: { ...degrees('angle from the bottom', 60), most: 90 },
    },
    [
      step('lean', 'lean, as a share of its side', TAPER_LEAN, 'share'),
      answer('along the middle', TAPER_ALONG),
      answer('half width', TAPER_HALF),
    ],
    (_, [c, y]) => board(c!, 2 * y!, (2 * y!).toFixed(1)),
  ),
  entry(
    'bellows',
    '§8',
    'Bellows',
    'a gusset of several folds',
    {
      valleys: { ...count('valleys', 3), least: 1, most: 12 },
      leaf: mm('leaf', 22),
      thickness: { ...thickness, value: 1 },
      gap: thin('gap', 0.6),
      k: neutral,
    },
    [
      answer('strip between flanges', BELLOWS_STRIP),
      answer('closed', BELLOWS_CLOSED),
      answer('depth of a leaf', BELLOWS_LEAF),
    ],
    (v) =>
      strip(
        Array.from({ length: 2 * v.valleys! }, () => v.leaf!),
        30,
      ),
  ),
  entry(
    'boxed-corner',
    '§8',
    'Boxed corner',
    'a square out of each bottom corner',
    {
      width: mm('width between seams', 320),
      height: mm('height between seams', 250),
      square: mm('square', 45),
      thickness: { ...thickness, value: 1.8 },
      k: neutral,
    },
    [
      answer('depth', '2 × {square}'),
      answer('width left', '{width} − 2 × {square}'),
      answer('height left', '{height} − {square}'),
      answer('outside depth', BOXED_OUTSIDE),
      answer('inside depth', BOXED_INSIDE),
    ],
    (v) => board(v.width!, v.height!, `${v.square!.toFixed(0)} out of each corner`),
    [
      {
        holds: (v) => 2 * v.square! < v.width! && v.square! < v.height!,
        says: 'Two squares have to be less than the width, and one less than the height: nothing would be left of the panel.',
      },
    ],
  ),
  entry(
    'flanged-gusset',
    '§8',
    'Flanged gusset',
    'width of the strip from outside sizes',
    {
      depth: mm('outside depth', 60),
      flange: mm('outside flange', 12),
      radius: thin('inner radius', 0.5),
      thickness,
      k: neutral,
    },
    [answer('strip', FLANGED_GUSSET)],
    (v, [w]) => strip([v.flange!, Math.max(0, w! - 2 * v.flange!), v.flange!], 30),
  ),
  entry(
    'one-piece-wrap',
    '§8',
    'One piece round a box',
    'flat length of a piece that goes round front, base and back, from outside sizes',
    {
      front: mm('front, outside', 180),
      base: mm('base, outside', 60),
      back: mm('back, outside', 180),
      radius: { ...mm('outer corner radius', 8), least: 0 },
      thickness: thin('thickness', 2),
      k: neutral,
    },
    [answer('flat length', ONE_PIECE_WRAP)],
    (v) => strip([v.front!, v.base!, v.back!], 30),
  ),
]
