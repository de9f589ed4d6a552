import {
  bendAllowance,
  bookFold,
  bulge,
  foldDifference,
  foldedCut,
  heldPanel,
  nestedFolds,
  neutralFromStiffness,
  neutralFromStrip,
  rollFold,
  rollRunOut,
} from '../formulas/index.js'
import {
  type Entry,
  type Values,
  answer,
  count,
  degrees,
  entry,
  mm,
  neutral,
  number,
  share,
  thin,
} from './entry.js'
import { bent, board, strip, together } from './sketches.js'

const rolled = (v: Values) =>
  rollFold({
    flat: v.flat!,
    thickness: v.thickness!,
    neutral: v.k!,
    runOut: v.runOut!,
    contents: [v.c1!, v.c2!, v.c3!, v.c4!, v.c5!].slice(0, v.panels! - 1),
  })
const rolledWidth = (i: number) => (v: Values) => rolled(v).widths[i] ?? NaN
const pair = (v: Values) => ({
  inner: { thickness: v.inside!, neutral: v.k! },
  outer: { thickness: v.outside!, neutral: v.k! },
  between: v.between!,
})

/** Bends, folds and wraps: docs/formulas.md §0, §2 and §3. */
export const FOLDS: readonly Entry[] = [
  entry(
    'bend',
    '§0',
    'Bend',
    'what a bend uses up of the leather',
    {
      angle: degrees('angle', 90),
      radius: thin('inner radius', 2),
      thickness: thin('thickness', 1.4),
      k: neutral,
    },
    [
      answer('used up', '{angle} as an arc × ({radius} + {k} × {thickness})', (v) =>
        bendAllowance(v.angle!, v.radius!, v.thickness!, v.k!),
      ),
    ],
    (v) => bent(v.angle!, v.radius!, v.thickness!),
  ),
  entry(
    'neutral-share',
    '§0',
    'Neutral share from a strip',
    'fold a strip round a rod and measure what the bend used up',
    {
      used: mm('used up', 8.6),
      angle: { ...degrees('angle', 180), least: 1 },
      radius: thin('inner radius', 2),
      thickness: { ...thin('thickness', 1.5), least: 0.1 },
    },
    [
      answer(
        'k',
        '({used} / {angle} as an arc − {radius}) / {thickness}',
        (v) => neutralFromStrip(v.used!, v.angle!, v.radius!, v.thickness!),
        'share',
      ),
    ],
    (v) => bent(v.angle!, v.radius!, v.thickness!),
  ),
  entry(
    'stiffness-share',
    '§0',
    'Neutral share from stiffness',
    'a leather softer when pressed than when pulled keeps a deeper layer',
    { ratio: { ...number('stiffness pressed / pulled', 0.5), least: 0.01, most: 10 } },
    [answer('k', '1 / (1 + √{ratio})', (v) => neutralFromStiffness(v.ratio!), 'share')],
    (_, [k]) => strip([10 * k!, 10 * (1 - k!)], 4),
  ),
  entry(
    'bulge',
    '§0',
    'Bulge',
    'how high an excess stands over a free span',
    { span: { ...mm('free span', 40), least: 1 }, excess: { ...thin('excess', 0.5), least: 0 } },
    [
      answer('height', '2/π × √({span} × {excess}) × (1 + 3 × {excess} / 8 / {span})', (v) =>
        bulge(v.span!, v.excess!),
      ),
    ],
    (v, [h]) => board(v.span!, h!, h!.toFixed(2)),
  ),
  entry(
    'book-fold',
    '§2',
    'Book fold',
    'what a fold uses up, and the length to cut for a closed width',
    {
      gap: thin('gap inside', 2),
      thickness: thin('thickness', 1.5),
      k: neutral,
      width: mm('closed outside width', 100),
    },
    [
      answer('used up by the fold', 'π × ({gap} / 2 + {k} × {thickness})', (v) =>
        bookFold(v.gap!, v.thickness!, v.k!),
      ),
      answer('cut', '2 × {width} + 0.571 × {gap} + (π × {k} − 2) × {thickness}', (v) =>
        foldedCut(v.width!, v.gap!, v.thickness!, v.k!),
      ),
    ],
    (v) => bent(Math.PI, v.gap! / 2, v.thickness!, 25),
  ),
  entry(
    'fold-difference',
    '§2',
    'Outside longer than inside',
    'how much longer the outside must be to fold flat',
    {
      inside: thin('inside leather', 0.9),
      outside: thin('outside leather', 1.4),
      between: thin('what lies between', 0.9),
      k: neutral,
      share: share('share given to the outside', 0.6),
    },
    [
      answer('in full', 'π × ((1 − {k}) × {inside} + {between} + {k} × {outside})', (v) =>
        foldDifference(pair(v)),
      ),
      answer('cut longer by', '{share} of that', (v) => v.share! * foldDifference(pair(v))),
    ],
    (v) =>
      together(bent(Math.PI, 2, v.inside!, 20), bent(Math.PI, 2 + v.inside! + v.between!, v.outside!, 20)),
  ),
  entry(
    'nested-layers',
    '§2',
    'Three layers folded together',
    'what each layer uses up, innermost first',
    {
      gap: thin('gap inside', 2),
      t1: thin('inner', 1),
      t2: thin('middle', 0.6),
      t3: thin('outer', 1.4),
      k: neutral,
    },
    [0, 1, 2].map((i) =>
      answer(
        ['inner', 'middle', 'outer'][i]!,
        [
          'π × ({gap} / 2 + {k} × {t1})',
          'π × ({gap} / 2 + {t1} + {k} × {t2})',
          'π × ({gap} / 2 + {t1} + {t2} + {k} × {t3})',
        ][i]!,
        (v) => nestedFolds(v.gap!, [v.t1!, v.t2!, v.t3!], v.k!)[i]!,
      ),
    ),
    (v) =>
      together(
        bent(Math.PI, v.gap! / 2, v.t1!),
        bent(Math.PI, v.gap! / 2 + v.t1!, v.t2!),
        bent(Math.PI, v.gap! / 2 + v.t1! + v.t2!, v.t3!),
      ),
  ),
  entry(
    'roll-fold',
    '§3',
    'Wrapped several times',
    'crease to crease widths of a piece folded over itself the same way',
    {
      panels: { ...count('panels', 4), least: 2, most: 6 },
      flat: mm('flat length of a panel', 95),
      thickness: thin('thickness', 1.2),
      runOut: thin('first edge runs out', 0),
      c1: thin('laid on panel 1', 1.6),
      c2: thin('on panel 2', 0.8),
      c3: thin('on panel 3', 2.4),
      c4: thin('on panel 4', 0),
      c5: thin('on panel 5', 0),
      k: neutral,
    },
    [
      answer('panel 1', '{runOut} + {flat} + half its fold', rolledWidth(0)),
      answer('panel 2', '{flat} + half of the folds beside it', rolledWidth(1)),
      answer('panel 3', 'as before', rolledWidth(2)),
      answer('panel 4', 'as before', rolledWidth(3)),
      answer('panel 5', 'as before', rolledWidth(4)),
      answer('panel 6', 'as before', rolledWidth(5)),
      answer('bundle', '{panels} × {thickness} + all contents', (v) => rolled(v).bundle),
    ],
    (v) => strip(rolled(v).widths, 30),
  ),
  entry(
    'roll-run-out',
    '§3',
    'Room for the first edge',
    'how far panel 1 may run into the second fold',
    { c1: thin('laid on panel 1', 1.6), c2: thin('on panel 2', 0.8), thickness: thin('thickness', 1.2) },
    [
      answer(
        'room',
        '√(half of ({c1} + {c2} + {thickness}), squared, less (half of {thickness} + half of their difference), squared)',
        (v) => rollRunOut(v.c1!, v.c2!, v.thickness!),
      ),
    ],
    (v) => bent(Math.PI, (v.c1! + v.c2!) / 2, v.thickness!),
  ),
  entry(
    'held-panel',
    '§3',
    'Panel between two folds',
    'crease to crease, the closed outside width held',
    {
      width: mm('closed outside width', 110),
      ga: thin('gap of one fold', 3.6),
      gb: thin('gap of the other', 1.6),
      thickness: thin('thickness', 1.2),
      k: neutral,
    },
    [
      answer('crease to crease', '{width} + 0.285 × ({ga} + {gb}) + (π × {k} − 2) × {thickness}', (v) =>
        heldPanel(v.width!, v.ga!, v.gb!, v.thickness!, v.k!),
      ),
    ],
    (_, [w]) => strip([w!], 30),
  ),
]
