import { pointDistance } from './point.js'
import { type Cubic, type Segment, arcRadius, segmentDerivative } from './segment.js'

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

const speed = (s: Cubic, t: number): number => {
  const d = segmentDerivative(s, t)
  return Math.hypot(d.x, d.y)
}

const gauss = (s: Cubic, t0: number, t1: number): number => {
  const half = (t1 - t0) / 2
  const middle = (t0 + t1) / 2
  return (
    half *
    GAUSS.reduce((sum, [x, w]) => sum + w * (speed(s, middle - half * x) + speed(s, middle + half * x)), 0)
  )
}

function cubicLength(s: Cubic, t0: number, t1: number, depth = 0): number {
  const middle = (t0 + t1) / 2
  const halves = gauss(s, t0, middle) + gauss(s, middle, t1)
  if (depth >= DEEPEST || Math.abs(halves - gauss(s, t0, t1)) <= LENGTH_TOLERANCE) return halves
  return cubicLength(s, t0, middle, depth + 1) + cubicLength(s, middle, t1, depth + 1)
}

/** Length in mm of a segment up to parameter t; of the whole where t is left out. */
export function segmentLength(s: Segment, t = 1): number {
  if (s.type === 'line') return pointDistance(s.from, s.to) * t
  if (s.type === 'arc') return Math.abs(s.sweep) * arcRadius(s) * t
  return t <= 0 ? 0 : cubicLength(s, 0, t)
}

/** The parameter at `distance` mm from the start, kept inside 0..1. Newton with a bracket, to 1e-10 mm. */
export function segmentParameterAt(s: Segment, distance: number): number {
  const whole = segmentLength(s)
  if (distance <= 0 || whole === 0) return 0
  if (distance >= whole) return 1
  if (s.type !== 'cubic') return distance / whole
  let [low, high, t] = [0, 1, distance / whole]
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
