import { type Point, pointDistance } from '../../geometry/index.js'
import { firstOf, nth } from '../../lists/index.js'

/** The blade is turned on its edge in steps of no more than this, radians. */
const TURN = Math.PI / 18
/** A turn of less than this is followed without lifting anything, radians. */
const SLIGHT = 0.02

const between = (a: Point, b: Point): number => Math.atan2(b.y - a.y, b.x - a.x)
const ahead = (p: Point, angle: number, by: number): Point => ({
  x: p.x + by * Math.cos(angle),
  y: p.y + by * Math.sin(angle),
})

/** From one heading to another the short way round, radians. */
const turnTo = (from: number, to: number): number => {
  const turn = to - from
  return Math.atan2(Math.sin(turn), Math.cos(turn))
}

/** Points without those that lie on the one before. */
const apart = (points: readonly Point[]): Point[] =>
  points.filter((p, i) => i === 0 || pointDistance(p, nth(points, i - 1)) > 1e-6)

/**
 * The way of a blade's axis so that its edge, which trails `by` mm behind, follows the points: ahead of them by so much, and
 * at every corner round it in an arc, so that the edge turns on the spot. `by` is 0 or more.
 */
export function axisOf(points: readonly Point[], by: number): Point[] {
  const way = apart(points)
  if (by === 0 || way.length < 2) return way
  const out: Point[] = []
  let heading = between(firstOf(way), nth(way, 1))
  out.push(ahead(firstOf(way), heading, by))
  for (let i = 1; i < way.length; i += 1) {
    const [from, to] = [nth(way, i - 1), nth(way, i)]
    const next = between(from, to)
    const turn = turnTo(heading, next)
    if (Math.abs(turn) > SLIGHT) {
      const steps = Math.ceil(Math.abs(turn) / TURN)
      for (let k = 1; k <= steps; k += 1) out.push(ahead(from, heading + (turn * k) / steps, by))
    }
    heading = next
    out.push(ahead(to, heading, by))
  }
  return out
}

/** A closed line begun at its longest straight stretch, in the middle of it, and led on past its start. */
export function begun(points: readonly Point[], past: number): Point[] {
  const n = points.length
  let best = 0
  for (let i = 1; i < n; i += 1)
    if (
      pointDistance(nth(points, i), nth(points, (i + 1) % n)) >
      pointDistance(nth(points, best), nth(points, (best + 1) % n)) + 1e-9
    )
      best = i
  const [a, b] = [nth(points, best), nth(points, (best + 1) % n)]
  const start = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }
  const round = Array.from({ length: n }, (_, k) => nth(points, (best + 1 + k) % n))
  const angle = between(a, b)
  const more = Math.min(past, pointDistance(start, b))
  return [start, ...round, start, ...(more > 0 ? [ahead(start, angle, more)] : [])]
}

/** A bridge is left only where what is cut between two of them is so many times as long. */
const CUT_BETWEEN = 4

/**
 * A line that comes round, cut in `count` stretches with a bridge `wide` mm long left between each two; whole where it is
 * too short for that.
 */
export function bridged(points: readonly Point[], count: number, wide: number): Point[][] {
  const lengths = points.slice(1).map((p, i) => pointDistance(p, nth(points, i)))
  const total = lengths.reduce((a, b) => a + b, 0)
  if (count < 1 || total / count < (CUT_BETWEEN + 1) * wide) return [[...points]]
  const stretch = (from: number, to: number): Point[] => {
    const out: Point[] = []
    let at = 0
    lengths.forEach((length, i) => {
      const [a, b] = [nth(points, i), nth(points, i + 1)]
      const on = (d: number): Point => ({
        x: a.x + ((b.x - a.x) * (d - at)) / length,
        y: a.y + ((b.y - a.y) * (d - at)) / length,
      })
      if (length > 0 && at + length > from && at < to) {
        if (out.length === 0) out.push(on(Math.max(from, at)))
        out.push(on(Math.min(to, at + length)))
      }
      at += length
    })
    return out
  }
  const each = total / count
  return Array.from({ length: count }, (_, i) => stretch(i * each + wide / 2, (i + 1) * each - wide / 2))
}
