import { firstOf, lastOf } from '../../../lists/index.js'
import { point, polygon, type Point } from '../../../geometry/index.js'
import { type Edge, type Fold, type Panel } from '../../../master/index.js'
import { given, type Reckoned } from '../../../working/index.js'
import { plainPanel } from '../../parts/shape.js'
import { type Bag } from '../bag.js'

/** The sine of half of what a leaf, or of what a whole side, may open: a fan that opens further has no foot to stand on. */
const MOST_OPENS = 0.7
/** The least of a leaf that is drawn, mm: a side of no depth would have none. */
const LEAST_LEAF = 1
/** Of what its pleats open a side leans no further than this share: they never stand flat. */
const LEANS = 0.98

/** A side that folds flat between front and back: deep at the top, nothing at the foot. Lengths mm, angles radians. */
export interface Fan {
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

export function fanOf(bag: Bag): Fan {
  const { p, size, s } = bag
  const pleats = p.body === 'folded' ? 1 : p.pleats
  const gamma = (p.pleatAngle * Math.PI) / 180
  const leaf = size(
    'fan.leaf',
    'a leaf along the top edge',
    '{deep} / (2 × {pleats} pleats × sine of half of {angle})',
    '§20',
    { deep: s.deep, pleats: given('pleats', pleats, 'count'), angle: given('opening', gamma, 'angle') },
  )
  const rise = s.high.value
  // A side of no depth would have no leaf to draw, and one that opens further than a fan has no foot to stand on.
  const whole = 2 * Math.asin(Math.min(MOST_OPENS, Math.max(LEAST_LEAF, leaf.value) / (2 * rise)))
  const beta = Math.min(whole, MOST_FAN / (2 * pleats))
  const lean = Math.asin(Math.min(MOST_OPENS, Math.max(0, s.deep.value) / (2 * rise)))
  return { pleats, leaf, rise, beta, lean: Math.min(lean, pleats * beta * LEANS), cramped: beta < whole }
}

/** All leaves of a side together open no further than this where they meet at the foot, radians. */
const MOST_FAN = 2.2

/** Directions of the folds of the flat side from its foot, the first to the left. */
export const rays = ({ pleats, beta }: Fan): Point[] =>
  Array.from({ length: 2 * pleats + 1 }, (_, i) => {
    const a = (i - pleats) * beta
    return point(Math.sin(a), -Math.cos(a))
  })

/** Where its foot lies on the flat side. */
export function apexOf(fan: Fan, m: number): Point {
  const left = Math.min(...rays(fan).map((r) => r.x)) * fan.rise
  return point(-left + m, fan.rise)
}

export function sidePanel(bag: Bag, fan: Fan): Panel {
  const m = bag.margin.value
  const apex = apexOf(fan, m)
  const all = rays(fan)
  const [first, last] = [firstOf(all), lastOf(all)]
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
    rises: i % 2 === 0 ? 'valley' : 'mountain',
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
