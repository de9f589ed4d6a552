import { pointDistance } from './point.js'
import { type Cubic, type Segment, arcRadius } from './segment.js'

// Gauss-Legendre, 10 points on [-1, 1]: abscissae and weights (Abramowitz & Stegun, table 25.4).
const GAUSS: readonly (readonly [number, number])[] = [
  [0.1488743389816312, 0.2955242247147529],
  [0.4333953941292472, 0.2692667193099963],
  [0.6794095682990244, 0.219086362515982],
  [0.8650633666889845, 0.1494513491505806],
  [0.9739065285171717, 0.0666713443086881],
]
/** How far two halvings of a curve may differ in length before it is halved again, mm. */
const LENGTH_TOLERANCE = 1e-9
const DEEPEST = 14

/** Speed along a cubic, without a point being made: it is asked for millions of times. */
function speed(s: Cubic, t: number): number {
  const u = 1 - t
  const [a, b, c] = [3 * u * u, 6 * u * t, 3 * t * t]
  const x = a * (s.c1.x - s.from.x) + b * (s.c2.x - s.c1.x) + c * (s.to.x - s.c2.x)
  const y = a * (s.c1.y - s.from.y) + b * (s.c2.y - s.c1.y) + c * (s.to.y - s.c2.y)
  return Math.sqrt(x * x + y * y)
}

function gauss(s: Cubic, t0: number, t1: number): number {
  const half = (t1 - t0) / 2
  const middle = (t0 + t1) / 2
  let sum = 0
  for (const [x, w] of GAUSS) sum += w * (speed(s, middle - half * x) + speed(s, middle + half * x))
  return half * sum
}

function cubicLength(s: Cubic, t0: number, t1: number, depth = 0): number {
  const middle = (t0 + t1) / 2
  const halves = gauss(s, t0, middle) + gauss(s, middle, t1)
  if (depth >= DEEPEST || Math.abs(halves - gauss(s, t0, t1)) <= LENGTH_TOLERANCE) return halves
  return cubicLength(s, t0, middle, depth + 1) + cubicLength(s, middle, t1, depth + 1)
}

/** Lengths of a cubic at equal steps of its parameter; between two of them one interval of Gauss is exact enough. */
interface LengthTable {
  readonly lengths: readonly number[]
  readonly even: boolean
}
const knownTables = new WeakMap<Cubic, LengthTable>()
const STEPS = 4

function tableOf(s: Cubic): LengthTable {
  const before = knownTables.get(s)
  if (before) return before
  const lengths = [0]
  let even = true
  for (let i = 0; i < STEPS; i += 1) {
    const [t0, t1] = [i / STEPS, (i + 1) / STEPS]
    const middle = (t0 + t1) / 2
    const halves = gauss(s, t0, middle) + gauss(s, middle, t1)
    const agrees = Math.abs(gauss(s, t0, t1) - halves) <= LENGTH_TOLERANCE
    if (!agrees) even = false
    lengths.push(lengths[i]! + (agrees ? halves : cubicLength(s, t0, t1)))
  }
  const table = { lengths, even }
  knownTables.set(s, table)
  return table
}

/** Length up to parameter t. A curve with a cusp or a crowded end is measured the slow way between the steps. */
function cubicLengthTo(s: Cubic, t: number): number {
  const { lengths, even } = tableOf(s)
  const i = Math.min(STEPS - 1, Math.floor(t * STEPS))
  const t0 = i / STEPS
  return t - t0 < 1e-15 ? lengths[i]! : lengths[i]! + (even ? gauss(s, t0, t) : cubicLength(s, t0, t))
}

/** Length in mm of a segment up to parameter t; of the whole where t is left out. */
export function segmentLength(s: Segment, t = 1): number {
  if (s.type === 'line') return pointDistance(s.from, s.to) * t
  if (s.type === 'arc') return Math.abs(s.sweep) * arcRadius(s) * t
  if (t >= 1) return tableOf(s).lengths[STEPS]!
  return t <= 0 ? 0 : cubicLengthTo(s, t)
}

/** The parameter at `distance` mm from the start, kept inside 0..1. Newton with a bracket, to 1e-10 mm. */
export function segmentParameterAt(s: Segment, distance: number): number {
  const whole = segmentLength(s)
  if (distance <= 0 || whole === 0) return 0
  if (distance >= whole) return 1
  if (s.type !== 'cubic') return distance / whole
  const { lengths } = tableOf(s)
  const i = lengths.findLastIndex((l) => l <= distance)
  const share = (distance - lengths[i]!) / (lengths[i + 1]! - lengths[i]!)
  let [low, high, t] = [i / STEPS, (i + 1) / STEPS, (i + share) / STEPS]
  for (let step = 0; step < 60; step += 1) {
    const miss = segmentLength(s, t) - distance
    if (Math.abs(miss) < 1e-10) return t
    if (miss > 0) high = t
    else low = t
    const next = t - miss / speed(s, t)
    t = next > low && next < high ? next : (low + high) / 2
  }
  return t
}
