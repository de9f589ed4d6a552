import {
  bellows,
  boxedCorner,
  flangedGusset,
  gussetStrip,
  onePieceWrap,
  seamRoll,
  snips,
  taperedPoint,
} from '../formulas/index.js'
import { type Entry, type Values, answer, count, degrees, entry, mm, neutral, share, thin } from './entry.js'
import { bent, board, corner, strip } from './sketches.js'

const thickness = { ...thin('thickness', 1.6), least: 0.1 }
const snip = (v: Values) =>
  snips({
    radius: v.radius!,
    allowance: v.allowance!,
    angle: v.angle!,
    strain: v.strain!,
    widestGap: v.gap!,
    facet: v.facet!,
  })
const taper = (v: Values) =>
  taperedPoint({ radius: v.radius!, height: v.height!, top: v.top!, bottom: v.bottom! }, v.angle!)
const box = (v: Values) => boxedCorner(v.width!, v.height!, v.square!, v.thickness!, v.k!)
const fan = (v: Values) => bellows(v.valleys!, v.leaf!, v.thickness!, v.gap!, v.k!)

/** Gussets and bag seams: docs/formulas.md §8. */
export const GUSSETS: readonly Entry[] = [
  entry(
    'gusset-strip',
    '§8',
    'Gusset round a panel',
    'a strip round two sides and a bottom, along the stitch line',
    { height: mm('straight side', 220), bottom: mm('bottom', 300), radius: mm('corner radius', 40) },
    [
      answer('strip', '2 × {height} + {bottom} − (4 − π) × {radius}', (v) =>
        gussetStrip(v.height!, v.bottom!, v.radius!),
      ),
    ],
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
    [
      answer(
        'snips',
        'the more of {angle} × {allowance} / {gap} and what keeps facets within {facet}',
        (v) => snip(v).count,
        'count',
      ),
      answer('uncut at the root', '{strain} × {radius}', (v) => snip(v).root),
    ],
    (v) => corner(v.radius!, 0, v.allowance!),
  ),
  entry(
    'seam-roll',
    '§8',
    'Turned seam',
    'how a seam sewn inside out stands; an upper bound, hammered it is less',
    { thickness: { ...thickness, value: 1.5 }, angle: degrees('allowances stand at', 45), k: neutral },
    [
      answer(
        'reaches past the seam',
        '{thickness} × (1 − sin {angle})',
        (v) => seamRoll(v.thickness!, v.k!, v.angle!).reach,
        'thickness',
      ),
      answer(
        'stands over it',
        '{thickness} × (1 + cos {angle})',
        (v) => seamRoll(v.thickness!, v.k!, v.angle!).height,
        'thickness',
      ),
      answer(
        'seam moves by',
        '−((π − {angle}) × {k} − sin {angle}) × {thickness}',
        (v) => seamRoll(v.thickness!, v.k!, v.angle!).shift,
        'thickness',
      ),
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
      answer('along the middle', '{radius} × the elliptic arc to {angle}', (v) => taper(v).along),
      answer(
        'half width',
        '{bottom} / 2 + its rise × ({top} − {bottom}) / (2 × {height})',
        (v) => taper(v).half,
      ),
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
      answer(
        'strip between flanges',
        '2 × {valleys} × {leaf} + (2 × {valleys} − 1) × π × ({gap} / 2 + {k} × {thickness})',
        (v) => fan(v).strip,
      ),
      answer('closed', '2 × {valleys} × {thickness} + (2 × {valleys} − 1) × {gap}', (v) => fan(v).closed),
      answer('depth of a leaf', '{leaf} + {gap} + 2 × {thickness}', (v) => fan(v).depth),
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
      answer('depth', '2 × {square}', (v) => box(v).depth),
      answer('width left', '{width} − 2 × {square}', (v) => box(v).width),
      answer('height left', '{height} − {square}', (v) => box(v).height),
      answer('outside depth', '2 × {square} + (2 − π × {k} / 2) × {thickness}', (v) => box(v).outside),
      answer('inside depth', '2 × {square} − π × {k} / 2 × {thickness}', (v) => box(v).inside),
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
    [
      answer(
        'strip',
        '{depth} + 2 × {flange} − 2 × (2 × ({radius} + {thickness}) − π / 2 × ({radius} + {k} × {thickness}))',
        (v) => flangedGusset(v.depth!, v.flange!, v.radius!, v.thickness!, v.k!),
      ),
    ],
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
    [
      answer(
        'flat length',
        '{front} + {base} + {back} − 2 × (2 × {radius} − π/2 × ({radius} − (1 − {k}) × {thickness}))',
        (v) => onePieceWrap([v.front!, v.base!, v.back!], [v.radius!, v.radius!], v.thickness!, v.k!),
      ),
    ],
    (v) => strip([v.front!, v.base!, v.back!], 30),
  ),
]
