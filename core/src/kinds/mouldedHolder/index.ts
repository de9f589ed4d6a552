import { STAY, type Path, pathLength, pathPart, point, shift } from '../../geometry/index.js'
import { mouldingExtra } from '../../formulas/index.js'
import {
  type Fit,
  type Join,
  type Layup,
  type Panel,
  type PanelMark,
  type Sheet,
  type Stock,
  insetChainMaybe,
} from '../../master/index.js'
import { type Reckon, type Reckoned, given } from '../../working/index.js'
import { type Kind, type Materials, type Role, leatherOf } from '../kind.js'
import { type Basics, basicsOf, sizeBy } from '../parts/basics.js'
import { EDGE_FIELDS, choiceField, leatherField, lengthField, shareField } from '../parts/fields.js'
import { lineSeam } from '../parts/seams.js'
import {
  type Shape,
  allRound,
  box,
  finishedFate,
  outlineOf,
  plainPanel,
  rectangleShape,
} from '../parts/shape.js'
import { clipAt, contentSheet, panelSheet } from '../parts/sheets.js'
import { HOLDER_DEFAULTS, type HolderParams, holderParams } from './params.js'

const ROLES: readonly Role[] = [
  {
    id: 'front',
    label: 'Front',
    why: 'vegetable tanned, so that it takes and keeps a shape when wet',
    usual: 2.2,
  },
  { id: 'back', label: 'Back', why: 'flat and firm; carries the weight', usual: 2.6 },
]

/** Judgement values of the bench, mm. */
const BENCH = {
  /** From the wall to the stitches' inner side. */
  flangeRoom: 2,
  loopWide: 28,
  loopLap: 18,
  loopEase: 4,
  slotWide: 3.5,
  /** Leather between a slot and the seam or the edge of a wing. */
  wingRim: 9,
  /** A plate is pressed down over block and leather with so much to spare. */
  plateEase: 0.3,
  plateRim: 35,
  roundCorner: 5,
} as const

/** A pocket is never drawn shallower than this, mm. */
const LEAST_INSIDE = 10

/** The form is sawn from board as thick as the thing is deep. */
const board = (thickness: number): Stock => ({
  name: 'board for the form',
  thickness,
  neutral: 0.5,
  swatch: '#e4e2d8',
})

interface Sizes extends Basics {
  readonly flange: Reckoned
  readonly pocketWide: Reckoned
  readonly pocketHigh: Reckoned
  readonly extra: Reckoned
  readonly blankWide: Reckoned
  readonly blankHigh: Reckoned
  readonly spacing: Reckoned
  readonly loop: Reckoned
  readonly wing: Reckoned
  readonly closed: Reckoned
}

function sizesOf(p: HolderParams, materials: Materials, reckon: Reckon): Sizes {
  const size = sizeBy(reckon)
  const basics = basicsOf(p.margin, materials, reckon)
  const [front, back] = [leatherOf(materials, 'front'), leatherOf(materials, 'back')]
  const t = given('front leather', front.thickness, 'thickness')
  const wide = given('wide', p.wide)
  // A thing that stands out altogether is held by nothing; a stop says so.
  const inside = given('inside', Math.max(LEAST_INSIDE, p.high - p.shown))
  const flange = size(
    'flange',
    'flange beside the wall',
    '{margin} margin + {hole} half a hole + {room} clear of the wall',
    '§11',
    { margin: basics.margin, hole: basics.hole, room: given('room', BENCH.flangeRoom) },
    (v) => v.margin + v.hole + v.room,
  )
  const pocketWide = size(
    'pocket.wide',
    'width over the flanges',
    '{wide} + 2 × ({t} wall + {flange} flange)',
    '§11',
    { wide, t, flange },
    (v) => v.wide + 2 * (v.t + v.flange),
  )
  const pocketHigh = size(
    'pocket.high',
    'height from mouth to foot',
    '{inside} of the thing inside + {t} wall + {flange} flange',
    '§11',
    { inside, t, flange },
    (v) => v.inside + v.t + v.flange,
  )
  const extra = size(
    'extra',
    'taken up by both walls',
    '2 × {deep} − 2 × 0.43 × ({edge} edge + {foot} at the foot) + π × (2 × {k} − 1) × {t}',
    '§11',
    {
      deep: given('deep', p.deep),
      edge: given('edge', p.edge),
      foot: given('foot', Math.max(front.thickness, 0)),
      k: given('neutral share', front.neutral, 'share'),
      t,
    },
    (v) =>
      mouldingExtra({
        height: v.deep,
        slope: Math.PI / 2,
        topRadius: v.edge,
        footRadius: 0,
        thickness: v.t,
        neutral: v.k,
      }),
  )
  const shrink = given('shrinks', 1 + p.shrink, 'share')
  const rough = given('rough', p.rough)
  const blankWide = size(
    'blank.wide',
    'front before forming, width',
    '({wide} + {extra} walls + 2 × {flange} flange + 2 × {rough} to trim) × {shrink}',
    '§11',
    { wide, extra, flange, rough, shrink },
    (v) => (v.wide + v.extra + 2 * v.flange + 2 * v.rough) * v.shrink,
  )
  const blankHigh = size(
    'blank.high',
    'front before forming, height',
    '({inside} + {extra} / 2 wall at the foot + {flange} flange + 2 × {rough} to trim) × {shrink}',
    '§11',
    { inside, extra, flange, rough, shrink },
    (v) => (v.inside + v.extra / 2 + v.flange + 2 * v.rough) * v.shrink,
  )
  const spacing = size(
    'slots',
    'from slot to slot',
    '{belt} belt + {ease} ease',
    '§10',
    { belt: given('belt', p.belt), ease: given('ease', BENCH.loopEase) },
    (v) => v.belt + v.ease,
  )
  const loop = size(
    'loop',
    'length of the loop',
    '{spacing} + 2 × {thick} belt + π × {k} × {t} + 2 × {lap} inside',
    '§10',
    {
      spacing,
      thick: given('belt', p.beltThick),
      k: given('neutral share', back.neutral, 'share'),
      t: given('back leather', back.thickness, 'thickness'),
      lap: given('lap', BENCH.loopLap),
    },
    (v) => v.spacing + 2 * v.thick + Math.PI * v.k * v.t + 2 * v.lap,
  )
  const wing = size(
    'wing',
    'width of a wing',
    '{slot} slot + 2 × {rim} of leather',
    '§10',
    { slot: given('slot', Math.max(BENCH.slotWide, p.beltThick + 1)), rim: given('rim', BENCH.wingRim) },
    (v) => (p.hung === 'wings' ? v.slot + 2 * v.rim : 0 * v.rim),
  )
  const closed = size(
    'closed',
    'thickness with the thing in it',
    '{deep} + {front} front + {back} back',
    '§11',
    { deep: given('deep', p.deep), front: t, back: given('back', back.thickness, 'thickness') },
    (v) => v.deep + v.front + v.back,
  )
  return {
    ...basics,
    flange,
    pocketWide,
    pocketHigh,
    extra,
    blankWide,
    blankHigh,
    spacing,
    loop,
    wing,
    closed,
  }
}

/** The holder's outline over the flanges, from its mouth, in the frame of the back. */
const pocketShape = (p: HolderParams, s: Sizes): Shape => {
  const r = Math.min(p.corner, s.pocketWide.value / 2 - 1)
  return rectangleShape(
    s.pocketWide.value,
    s.pocketHigh.value,
    { footLeft: r, footRight: r },
    finishedFate(p.finish, p.trim, (e) => e !== 'top'),
  )
}

/** From the mouth to the upper slot: the end of the loop turned up inside stays below the mouth. */
const upperSlot = (s: Sizes): number =>
  Math.max(BENCH.loopLap + 4, (s.pocketHigh.value - s.spacing.value) / 4)

/** The back with its slots: for the loop one above the other, or one in a wing at either side. */
function backPanel(p: HolderParams, s: Sizes): Panel {
  const [w, h, wing] = [s.pocketWide.value, s.pocketHigh.value, s.wing.value]
  const shape =
    p.hung === 'loop'
      ? pocketShape(p, s)
      : rectangleShape(
          w + 2 * wing,
          h,
          { footLeft: Math.min(p.corner, wing), footRight: Math.min(p.corner, wing) },
          finishedFate(p.finish, p.trim, () => false),
        )
  const top = upperSlot(s)
  const marks: PanelMark[] =
    p.hung === 'loop'
      ? [top, top + s.spacing.value].map((y, i) => ({
          type: 'slot',
          id: `slot-${i + 1}`,
          at: point(w / 2, y),
          angle: 0,
          length: BENCH.loopWide + 1.5,
          punch: BENCH.slotWide,
        }))
      : [wing / 2, w + 1.5 * wing].map((x, i) => ({
          type: 'slot',
          id: `slot-${i + 1}`,
          at: point(x, h / 2),
          angle: Math.PI / 2,
          length: Math.min(p.belt + 2, h - 2 * BENCH.wingRim),
          punch: Math.max(BENCH.slotWide, p.beltThick + 1),
        }))
  return plainPanel({ id: 'back', name: 'Back', role: 'back', ...shape, marks, grain: Math.PI / 2 })
}

function panels(p: HolderParams, s: Sizes, materials: Materials): Panel[] {
  const left: Shape = rectangleShape(s.blankWide.value, s.blankHigh.value, allRound(p.corner), () => ({
    type: 'raw',
    finish: 'left',
    trim: 0,
  }))
  const cut = finishedFate(p.finish, 0, () => false)
  const t = leatherOf(materials, 'front').thickness
  const open = p.wide + 2 * (t + BENCH.plateEase)
  const rim = BENCH.plateRim
  const [over, deepIn] = [rim + open + rim, p.high + 2 * t]
  const plain = () => ({ type: 'raw', finish: 'left', trim: 0 }) as const
  return [
    plainPanel({
      id: 'front',
      name: 'Front, before forming',
      role: 'front',
      ...left,
      grain: Math.PI / 2,
      notes: ['wet it, form it over the block, leave it to dry', 'then trim it to the outline of the back'],
    }),
    backPanel(p, s),
    ...(p.hung === 'loop'
      ? [
          plainPanel({
            id: 'loop',
            name: 'Loop',
            role: 'back',
            ...rectangleShape(BENCH.loopWide, s.loop.value, {}, cut),
            grain: Math.PI / 2,
            notes: [`skive the last ${BENCH.loopLap} mm of both ends to half`],
          }),
        ]
      : []),
    plainPanel({
      id: 'block',
      name: 'Block of the form',
      role: 'guide',
      stock: board(p.deep),
      ...rectangleShape(p.wide, p.high, allRound(Math.min(BENCH.roundCorner, p.wide / 4)), plain),
      notes: [`round its upper edge to a radius of ${p.edge} mm`],
    }),
    plainPanel({
      id: 'plate',
      name: 'Plate of the form',
      role: 'guide',
      stock: board(Math.max(6, p.deep * 0.75)),
      ...outlineOf(
        [
          { x: 0, y: 0, edge: 'left-end' },
          { x: rim, y: 0, edge: 'left-inner' },
          { x: rim, y: deepIn, radius: BENCH.roundCorner, edge: 'inner-foot', corner: 'inner-left' },
          { x: rim + open, y: deepIn, radius: BENCH.roundCorner, edge: 'right-inner', corner: 'inner-right' },
          { x: rim + open, y: 0, edge: 'right-end' },
          { x: over, y: 0, edge: 'right' },
          { x: over, y: deepIn + rim, edge: 'foot' },
          { x: 0, y: deepIn + rim, edge: 'left' },
        ],
        plain,
      ),
      labelAt: point(over / 2, deepIn + rim / 2),
      notes: ['pressed down over leather and block'],
    }),
  ]
}

/** The outline in the frame of the back. */
const pocketLeft = (p: HolderParams, s: Sizes): number => (p.hung === 'wings' ? s.wing.value : 0)

/** The two ends of the loop inside, and the part of it that shows. */
function loopSheets(p: HolderParams, s: Sizes): { outside: Sheet[]; ends: Sheet[] } {
  if (p.hung !== 'loop') return { outside: [], ends: [] }
  const w = s.pocketWide.value
  const x = (w - BENCH.loopWide) / 2
  const [top, lap, length] = [upperSlot(s), BENCH.loopLap, s.loop.value]
  const foot = top + s.spacing.value
  const below = (y: number) => clipAt(point(0, y), point(0, 1))
  const above = (y: number) => clipAt(point(0, y), point(0, -1))
  return {
    outside: [panelSheet('loop', 'loop', 'loop', shift(x, top - lap), false, [below(top), above(foot)])],
    // Each end turns back inside the holder: the upper one upwards from its slot, the lower one downwards.
    ends: [
      panelSheet('loop-top', 'end of the loop', 'loop', shift(x, top - lap), true, [above(top)]),
      panelSheet('loop-foot', 'end of the loop', 'loop', shift(x, foot + lap - length), true, [below(foot)]),
    ],
  }
}

const formedOutline = (p: HolderParams, s: Sizes): Path => pocketShape(p, s).outline

function layups(p: HolderParams, s: Sizes, materials: Materials): Layup[] {
  const { outside, ends } = loopSheets(p, s)
  const left = pocketLeft(p, s)
  const t = leatherOf(materials, 'front').thickness
  const thing = contentSheet(
    'thing',
    'the thing',
    box(0, 0, p.wide, Math.max(LEAST_INSIDE, p.high - p.shown)),
    p.deep,
    shift(left + s.flange.value + t, 0),
  )
  return [
    {
      id: 'open',
      name: 'as it is sewn',
      carrier: 'back',
      sheets: [
        ...outside,
        panelSheet('back', 'back', 'back', STAY, false),
        ...ends,
        thing,
        { ...panelSheet('front', 'front', 'front', shift(left, 0), true), formed: formedOutline(p, s) },
      ],
    },
  ]
}

function joins(p: HolderParams, s: Sizes): Join[] {
  const { margin } = s
  const shape = pocketShape(p, s)
  const panel = plainPanel({ id: 'front', name: '', role: 'front', ...shape })
  const chain = ['right', 'foot-right', 'foot', 'foot-left', 'left'].filter((id) =>
    shape.edges.some((e) => e.id === id),
  )
  const whole = insetChainMaybe(panel, chain, margin.value)
  // From just under the mouth on one side round to just under it on the other.
  const path = whole && pathPart(whole, margin.value, pathLength(whole) - margin.value)
  const outer: Join[] = path
    ? [
        {
          id: 'outer',
          name: 'outer seam',
          layup: 'open',
          course: { type: 'line', sheet: 'front', line: path },
          through: ['back', 'front'],
          glue: p.hung === 'loop' ? [{ sheet: 'back', chain, limit: margin.value }] : [],
          backstitches: { start: 2, end: 2 },
        },
      ]
    : []
  if (p.hung !== 'loop') return outer
  const length = s.loop
  const lap = BENCH.loopLap
  const inset = 4
  const frame = (y: number) => [
    point(inset, y),
    point(BENCH.loopWide - inset, y),
    point(BENCH.loopWide - inset, y + lap - 2 * inset),
    point(inset, y + lap - 2 * inset),
    point(inset, y),
  ]
  const ends = [
    { id: 'loop-top', name: 'upper end of the loop', y: inset },
    { id: 'loop-foot', name: 'lower end of the loop', y: length.value - lap + inset },
  ].map(({ id, name, y }) =>
    lineSeam({ id, name, sheet: id, points: frame(y), through: ['back', id], back: [2, 1] }),
  )
  return [...ends, ...outer]
}

function fits(p: HolderParams, s: Sizes, reckon: Reckon, materials: Materials): Fit[] {
  const size = sizeBy(reckon)
  const t = leatherOf(materials, 'front').thickness
  return [
    {
      id: 'edge-radius',
      rank: 'look',
      why: 'the leather bridges so sharp an edge and thins there; round the block more',
      what: 'the rounding of the form’s edge',
      panelId: 'block',
      keys: [],
      remedy: { field: 'edge', value: Math.ceil(2 * t) / 2 },
      at: point(p.wide / 2, p.high / 2),
      needs: size(
        'fit.edge',
        'needs',
        '{t} thickness of the leather',
        '§11',
        { t: given('t', t, 'thickness') },
        (v) => v.t,
      ),
      has: size('fit.edgeHas', 'radius', '{edge}', '§11', { edge: given('edge', p.edge) }, (v) => v.edge),
    },
    {
      id: 'held',
      rank: 'stop',
      why: 'hardly anything of the thing is inside, and it falls out',
      what: 'the thing inside the holder',
      panelId: 'back',
      keys: [],
      remedy: { field: 'shown', value: Math.floor(p.high / 3) },
      at: point(s.pocketWide.value / 2, 2),
      needs: size(
        'fit.held',
        'needs',
        '{high} / 3 of it',
        '§11',
        { high: given('high', p.high) },
        (v) => v.high / 3,
      ),
      has: size(
        'fit.heldHas',
        'inside',
        '{high} − {shown}',
        '§11',
        { high: given('high', p.high), shown: given('shown', p.shown) },
        (v) => v.high - v.shown,
      ),
    },
    {
      id: 'slots-apart',
      rank: 'stop',
      why: 'the slots come too near the mouth or the foot and tear out',
      what: 'the belt on the back',
      panelId: 'back',
      keys: ['pocket.high'],
      at: point(s.pocketWide.value / 2, s.pocketHigh.value / 2),
      needs: size(
        'fit.belt',
        'needs',
        '{spacing} + 2 × {rim} beside the slots',
        '§10',
        { spacing: s.spacing, rim: given('rim', p.hung === 'loop' ? BENCH.loopLap + 4 : BENCH.wingRim) },
        (v) => v.spacing + 2 * v.rim,
      ),
      has: size('fit.beltHas', 'height of the back', '{high}', '§10', { high: s.pocketHigh }, (v) => v.high),
    },
  ]
}

/** A flat back and a front wet-formed over the thing it holds, hung on a belt. */
export const mouldedHolder: Kind<HolderParams> = {
  id: 'moulded-holder',
  name: 'Moulded holder',
  about: 'front formed wet over a block, flat back, hung on a belt',
  params: holderParams,
  defaults: HOLDER_DEFAULTS,
  roles: ROLES,
  fields: [
    ...ROLES.map(leatherField),
    ...EDGE_FIELDS,
    lengthField('wide', 'width of the thing', 15, 250),
    lengthField('high', 'height of the thing', 20, 300),
    lengthField('deep', 'thickness of the thing', 3, 60),
    lengthField('edge', 'radius of the form’s edge', 0, 30),
    lengthField('shown', 'standing out of the mouth', 0, 120),
    shareField('shrink', 'shrinks in drying', '0.02 to 0.05 for most vegetable tanned leather', 0.08, 0.005),
    lengthField('rough', 'left to trim all round', 5, 30),
    choiceField('hung', 'hung by', [
      ['loop', 'a loop through two slots in the back', 'the belt does not touch what is inside'],
      ['wings', 'the belt through a slot in each wing', 'lies close to the body; wider'],
    ]),
    lengthField('belt', 'width of the belt', 10, 70),
    lengthField('beltThick', 'thickness of the belt', 1, 8),
  ],
  brief: [
    'It holds a thing {wide} wide, {high} high and {deep} thick, of which {shown} stands out of the mouth.',
    'Formed over a block with edges rounded {edge}; the leather {shrink}, {rough} left to trim.',
    'Hung by {hung}: a belt {belt} wide and {beltThick} thick.',
  ],
  sentences: {
    front: [
      'Cut 1 from {leather-front}. Formed over {wide} × {high} × {deep}, edges rounded {edge}.',
      'Left {rough} to trim all round; {shrink} in drying. Sewn {margin} in after trimming; edges {finish}.',
    ],
    back: [
      'Cut 1 from {leather-back}, corners rounded {corner}. Hung by {hung}, for a belt of {belt} × {beltThick}.',
      'Sewn {margin} in with the {iron}; edges {finish}, cut {trim} over size.',
    ],
    loop: ['Cut 1 from {leather-back}, for a belt of {belt} × {beltThick}.'],
  },
  master: (p, materials, reckon) => {
    const s = sizesOf(p, materials, reckon)
    return {
      panels: panels(p, s, materials),
      layups: layups(p, s, materials),
      joins: joins(p, s),
      matches: [],
      fits: fits(p, s, reckon, materials),
      carries: [`one thing ${p.wide} × ${p.high} × ${p.deep} mm`],
      sizes: [
        ...[s.blankWide, s.blankHigh, s.extra, s.flange].map((size) => ({ panelId: 'front', size })),
        ...[s.pocketWide, s.pocketHigh, s.spacing, s.closed].map((size) => ({ panelId: 'back', size })),
        ...(p.hung === 'loop' ? [{ panelId: 'loop', size: s.loop }] : [{ panelId: 'back', size: s.wing }]),
      ],
    }
  },
}
