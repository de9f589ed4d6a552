import { bendAllowance } from '../../../formulas/index.js'
import { type Point3, type Stretch, courseAt, courseOf, coursed, point } from '../../../geometry/index.js'
import type { Band, Fold, StoodPart } from '../../../master/index.js'
import { type Reckoned, given } from '../../../working/index.js'
import { type Named, box, slopeBand } from '../../parts/shape.js'
import { BENCH, type Bag, isBackRaw } from '../bag.js'
import { outerUnder } from './outerUnder.js'

/** A flap narrower than its panel by no more than this has no shoulders, mm. */
const LEAST_SHOULDER = 0.01

/** A flap over the top of a bag: how long over the top, and from there down the front, mm. */
export interface Flap {
  /** Over the top from the back’s top edge to where it turns down. */
  readonly over: Reckoned
  readonly bend: number
  /** Its folds are grooved so deep; 0 where they are folded round. */
  readonly groove: number
  readonly length: number
  readonly inset: number
  readonly radius: number
  /** Half of what the walls lean out. */
  readonly lean: number
}

/** `apart`: from the middle of the back’s leather to the middle of the front’s at the top edge, mm. */
export function flapOf(bag: Bag, apart: number, wide: number, lean = 0): Flap {
  const { p, body, reckon, margin } = bag
  const t = body.thickness
  const sewn = p.flap === 'sewn' ? t : 0
  const turn = Math.PI / 2 + lean
  const groove = p.flapGrooves === 'grooved' ? BENCH.groove * t : 0
  // A groove's walls stand on either side of what bends of the leather that is left.
  const bend =
    groove > 0
      ? 2 * groove + bendAllowance(turn, 0, t - groove, body.neutral)
      : bendAllowance(turn, BENCH.flapBend, t, body.neutral)
  const middle = groove > 0 ? groove + body.neutral * (t - groove) : BENCH.flapBend + body.neutral * t
  const outer = outerUnder(bag)
  const over = reckon<string>(
    {
      key: 'flap.over',
      label: 'flap over the top',
      formula:
        'the larger of 2 × {bend} round the bends and {apart} from back to front + {t} leather + {room} room' +
        (outer > 0 ? ' + {outer} outer compartment' : '') +
        ' − 2 × {radius} + 2 × {bend}',
      source: '§20',
    },
    {
      apart: given('apart', apart + sewn),
      t: given('leather', t, 'thickness'),
      room: given('room', BENCH.flapRoom),
      outer: given('outer compartment', outer),
      radius: given('to the middle of the bend', middle),
      bend: given('bend', bend),
    },
  )
  return {
    over,
    bend,
    groove,
    length: p.flapLength,
    inset: p.seam === 'turned' && !isBackRaw(p) && p.flap === 'one' ? margin.value + 1 : 0,
    radius: Math.min(p.flapRadius, wide / 2 - margin.value - 3, p.flapLength - 1),
    lean,
  }
}

/** How far the flap reaches beyond the top edge of the back when it is laid flat, mm. */
export const flapReach = (flap: Flap): number => flap.over.value + flap.length

/** Corners of a piece `wide` mm across that goes on above y = 0 as a flap, from its left side round to its right. */
export function flapCorners({ inset, radius, ...flap }: Flap, wide: number): Named[] {
  const up = -(flap.over.value + flap.length)
  const shoulders = inset > LEAST_SHOULDER
  return [
    ...(shoulders ? [{ x: 0, y: 0, edge: 'shoulder-left' }] : []),
    { x: inset, y: 0, edge: 'flap-left' },
    { x: inset, y: up, radius, edge: 'flap', ...(radius > 0 ? { corner: 'flap-round-left' } : {}) },
    {
      x: wide - inset,
      y: up,
      radius,
      edge: 'flap-right',
      ...(radius > 0 ? { corner: 'flap-round-right' } : {}),
    },
    { x: wide - inset, y: 0, edge: shoulders ? 'shoulder-right' : 'right' },
    ...(shoulders ? [{ x: wide, y: 0, edge: 'right' }] : []),
  ]
}

const stretches = ({ over, bend, length, lean }: Flap, shut: number): Stretch[] => {
  const turn = (Math.PI / 2 + lean) * shut
  return [
    { length: bend, turn },
    { length: Math.max(0, over.value - 2 * bend) },
    { length: bend, turn },
    { length },
  ]
}

/** Where the middle of the flap over the top lies, from the back's top edge: how far up and out of its grain, and the way walked there. */
export const flapMiddle = (flap: Flap, shut: number) =>
  courseAt(coursed(courseOf(stretches(flap, shut))), flap.over.value / 2)

/** The flap as a part of the back: it goes on over the top. `corner` is where the back’s upper left corner stands. */
export const flapPart = (
  flap: Flap,
  shut: number,
  corner: Point3,
  up: Point3,
  rise: Point3,
  lap = 0,
): StoodPart => ({
  clips: lap > 0 ? [] : [{ at: point(0, 0), inward: point(0, -1) }],
  from: point(0, lap),
  along: point(0, -1),
  course: courseOf([...(lap > 0 ? [{ length: lap }] : []), ...stretches(flap, shut)]),
  frame: { origin: corner, along: up, rise },
})

/** Grooves across a piece between two of its sides, each from one level to another; what is left of the leather bends. */
export const groovesAcross = (
  id: string,
  levels: readonly (readonly [number, number])[],
  [left, right]: readonly [number, number],
  thickness: number,
): Band[] => {
  const rest = thickness * (1 - BENCH.groove)
  return levels.map(([a, b], i) => ({
    ...slopeBand(
      `${id}-${i + 1}`,
      'groove',
      [rest, rest],
      box(left, a, right, b),
      point(left, a),
      point(left, b),
    ),
    hollow: true,
  }))
}

const flapBands = ({ over, bend, inset, groove }: Flap, wide: number, thickness: number): Band[] =>
  groove > 0
    ? groovesAcross(
        'flap-groove',
        [
          [-bend, 0],
          [-over.value, -over.value + bend],
        ],
        [inset, wide - inset],
        thickness,
      )
    : []

/** Its two folds as marks and what is grooved for them; the flap reaches above y = 0. Nothing where there is no flap. */
export function flapFolded(
  flap: Flap | undefined,
  wide: number,
  thickness: number,
): { readonly folds: readonly Fold[]; readonly bands: readonly Band[] } {
  if (!flap) return { folds: [], bands: [] }
  const { over, bend, inset, lean } = flap
  const folds = [-bend / 2, -(over.value - bend / 2)].map((y, i): Fold => ({
    id: `flap-${i + 1}`,
    name: i === 0 ? 'fold at the back' : 'fold at the front',
    from: point(inset, y),
    to: point(wide - inset, y),
    width: bend,
    rises: 'mountain',
    angle: Math.PI / 2 + lean,
  }))
  return { folds, bands: flapBands(flap, wide, thickness) }
}

/** Whether an edge belongs to the flap or to where it leaves the back. */
export const isFlapEdge = (edge: string): boolean => edge.startsWith('flap') || edge.startsWith('shoulder')
