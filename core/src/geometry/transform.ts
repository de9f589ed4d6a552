import type { Path } from './path.js'
import type { Point } from './point.js'
import { type Segment, arc, cubic, line } from './segment.js'

/** A move that keeps all lengths: x' = a x + c y + e, y' = b x + d y + f with a²+b² = 1. It may turn a piece over. */
export interface Move {
  readonly a: number
  readonly b: number
  readonly c: number
  readonly d: number
  readonly e: number
  readonly f: number
}

export const STAY: Move = { a: 1, b: 0, c: 0, d: 1, e: 0, f: 0 }
export const shift = (x: number, y: number): Move => ({ ...STAY, e: x, f: y })
/** A turn of `angle` radians, clockwise on the screen, about the origin. */
export const turn = (angle: number): Move => {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)]
  return { a: cos, b: sin, c: -sin, d: cos, e: 0, f: 0 }
}
/** A quarter turn without rounding. */
export const QUARTER_TURN: Move = { a: 0, b: 1, c: -1, d: 0, e: 0, f: 0 }
/** Turned over about the upright line at x. */
export const flipAbout = (x: number): Move => ({ ...STAY, a: -1, e: 2 * x })
/** Everything so many times as large; mirrored where one is below nothing. */
export const scaled = (x: number, y: number): Move => ({ ...STAY, a: x, d: y })

/** Turned over about the level line at y. */
export const flipAboutLevel = (y: number): Move => ({ ...STAY, d: -1, f: 2 * y })

/** First `inner`, then `outer`. */
export const moveThen = (inner: Move, outer: Move): Move => ({
  a: outer.a * inner.a + outer.c * inner.b,
  b: outer.b * inner.a + outer.d * inner.b,
  c: outer.a * inner.c + outer.c * inner.d,
  d: outer.b * inner.c + outer.d * inner.d,
  e: outer.a * inner.e + outer.c * inner.f + outer.e,
  f: outer.b * inner.e + outer.d * inner.f + outer.f,
})

export const movesOver = (m: Move): boolean => m.a * m.d - m.b * m.c < 0

export function moveBack(m: Move): Move {
  const det = m.a * m.d - m.b * m.c
  const [a, b, c, d] = [m.d / det, -m.b / det, -m.c / det, m.a / det]
  return { a, b, c, d, e: -(a * m.e + c * m.f), f: -(b * m.e + d * m.f) }
}

export const pointMoved = (p: Point, m: Move): Point => ({
  x: m.a * p.x + m.c * p.y + m.e,
  y: m.b * p.x + m.d * p.y + m.f,
})

/** The direction `angle` after the move. */
export const angleMoved = (angle: number, m: Move): number => {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)]
  return Math.atan2(m.b * cos + m.d * sin, m.a * cos + m.c * sin)
}

export function segmentMoved(s: Segment, m: Move): Segment {
  const [from, to] = [pointMoved(s.from, m), pointMoved(s.to, m)]
  if (s.type === 'line') return line(from, to)
  if (s.type === 'arc') return arc(from, to, pointMoved(s.centre, m), movesOver(m) ? -s.sweep : s.sweep)
  return cubic(from, pointMoved(s.c1, m), pointMoved(s.c2, m), to)
}

export const pathMoved = (path: Path, m: Move): Path => ({
  ...path,
  segments: path.segments.map((s) => segmentMoved(s, m)),
})
