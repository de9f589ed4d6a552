import { type Box, pathBox } from './box.js'
import { pathPoints } from './flatten.js'
import { type Path, openPath } from './path.js'
import { type Point, pointCross, pointSubtract } from './point.js'
import { type Arc, arcRadius, segmentPart } from './segment.js'

/** A closed path prepared for many questions: the polygon of its chords, and the caps its arcs add or take away. */
interface Prepared {
  readonly box: Box
  readonly ring: readonly Point[]
  readonly caps: readonly Arc[]
}

/** Cubics are taken as chords this close to them, mm; lines and arcs are exact. */
const CUBIC_TOLERANCE = 0.002
const prepared = new WeakMap<Path, Prepared>()

/** Arcs of at most a quarter turn, so that a cap never holds its own centre. */
function quarters(a: Arc): readonly Arc[] {
  const count = Math.max(1, Math.ceil(Math.abs(a.sweep) / (Math.PI / 2) - 1e-9))
  return Array.from({ length: count }, (_, i) => segmentPart(a, i / count, (i + 1) / count) as Arc)
}

function prepare(path: Path): Prepared {
  const before = prepared.get(path)
  if (before) return before
  const caps: Arc[] = []
  const ring: Point[] = []
  for (const segment of path.segments) {
    if (segment.type === 'line') ring.push(segment.from)
    else if (segment.type === 'cubic')
      ring.push(...pathPoints(openPath([segment]), CUBIC_TOLERANCE).slice(0, -1))
    else
      for (const part of quarters(segment)) {
        ring.push(part.from)
        caps.push(part)
      }
  }
  const result = { box: pathBox(path), ring, caps }
  prepared.set(path, result)
  return result
}

function inRing(p: Point, ring: readonly Point[]): boolean {
  let inside = false
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i, i += 1) {
    const [a, b] = [ring[i]!, ring[j]!]
    if (a.y > p.y !== b.y > p.y && p.x < ((b.x - a.x) * (p.y - a.y)) / (b.y - a.y) + a.x) inside = !inside
  }
  return inside
}

/** Between the chord of an arc and the arc itself. */
function inCap(p: Point, a: Arc): boolean {
  const [dx, dy, radius] = [p.x - a.centre.x, p.y - a.centre.y, arcRadius(a)]
  if (dx * dx + dy * dy >= radius * radius) return false
  const side = pointCross(pointSubtract(a.to, a.from), pointSubtract(p, a.from))
  return a.sweep > 0 ? side < 0 : side > 0
}

/** Whether a place lies inside a closed path (odd-even rule). Places on the border itself may go either way. */
export function pointInside(p: Point, path: Path): boolean {
  const { box, ring, caps } = prepare(path)
  if (p.x < box.left || p.x > box.right || p.y < box.top || p.y > box.bottom) return false
  return caps.reduce((inside, cap) => (inCap(p, cap) ? !inside : inside), inRing(p, ring))
}
