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
  /** For each level strip of the box the ring's sides that reach into it, so that few are asked. */
  readonly strips: readonly (readonly number[])[]
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
  const box = pathBox(path)
  const result = { box, ring, caps, strips: stripsOf(ring, box) }
  prepared.set(path, result)
  return result
}

/** Level strips the ring's sides are sorted into. */
const STRIPS = 64
const stripAt = (box: Box, y: number): number =>
  Math.min(STRIPS - 1, Math.max(0, Math.floor(((y - box.top) / (box.bottom - box.top || 1)) * STRIPS)))

function stripsOf(ring: readonly Point[], box: Box): number[][] {
  const strips: number[][] = Array.from({ length: STRIPS }, () => [])
  ring.forEach((a, i) => {
    const b = ring[(i + ring.length - 1) % ring.length]!
    const last = stripAt(box, Math.max(a.y, b.y))
    for (let k = stripAt(box, Math.min(a.y, b.y)); k <= last; k += 1) strips[k]!.push(i)
  })
  return strips
}

function inRing(p: Point, { ring, strips, box }: Prepared): boolean {
  let inside = false
  for (const i of strips[stripAt(box, p.y)]!) {
    const [a, b] = [ring[i]!, ring[i === 0 ? ring.length - 1 : i - 1]!]
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
  const ready = prepare(path)
  const { box, caps } = ready
  if (p.x < box.left || p.x > box.right || p.y < box.top || p.y > box.bottom) return false
  if (caps.length === 0) return inRing(p, ready)
  return caps.reduce((inside, cap) => (inCap(p, cap) ? !inside : inside), inRing(p, ready))
}
