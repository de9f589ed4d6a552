import { lengthSaid, thicknessSaid } from '../../measure/index.js'
import { nth } from '../../lists/index.js'
import { point } from '../../geometry/index.js'
import type { Concern, Fit, Fitting, Layup } from '../../master/index.js'
import { type Reckon, given } from '../../working/index.js'
import { type Role, defineKind, leatherOf } from '../kind.js'
import { counted, sizeBy } from '../parts/basics.js'
import {
  FRONT_POCKET,
  POCKET_SENTENCES,
  firstTop,
  pileConcerns,
  pileFits,
  stackSizesShown,
} from '../pockets/index.js'
import { caseJoins, caseLayups } from './lay.js'
import { casePanels } from './panels.js'
import { mostRelief } from './flatPanels.js'
import { flatStanding } from './flatStand.js'
import { caseStanding } from './stand.js'
import { CASE, type CaseParams, isFaced } from './params.js'
import { BENCH, type CaseSizes, caseSizes } from './sizes.js'
import { needed, present } from '../parts/fits.js'
import { snapHalf, snapRole } from '../parts/snap.js'

/** Front and back that lean out farther than this can’t stand, radians. */
const LEANS = 1

const ROLES: readonly Role<CaseParams>[] = [
  {
    id: 'body',
    label: 'Body',
    why: `front, back and flap; ${thicknessSaid(1.4)} to ${thicknessSaid(2)} keeps its shape`,
    usual: 1.6,
  },
  { id: 'gusset', label: 'Gussets', why: 'fold flat at every closing: thin and supple', usual: 0.9 },
  {
    id: 'pockets',
    label: 'Pockets',
    why: 'on the back; the lightest',
    usual: 0.9,
    when: (params) => params.pockets !== 0,
  },
  FRONT_POCKET,
]

function fits(p: CaseParams, s: CaseSizes, reckon: Reckon): Fit[] {
  const size = sizeBy(reckon)
  const flap: Fit = {
    id: 'flap-over',
    rank: 'look',
    why: 'the flap hardly reaches over the front and lets the thing out',
    what: 'the flap over the front',
    panelId: 'back',
    keys: [],
    remedy: { field: 'flap', value: BENCH.flapOver },
    at: point(s.width.value / 2, p.flap),
    needs: needed(reckon, 'fit.flap', 'over the front', BENCH.flapOver, '§3'),
    has: present(reckon, 'fit.flapHas', 'flap', given('flap', p.flap), '§3'),
  }
  const stack = s.stack
  if (!stack) return [flap]
  const wide: Fit = {
    id: 'pockets-on-back',
    rank: 'stop',
    why: 'the pockets do not fit between the side seams of the back',
    what: 'the card pockets on the back',
    panelId: 'back',
    keys: ['width'],
    remedy: { field: 'wide', value: Math.ceil(stack.sizes.pocketWidth.value) },
    at: point(s.width.value / 2, nth(s.strips, 1).from + s.height.value / 2),
    needs: size('fit.pile', 'needs', '{pocket} pockets + 2 × {margin} margin', '§9', {
      pocket: stack.sizes.pocketWidth,
      margin: s.margin,
    }),
    has: present(reckon, 'fit.pileHas', 'width of the back', s.width, '§9'),
  }
  // Cards on the outside may stand above the back, where the flap bends over them.
  return [flap, wide, ...pileFits(stack, 'back', s.height).filter((f) => f.id !== 'card-tall')]
}

/** A foot is made no deeper to stand, mm; holes are let be larger than there is room by this, mm. */
const DEEPEST_FOOT = 80
const RELIEF_PLAY = 0.05

/** How the sides stand: a flat foot that leans too far, or a gusset that can’t lie folded. */
function standingConcern(s: CaseSizes): Concern[] {
  const at = point(s.gussetHalf.value, 4)
  if (s.foot && s.foot.lean.value >= LEANS)
    return [
      {
        id: 'leans-too-far',
        rank: 'stop',
        panelId: 'gusset',
        at,
        what: 'Front and back would lean out almost flat: the gusset is that much deeper at the top than at the foot',
        why: 'It can’t stand like that. A deeper foot, a higher case or a shallower one.',
        remedy: {
          field: 'footDeep',
          value: Math.min(DEEPEST_FOOT, Math.ceil(s.gussetTop.value / 2)),
          said: 'a deeper foot',
        },
      },
    ]
  if (s.foot || s.gussetTop.value < s.height.value) return []
  return [
    {
      id: 'gusset-too-deep',
      rank: 'stop',
      panelId: 'gusset',
      at,
      what: 'The gusset is deeper than the case is high',
      why: 'It can’t lie folded flat: half of it has to fit beside the front’s side. Make the case higher or shallower.',
    },
  ]
}

/** A snap that would come to lie on the foot. */
function snapConcern(p: CaseParams, s: CaseSizes): Concern[] {
  const lowest = s.height.value - (s.foot ? 0 : s.margin.value) - BENCH.snapUp
  if (p.closure !== 'snap' || p.flap - BENCH.snapIn <= lowest) return []
  const down = s.foot ? s.bodyLength.value - s.height.value + BENCH.snapUp : s.height.value - BENCH.snapUp
  return [
    {
      id: 'snap-at-foot',
      rank: 'stop',
      panelId: s.foot ? 'back' : 'front',
      at: point(s.width.value / 2, down),
      what: `The snap comes to lie on the ${s.foot ? 'fold' : 'seam'} at the foot`,
      why: 'It can’t be set there. Shorten the flap.',
      remedy: {
        field: 'flap',
        value: Math.max(BENCH.flapOver, Math.floor(s.height.value - BENCH.flapClear)),
        said: 'a shorter flap',
      },
    },
  ]
}

const pocketsConcern = (p: CaseParams, s: CaseSizes): Concern[] =>
  s.stack && firstTop(s.stack) < 0
    ? [
        {
          id: 'pockets-too-high',
          rank: 'stop',
          panelId: 'back',
          at: point(s.width.value / 2, nth(s.strips, 1).from),
          what: 'The pockets reach over the top of the back',
          why: 'They would lie in the bend of the flap. Fewer pockets, or a smaller reveal.',
          remedy: { field: 'pockets', value: Math.max(0, p.pockets - 1), said: 'one pocket fewer' },
        },
      ]
    : []

/** Holes in the corners of a flange, larger than it has room for. */
function reliefConcern(p: CaseParams, s: CaseSizes): Concern[] {
  const most = mostRelief(s.margin.value)
  if (!s.foot || p.relief <= most + RELIEF_PLAY) return []
  return [
    {
      id: 'relief-too-large',
      rank: 'look',
      panelId: 'gusset',
      at: point(s.gussetHalf.value, s.gussetHigh.value),
      what: 'A flange {margin} wide has room for holes of {most} in its corners, not of {asked}',
      lengths: { margin: s.margin.value, most, asked: p.relief },
      why: 'They would cut into the stitches or open at the edge; smaller ones are punched.',
      remedy: { field: 'relief', value: Math.floor(most * 2) / 2, said: 'smaller holes' },
    },
  ]
}

const concerns = (p: CaseParams, s: CaseSizes): Concern[] => [
  ...standingConcern(s),
  ...snapConcern(p, s),
  ...pocketsConcern(p, s),
  ...reliefConcern(p, s),
  ...(s.stack ? pileConcerns(s.stack) : []),
]

/** What lies on the back of the case: its pockets, and the support inside. */
const onTheBack = ([open]: readonly Layup[]): string[] =>
  (open?.sheets ?? []).flatMap((s) =>
    s.type === 'panel' && !/^(back|front|gusset-)/.test(s.id) ? [s.id] : [],
  )

/** Both halves of the snap: through flap and facing, and on the front. */
function snapHalves(p: CaseParams, s: CaseSizes): Fitting[] {
  const x = s.width.value / 2
  const down = p.flap - BENCH.snapIn
  const [upper, lower] = s.foot ? ['side-right', 'side-right'] : ['back-left', 'front-left']
  const cap = snapHalf('upper', 'cap of the snap', 'back', point(x, BENCH.snapIn), upper)
  return [
    isFaced(p) ? { ...cap, through: [...cap.through, { sheet: 'facing', times: 1 }] } : cap,
    s.foot
      ? snapHalf('lower', 'stud of the snap', 'back', point(x, s.bodyLength.value - down), lower)
      : snapHalf('lower', 'stud of the snap', 'front', point(x, down), lower),
  ]
}

/** A case for spectacles or tools, with gussets that fold flat and a flap over the top. */
export const gussetedCase = defineKind({
  id: 'gusseted-case',
  name: 'Gusseted case',
  about: 'for spectacles or tools; side gussets fold flat, a flap closes it',
  settings: CASE,
  roles: ROLES,
  hardware: [snapRole((params: CaseParams) => params.closure === 'snap')],
  brief: [
    'It takes a thing {wide} wide, {high} high and {deep} thick, with {ease} of room; inside {bridge}.',
    'Its foot is {foot}[, {footDeep} deep][, holes of {relief} in the corners of the gusset].',
    'A flap of {flap} comes over the front, closed by {closure}; behind it {facing}.',
    'On the back {pockets} card pockets, {cardsPerPocket} to a pocket, each card showing {shown}, got out {grip}: {school}[; the front pocket is {front}][; behind each slit {pouch}].',
  ],
  sentences: {
    ...POCKET_SENTENCES,
    back: [
      'Cut 1 from {leather-body}, the corners of the flap rounded {corner}; flap {flap}, closed by {closure}: {hardware-snap}; behind it {facing}; foot {foot}[, {footDeep} deep].',
      'Sides and foot sewn {margin} in with the {iron}; edges {finish}, cut {trim} over size where they are sewn.',
    ],
    front: ['Cut 1 from {leather-body}. Sides and foot sewn {margin} in; edges {finish}.'],
    gusset: [
      'Cut 2 from {leather-gusset}, for a thing {deep} thick with {ease} of room. Folds inwards along its middle.',
      'Sewn {margin} in; edges {finish}. The foot is {foot}[, {footDeep} deep][, holes of {relief} in its corners].',
    ],
    facing: [
      'Cut 1 from {leather-gusset}: behind the flap {facing}, as long as the flap of {flap}, less what bends.',
    ],
    bridge: ['Cut 1 from {leather-gusset}: inside {bridge}.'],
  },
  master: (p, materials, reckon) => {
    const s = caseSizes(p, materials, reckon)
    const layups = caseLayups(p, s)
    return {
      panels: casePanels(p, s, materials),
      layups,
      standing: s.foot
        ? flatStanding(p, s, s.foot, { t: leatherOf(materials, 'body').thickness, riding: onTheBack(layups) })
        : caseStanding(p, s, leatherOf(materials, 'body').thickness, onTheBack(layups)),
      joins: caseJoins(p, s),
      matches: [],
      fittings: p.closure === 'snap' ? snapHalves(p, s) : [],
      fits: fits(p, s, reckon),
      concerns: concerns(p, s),
      carries: [
        `a thing ${[p.wide, p.high, p.deep].map(lengthSaid).join(' × ')}`,
        ...counted(p.pockets * p.cardsPerPocket, 'card'),
      ],
      sizes: [
        ...[s.bodyLength, s.width, s.flapBend, s.flat, s.full].map((size) => ({ panelId: 'back', size })),
        ...[s.width, s.height].map((size) => ({ panelId: s.foot ? 'back' : 'front', size })),
        ...(s.foot ? [s.foot.deep, s.foot.corner].map((size) => ({ panelId: 'back', size })) : []),
        ...[s.gussetTop, s.gussetHigh].map((size) => ({ panelId: 'gusset', size })),
        ...(p.bridge === 'bridge' ? [s.bridge, s.rise].map((size) => ({ panelId: 'bridge', size })) : []),
        ...(s.stack ? stackSizesShown(s.stack) : []),
      ],
    }
  },
})
