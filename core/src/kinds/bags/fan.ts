import { bellows } from '../../formulas/index.js'
import {
  type Point,
  type Point3,
  STAY,
  shift,
  point,
  point3,
  point3Cross,
  point3Dot,
  point3Subtract,
  point3Scale,
  point3Unit,
  polygon,
  polyline,
} from '../../geometry/index.js'
import type { Concern, Edge, Fold, Panel, Stood, StoodPart } from '../../master/index.js'
import { type Reckoned, given } from '../../working/index.js'
import { lineSeam } from '../parts/seams.js'
import { outlineOf, plainPanel } from '../parts/shape.js'
import { panelSheet } from '../parts/sheets.js'
import { STRAIGHT, X, flatPart, minus } from './axes.js'
import { type Bag } from './bag.js'
import { type Flap, flapCorners, flapFolds, flapOf, flapPart, isFlapEdge } from './flap.js'
import { type Body, type Face, alone, part } from './parts.js'
import { type Profile, profileShape } from './profile.js'
import { TOP_IN } from './seam.js'

/** A side that folds flat between front and back: deep at the top, nothing at the foot. Lengths mm, angles radians. */
interface Fan {
  readonly pleats: number
  /** Along the top edge, from one fold to the next. */
  readonly leaf: Reckoned
  /** At the foot, between one fold and the next. */
  readonly beta: number
  readonly rise: number
  /** How far front and back lean when it stands open. */
  readonly lean: number
  /** Its leaves are too wide for its height. */
  readonly cramped: boolean
}

function fanOf(bag: Bag): Fan {
  const { p, size, s } = bag
  const pleats = p.body === 'folded' ? 1 : p.pleats
  const gamma = (p.pleatAngle * Math.PI) / 180
  const leaf = size(
    'fan.leaf',
    'a leaf along the top edge',
    '{deep} / (2 × {pleats} pleats × sine of half of {angle})',
    '§20',
    { deep: s.deep, pleats: given('pleats', pleats, 'count'), angle: given('opening', gamma, 'angle') },
    (v) => v.deep / (2 * v.pleats * Math.sin(v.angle / 2)),
  )
  const rise = s.high.value
  // A side of no depth would have no leaf to draw, and one that opens further than a fan has no foot to stand on.
  const whole = 2 * Math.asin(Math.min(0.7, Math.max(1, leaf.value) / (2 * rise)))
  const beta = Math.min(whole, MOST_FAN / (2 * pleats))
  const lean = Math.asin(Math.min(0.7, Math.max(0, s.deep.value) / (2 * rise)))
  return { pleats, leaf, rise, beta, lean: Math.min(lean, pleats * beta * 0.98), cramped: beta < whole }
}

/** All leaves of a side together open no further than this where they meet at the foot, radians. */
const MOST_FAN = 2.2

/** Directions of the folds of the flat side from its foot, the first to the left. */
const rays = ({ pleats, beta }: Fan): Point[] =>
  Array.from({ length: 2 * pleats + 1 }, (_, i) => {
    const a = (i - pleats) * beta
    return point(Math.sin(a), -Math.cos(a))
  })

/** Where its foot lies on the flat side. */
function apexOf(fan: Fan, m: number): Point {
  const left = Math.min(...rays(fan).map((r) => r.x)) * fan.rise
  return point(-left + m, fan.rise)
}

function sidePanel(bag: Bag, fan: Fan): Panel {
  const m = bag.margin.value
  const apex = apexOf(fan, m)
  const all = rays(fan)
  const [first, last] = [all[0]!, all[all.length - 1]!]
  const on = (d: Point, r: number, aside = 0): Point =>
    point(apex.x + d.x * r - d.y * aside, apex.y + d.y * r + d.x * aside)
  const points = [
    on(first, fan.rise, -m),
    ...all.map((d) => on(d, fan.rise)),
    on(last, fan.rise, m),
    on(last, -m / 2, m),
    on(first, -m / 2, -m),
  ]
  const n = all.length + 1
  const edge = (id: string, from: number, to: number, fate: Edge['fate']): Edge => ({
    id,
    name: id.replaceAll('-', ' '),
    first: from,
    last: to,
    fate,
  })
  const folds = all.slice(1, -1).map((d, i): Fold => ({
    id: `fold-${i + 1}`,
    name: `fold ${i + 1}`,
    from: on(d, 0),
    to: on(d, fan.rise),
    width: 0,
    rises: i % 2 === 0 ? 'valley' : 'hill',
    angle: Math.PI,
  }))
  return plainPanel({
    id: 'side',
    name: 'Side, folding',
    role: 'gusset',
    count: 2,
    outline: polygon(points),
    edges: [
      edge('top', 0, n - 1, bag.topFate.type === 'rolled' ? bag.plain : bag.topFate),
      edge('right', n, n, bag.seamed),
      edge('foot', n + 1, n + 1, bag.plain),
      edge('left', n + 2, n + 2, bag.seamed),
    ],
    folds,
    grain: Math.PI / 2,
    notes: ['folds inwards: crease it before it is sewn'],
  })
}

/** Front and back meet along the foot; sides in pleats between them. */
export function fanBody(bag: Bag): Body {
  const { s, p, gusset, margin } = bag
  const m = margin.value
  const fan = fanOf(bag)
  const profile: Profile = { span: s.wide.value, rise: s.high.value, radius: 0 }
  const apart = s.deep.value + bag.body.thickness
  const wide = profile.span + 2 * m
  const flap = p.flap === 'one' ? flapOf(bag, apart, wide, fan.lean) : undefined
  const front = facePanel(bag, profile, 'front', undefined)
  const back = facePanel(bag, profile, 'back', flap)
  const side = sidePanel(bag, fan)
  const apex = apexOf(fan, m)
  const all = rays(fan)
  const edgeLine = (ray: Point) =>
    polyline([point(apex.x + ray.x * (fan.rise - TOP_IN), apex.y + ray.y * (fan.rise - TOP_IN)), apex])
  const seam = (
    id: string,
    face: 'front' | 'back',
    at: 'right' | 'left',
    sheet: string,
    ray: Point,
    twin: string,
  ) => ({
    ...lineSeam({
      id,
      name: `${at} seam of the ${face}`,
      sheet: face,
      points: [
        point(at === 'right' ? wide - m : m, TOP_IN),
        point(at === 'right' ? wide - m : m, profile.rise),
      ],
      through: [face, sheet],
      twin,
      pairName: `the side seams of the ${face}`,
    }),
    mate: { type: 'line' as const, sheet, line: edgeLine(ray) },
  })
  const [first, last] = [all[0]!, all[all.length - 1]!]
  const closed = bellows(fan.pleats, fan.leaf.value, gusset.thickness, 0.5, gusset.neutral)
  const closedSize = bag.size(
    'fan.closed',
    'a side folded flat',
    '2 × {pleats} × {t} + {folds} folds × 0.5',
    '§20',
    {
      pleats: given('pleats', fan.pleats, 'count'),
      t: given('leather', gusset.thickness, 'thickness'),
      folds: given('folds', 2 * fan.pleats - 1, 'count'),
    },
    () => closed.closed,
  )
  const made = part({
    panels: [front, back, side],
    piles: [
      alone(front),
      alone(back),
      ...(['right', 'left'] as const).map((way) => ({
        base: `side-${way}`,
        sheets: [panelSheet(`side-${way}`, `${way} side`, 'side', STAY, true)],
      })),
    ],
    joins: [
      seam('front-right', 'front', 'right', 'side-right', first, 'front-left'),
      seam('front-left', 'front', 'left', 'side-left', last, 'front-right'),
      seam('back-right', 'back', 'right', 'side-left', first, 'back-left'),
      seam('back-left', 'back', 'left', 'side-right', last, 'back-right'),
      {
        ...lineSeam({
          id: 'foot-seam',
          name: 'foot seam',
          sheet: 'front',
          points: [point(wide - m, profile.rise), point(m, profile.rise)],
          through: ['front', 'back'],
        }),
        mate: {
          type: 'line',
          sheet: 'back',
          line: polyline([point(m, profile.rise), point(wide - m, profile.rise)]),
        },
      },
    ],
    sizes: [
      ...[s.wide, s.high, s.deep, s.outWide, s.outHigh, s.outDeep].map((size) => ({
        panelId: 'front',
        size,
      })),
      ...[fan.leaf, closedSize].map((size) => ({ panelId: 'side', size })),
      ...(flap ? [{ panelId: 'back', size: flap.over }] : []),
    ],
    concerns: fanConcerns(bag, fan),
    stood: (opened) => standing(bag, profile, fan, flap, opened),
  })
  const face = (way: 1 | -1, aside = 0): Face => ({
    sheet: way > 0 ? 'front' : 'back',
    move: shift(wide / 2 + aside, 0),
    wide: profile.span,
    high: profile.rise,
    proud: bag.proud.flat,
    frame: (opened) => {
      const [c, sn] = [Math.cos(fan.lean * opened), Math.sin(fan.lean * opened)]
      return {
        origin: point3(way * aside, profile.rise * c, way * profile.rise * sn),
        right: way > 0 ? X : minus(X),
        down: point3(0, -c, -way * sn),
        grain: point3(0, -sn, way * c),
      }
    },
  })
  // A side that folds carries nothing: what would go there goes on the corners of the back.
  const corner = profile.span / 2 - 20
  return {
    ...made,
    front: face(1),
    back: face(-1),
    right: face(-1, -corner),
    left: face(-1, corner),
    flap,
    apart,
    lean: fan.lean,
  }
}

function fanConcerns({ s, p }: Bag, fan: Fan): Concern[] {
  const reach = fan.leaf.value
  if (fan.cramped)
    return [
      {
        id: 'fan-cramped',
        rank: 'stop',
        panelId: 'side',
        at: point(10, 10),
        what: 'The side is too low for leaves as wide as that',
        why: 'They meet at the foot, where there is no room for them. A shallower bag, a higher one, or pleats that open wider.',
        remedy: {
          field: 'deep',
          value: Math.max(4, Math.floor(s.high.value * 0.5)),
          said: 'a shallower bag',
        },
      },
    ]
  return reach * 2 > s.wide.value
    ? [
        {
          id: 'pleats-meet',
          rank: 'stop',
          panelId: 'side',
          at: point(10, 10),
          what: 'Folded flat, the pleats of the two sides meet in the middle',
          why: 'They need half of the width each. More pleats, a shallower bag, or pleats that open wider.',
          remedy: { field: 'pleats', value: Math.min(6, p.pleats + 1), said: 'one pleat more' },
        },
      ]
    : []
}

function facePanel(bag: Bag, profile: Profile, id: 'front' | 'back', flap: Flap | undefined): Panel {
  const m = bag.margin.value
  const [w, h] = [profile.span + 2 * m, profile.rise + m]
  const fate = (edge: string) => (edge === 'top' ? bag.topFate : isFlapEdge(edge) ? bag.plain : bag.seamed)
  const shape = flap
    ? outlineOf([...flapCorners(flap, w), { x: w, y: h, edge: 'foot' }, { x: 0, y: h, edge: 'left' }], fate)
    : profileShape(profile, m, fate)
  return plainPanel({
    id,
    name: id === 'front' ? 'Front' : 'Back',
    role: 'body',
    ...shape,
    folds: flap ? flapFolds(flap, w) : [],
    labelAt: point(w / 2, h * 0.4),
  })
}

/** Where the folds of a side run in space from its foot, seen for the right side, open by so much. */
function raysInSpace({ pleats, beta }: Fan, lean: number): Point3[] {
  const half = lean / pleats
  const inward = Math.acos(Math.min(1, Math.cos(beta) / Math.cos(half)))
  return Array.from({ length: 2 * pleats + 1 }, (_, i) => {
    const a = lean - i * half
    const out = i % 2 === 0 ? 0 : inward
    return point3(-Math.sin(out), Math.cos(out) * Math.cos(a), Math.cos(out) * Math.sin(a))
  })
}

function standing(
  bag: Bag,
  { span, rise }: Profile,
  fan: Fan,
  flap: Flap | undefined,
  opened: number,
): Stood[] {
  const m = bag.margin.value
  const lean = fan.lean * opened
  const [c, sn] = [Math.cos(lean), Math.sin(lean)]
  const face = (sheet: 'front' | 'back', way: 1 | -1): Stood => {
    const corner = point3(-way * (span / 2 + m), rise * c, way * rise * sn)
    const grain = point3(0, -sn, way * c)
    const flat = flatPart(corner, way > 0 ? X : minus(X), grain)
    const over = sheet === 'back' && flap
    return {
      sheet,
      proud: bag.proud.flat,
      parts: over
        ? [
            { ...flat, clips: [{ at: point(0, 0), inward: point(0, 1) }] },
            flapPart(flap, 1 - opened, corner, point3(0, c, way * sn), grain),
          ]
        : [flat],
    }
  }
  return [
    face('front', 1),
    face('back', -1),
    { sheet: 'side-right', proud: 0, parts: leaves(fan, m, span / 2, 1, lean) },
    { sheet: 'side-left', proud: 0, parts: leaves(fan, m, -span / 2, -1, lean) },
  ]
}

/** Each leaf between two folds stands flat. */
function leaves(fan: Fan, m: number, x: number, way: 1 | -1, lean: number): StoodPart[] {
  const apex = apexOf(fan, m)
  const flat = rays(fan)
  // The left side is the right one turned about the upright axis.
  const inSpace = raysInSpace(fan, lean).map((d) => point3(d.x * way, d.y, d.z * way))
  return flat.slice(0, -1).map((ray, i): StoodPart => {
    const [a, b] = [inSpace[i]!, inSpace[i + 1]!]
    const across = point3Unit(point3Subtract(b, point3Scale(a, point3Dot(a, b))))
    const right = (d: Point): Point => point(-d.y, d.x)
    const next = right(flat[i + 1]!)
    return {
      clips: [
        ...(i > 0 ? [{ at: apex, inward: right(ray) }] : []),
        ...(i < flat.length - 2 ? [{ at: apex, inward: point(-next.x, -next.y) }] : []),
      ],
      from: apex,
      along: ray,
      course: STRAIGHT,
      frame: { origin: point3(x, 0, 0), along: a, rise: point3Cross(across, a) },
    }
  })
}
