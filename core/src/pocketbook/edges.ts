import {
  BUNCHING,
  EDGE_EXCESS,
  EVEN_SKIVE,
  EXCESS_AT_ROOT,
  FLAT_GROOVE,
  FOLD_TO,
  GROOVE_STIFFNESS,
  MITRE,
  MITRE_OVERLAP,
  SNIP_ROOT,
  TURN_ALLOWANCE,
  TURN_COST,
  TURN_COST_SQUARE,
  V_GROOVE,
  turnAllowance,
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
  step,
  thin,
} from './entry.js'
import { bent, corner, strip } from './sketches.js'
import { required } from '../lists/index.js'

/** From the finished edge out to where it is cut. */
const cutLine = (v: Values): number =>
  turnAllowance(
    required(v.width, 'width'),
    required(v.thickness, 'thickness'),
    required(v.core, 'core'),
    required(v.k, 'k'),
  )
const CUT_LINE = [
  step('cost', 'cost of the turn', TURN_COST),
  step('allowance', 'cut beyond the finished edge', TURN_ALLOWANCE),
]
/** An inward curve opens without snips where its edge is stretched no more than the leather bears. */
const stretchesEnough = (v: Values): boolean => {
  const [added, radius] = [cutLine(v), required(v.radius, 'radius')]
  return (
    radius > added && (added + required(v.width, 'width')) / (radius - added) <= required(v.strain, 'strain')
  )
}

/** Turned edges and grooves: docs/formulas.md §4 and §5. */
const DEEPEST: Condition = {
  holds: (v) => required(v.depth, 'depth') < required(v.thickness, 'thickness'),
  says: 'The groove has to be less deep than the leather is thick: it would be cut through.',
}

export const EDGES: readonly Entry[] = [
  entry({
    id: 'turned-edge',
    section: '§4',
    title: 'Turned edge',
    says: 'what to add beyond the finished edge, and where the edge is folded to',
    inputs: {
      width: mm('turned width', 8),
      thickness: thin('thickness at the fold', 0.7),
      core: thin('core', 0),
      k: neutral,
    },
    answers: [
      step('cost', 'cost of the turn', TURN_COST),
      answer('cut beyond the finished edge', TURN_ALLOWANCE, { as: 'allowance' }),
      answer('fold-to line, from the cut edge', FOLD_TO),
      answer('the same over a square core', `{width} turn + ${TURN_COST_SQUARE}`),
    ],
    draw: (v) => bent(Math.PI, v.core / 2, v.thickness, v.width),
  }),
  entry({
    id: 'even-skive',
    section: '§4',
    title: 'Even skive for a turned edge',
    says: 'thickness left at a distance from the cut edge, so that the turned edge is even',
    inputs: {
      thickness: thin('leather', 1.4),
      edge: thin('left at the edge', 0.25),
      fold: { ...mm('fold, from the cut edge', 7.8), min: 0.1 },
      from: mm('at, from the cut edge', 4),
    },
    answers: [answer('left there', EVEN_SKIVE, { quantity: 'thickness' })],
    draw: (v, [t = 0]) => strip([v.from, Math.max(0.1, 2 * v.fold - v.from)], t),
  }),
  entry({
    id: 'round-corner',
    section: '§4',
    title: 'Turned edge round a corner',
    says: 'pleats for an outward corner, and how thick they bunch',
    inputs: {
      radius: { ...mm('finished radius', 25), min: 0.5 },
      angle: degrees('angle', 90),
      width: mm('turned width', 8),
      thickness: thin('thickness at the fold', 0.7),
      core: thin('core', 0),
      pleat: { ...thin('lost in a pleat', 3), min: 0.5 },
      root: thin('V cuts stop short by', 1),
      k: neutral,
    },
    answers: [
      ...CUT_LINE,
      answer('edge too much', EDGE_EXCESS, { as: 'excess' }),
      answer('pleats', '{excess} / {pleat} each, rounded up', { quantity: 'count' }),
      answer('left where V cuts stop', EXCESS_AT_ROOT),
      answer('layers where there was one', `${BUNCHING}; up to 2 pleats do it`, { quantity: 'share' }),
    ],
    draw: (v) => corner(v.radius, v.width, cutLine(v)),
    conditions: [
      {
        holds: (v) => v.width < v.radius,
        says: 'The turned width has to be less than the finished radius: what is turned would meet in the middle of the corner.',
      },
      {
        holds: (v) => cutLine(v) > 0,
        says: 'The turned width has to be more than the bend alone takes: nothing would be left to stick down.',
      },
    ],
  }),
  entry({
    id: 'mitre',
    section: '§4',
    title: 'Mitred corner',
    says: 'where a right-angled corner is cut off so that it lies flat',
    inputs: {
      thickness: thin('thickness at the fold', 0.8),
      core: thin('core', 2),
      at: thin('cut this far from the corner', 3),
      k: neutral,
    },
    answers: [
      step('half', 'half the corner', 'π/4', 'angle'),
      answer('cost of the turn', TURN_COST, { as: 'cost' }),
      answer('no overlap at', MITRE, { as: 'min' }),
      answer('overlap', MITRE_OVERLAP),
    ],
    draw: (v) => corner(12, v.at, v.at),
  }),
  entry({
    id: 'v-groove',
    section: '§5',
    title: 'V groove',
    says: 'a narrow groove pivots on its root; it folds as far as it is wide',
    inputs: {
      thickness: { ...thin('thickness', 3), min: 0.1 },
      depth: thin('depth', 2),
      angle: degrees('folded by', 90),
      k: neutral,
    },
    answers: [
      answer('used up', V_GROOVE),
      answer('outer radius', '{thickness} − {depth}'),
      answer('stiffness left', GROOVE_STIFFNESS, { quantity: 'share' }),
    ],
    draw: (v) => bent(v.angle, 0, Math.max(0.1, v.thickness - v.depth)),
    conditions: [DEEPEST],
  }),
  entry({
    id: 'two-grooves',
    section: '§5',
    title: 'Two V grooves beside each other',
    says: 'a half turn over two right-angled grooves: what it closes on, and how thick it is outside',
    inputs: {
      apart: mm('apart, middle to middle', 12),
      thickness: { ...thin('thickness', 3), min: 0.1 },
      depth: thin('depth', 2),
    },
    answers: [
      answer('closes on', '{apart} − 2 × {depth}', { quantity: 'thickness' }),
      answer('outside', '{apart} + 2 × ({thickness} − {depth})', { quantity: 'thickness' }),
      answer('closes flat at', '2 × {depth}', { quantity: 'thickness' }),
    ],
    draw: (v, [inside = 0]) => bent(Math.PI, Math.max(0, inside) / 2, Math.max(0.1, v.thickness - v.depth)),
    conditions: [DEEPEST],
  }),
  entry({
    id: 'flat-groove',
    section: '§5',
    title: 'Flat groove',
    says: 'how wide a groove must be to fold right over without its lips meeting',
    inputs: {
      gap: thin('gap inside', 2),
      thickness: thin('thickness', 3),
      depth: thin('depth', 1.5),
      k: neutral,
    },
    answers: [answer('least width', FLAT_GROOVE)],
    draw: (v) => bent(Math.PI, v.gap / 2 + v.depth, Math.max(0.1, v.thickness - v.depth)),
    conditions: [DEEPEST],
  }),
  entry({
    id: 'inward-curve',
    section: '§4',
    title: 'Turned edge on an inward curve',
    says: 'what the edge is short of, and the snips that let it open',
    inputs: {
      radius: { ...mm('radius of the finished edge', 40), min: 1 },
      angle: degrees('angle it goes round', 90),
      width: mm('turned width', 8),
      thickness: thin('thickness at the fold', 0.7),
      core: thin('core', 0),
      k: neutral,
      strain: { ...share('stretch it bears', 0.12), min: 0.02, max: 0.3 },
      gap: { ...mm('widest gap', 2), min: 0.5 },
    },
    answers: [
      ...CUT_LINE,
      answer('short by', EDGE_EXCESS, { as: 'excess' }),
      answer('leather left at a snip', SNIP_ROOT),
      answer(
        'snips',
        (v) => (stretchesEnough(v) ? '0: it stretches enough' : '{excess} / {gap} each, rounded up'),
        {
          quantity: 'count',
        },
      ),
    ],
    draw: (v) => corner(v.radius, v.width, cutLine(v)),
  }),
]
