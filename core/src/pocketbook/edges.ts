import {
  cornerBunching,
  cornerExcess,
  evenSkive,
  flatGroove,
  foldToLine,
  grooveStiffness,
  mitreDistance,
  mitreOverlap,
  edgeExcess,
  snipRoot,
  turnAllowance,
  turnCost,
  turnCostSquare,
  vGrooveBend,
} from '../formulas/index.js'
import {
  type Condition,
  type Entry,
  type Values,
  answer,
  degrees,
  entry,
  mm,
  neutral,
  share,
  thin,
} from './entry.js'
import { bent, corner, strip } from './sketches.js'

const turned = (v: Values) => ({ width: v.width ?? 0, atFold: v.thickness!, core: v.core!, neutral: v.k! })
const curved = (v: Values) => ({ ...turned(v), radius: v.radius!, angle: v.angle! })

/** Turned edges and grooves: docs/formulas.md §4 and §5. */
const DEEPEST: Condition = {
  holds: (v) => v.depth! < v.thickness!,
  says: 'The groove has to be less deep than the leather is thick: it would be cut through.',
}

export const EDGES: readonly Entry[] = [
  entry(
    'turned-edge',
    '§4',
    'Turned edge',
    'what to add beyond the finished edge, and where the edge is folded to',
    {
      width: mm('turned width', 8),
      thickness: thin('thickness at the fold', 0.7),
      core: thin('core', 0),
      k: neutral,
    },
    [
      answer('cut beyond the finished edge', '{width} + 0.571 × {core} + (π × {k} − 2) × {thickness}', (v) =>
        turnAllowance(turned(v)),
      ),
      answer(
        'fold-to line, from the cut edge',
        '2 × {width} + 0.571 × {core} + (π × {k} − 2) × {thickness}',
        (v) => foldToLine(turned(v)),
      ),
      answer(
        'the same over a square core',
        '{width} + {core} + (π × {k} − 2) × {thickness}',
        (v) => v.width! + turnCostSquare(turned(v)),
      ),
    ],
    (v) => bent(Math.PI, v.core! / 2, v.thickness!, v.width!),
  ),
  entry(
    'even-skive',
    '§4',
    'Even skive for a turned edge',
    'thickness left at a distance from the cut edge, so that the turned edge is even',
    {
      thickness: thin('leather', 1.4),
      edge: thin('left at the edge', 0.25),
      fold: { ...mm('fold, from the cut edge', 7.8), least: 0.1 },
      from: mm('at, from the cut edge', 4),
    },
    [
      answer(
        'left there',
        '{edge} + ({thickness} − {edge}) × {from} / (2 × {fold})',
        (v) => evenSkive(v.thickness!, v.edge!, v.fold!, v.from!),
        'thickness',
      ),
    ],
    (v, [t]) => strip([v.from!, Math.max(0.1, 2 * v.fold! - v.from!)], t!),
  ),
  entry(
    'round-corner',
    '§4',
    'Turned edge round a corner',
    'pleats for an outward corner, and how thick they bunch',
    {
      radius: { ...mm('finished radius', 25), least: 0.5 },
      angle: degrees('angle', 90),
      width: mm('turned width', 8),
      thickness: thin('thickness at the fold', 0.7),
      core: thin('core', 0),
      pleat: { ...thin('lost in a pleat', 3), least: 0.5 },
      k: neutral,
    },
    [
      answer('edge too much', '{angle} as an arc × (cut line + {width})', (v) => cornerExcess(curved(v))),
      answer(
        'pleats',
        'that / {pleat}, upwards',
        (v) => Math.ceil(cornerExcess(curved(v)) / v.pleat!),
        'count',
      ),
      answer(
        'layers where there was one',
        '({radius} + cut line) / ({radius} − {width}); up to 2 pleats do it',
        (v) => cornerBunching(curved(v)),
        'share',
      ),
    ],
    (v) => corner(v.radius!, v.width!, turnAllowance(turned(v))),
    [
      {
        holds: (v) => v.width! < v.radius!,
        says: 'The turned width has to be less than the finished radius: what is turned would meet in the middle of the corner.',
      },
      {
        holds: (v) => turnAllowance(turned(v)) > 0,
        says: 'The turned width has to be more than the bend alone takes: nothing would be left to stick down.',
      },
    ],
  ),
  entry(
    'mitre',
    '§4',
    'Mitred corner',
    'where a right-angled corner is cut off so that it lies flat',
    {
      thickness: thin('thickness at the fold', 0.8),
      core: thin('core', 2),
      at: thin('cut this far from the corner', 3),
      k: neutral,
    },
    [
      answer('no overlap at', '(0.571 × {core} + (π × {k} − 2) × {thickness}) / √2', (v) =>
        mitreDistance(turned(v)),
      ),
      answer('overlap', '2 × ({at} − no overlap)', (v) => mitreOverlap(turned(v), v.at!)),
      answer('cost of the turn', '0.571 × {core} + (π × {k} − 2) × {thickness}', (v) => turnCost(turned(v))),
    ],
    (v) => corner(12, v.at!, v.at!),
  ),
  entry(
    'v-groove',
    '§5',
    'V groove',
    'a narrow groove pivots on its root; it folds as far as it is wide',
    {
      thickness: { ...thin('thickness', 3), least: 0.1 },
      depth: thin('depth', 2),
      angle: degrees('folded by', 90),
      k: neutral,
    },
    [
      answer('used up', '{angle} as an arc × {k} × ({thickness} − {depth})', (v) =>
        vGrooveBend(v.angle!, v.thickness!, v.depth!, v.k!),
      ),
      answer('outer radius', '{thickness} − {depth}', (v) => v.thickness! - v.depth!),
      answer(
        'stiffness left',
        '(({thickness} − {depth}) / {thickness})³',
        (v) => grooveStiffness(v.thickness!, v.depth!),
        'share',
      ),
    ],
    (v) => bent(v.angle!, 0, Math.max(0.1, v.thickness! - v.depth!)),
    [DEEPEST],
  ),
  entry(
    'flat-groove',
    '§5',
    'Flat groove',
    'how wide a groove must be to fold right over without its lips meeting',
    { gap: thin('gap inside', 2), thickness: thin('thickness', 3), depth: thin('depth', 1.5), k: neutral },
    [
      answer('least width', 'π × ({gap} / 2 + {depth} + {k} × ({thickness} − {depth}))', (v) =>
        flatGroove(v.gap!, v.thickness!, v.depth!, v.k!),
      ),
    ],
    (v) => bent(Math.PI, v.gap! / 2 + v.depth!, Math.max(0.1, v.thickness! - v.depth!)),
    [DEEPEST],
  ),
  entry(
    'inward-curve',
    '§4',
    'Turned edge on an inward curve',
    'what the edge is short of, and the snips that let it open',
    {
      radius: { ...mm('radius of the finished edge', 40), least: 1 },
      angle: degrees('angle it goes round', 90),
      width: mm('turned width', 8),
      thickness: thin('thickness at the fold', 0.7),
      core: thin('core', 0),
      k: neutral,
      strain: { ...share('stretch it bears', 0.12), least: 0.02, most: 0.3 },
      gap: { ...mm('widest gap', 2), least: 0.5 },
    },
    [
      answer('short by', '{angle} in radians × (2 × {width} + the bend)', (v) =>
        edgeExcess(v.angle!, turnAllowance(turned(v)), v.width!),
      ),
      answer('leather left at a snip', '{strain} × {radius} / (2 + {strain})', (v) =>
        snipRoot(v.radius!, v.strain!),
      ),
      answer(
        'snips',
        'what it is short of / {gap}, rounded up; none where {strain} is enough',
        (v) => {
          const added = turnAllowance(turned(v))
          const enough = v.radius! > added && (added + v.width!) / (v.radius! - added) <= v.strain!
          return enough ? 0 : Math.ceil(edgeExcess(v.angle!, added, v.width!) / v.gap! - 1e-9)
        },
        'count',
      ),
    ],
    (v) => corner(v.radius!, v.width!, turnAllowance(turned(v))),
  ),
]
