import { type Box, pathBox } from './box.js'
import { pathPoints } from './flatten.js'
import { type Path, openPath } from './path.js'
import type { Point } from './point.js'
import { type Arc, segmentPart } from './segment.js'

/** A closed path prepared for many questions: the polygon of its chords, and the caps its arcs add or take away. */
interface Prepared {
  readonly box: Box
  readonly ring: readonly Point[]
  readonly caps: readonly Arc[]
  /** For each level strip of the box the ring's sides that reach into it, so that few are asked; none of a small ring. */
  readonly strips: readonly (readonly number[])[] | undefined
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
  const result = { box, ring, caps, strips: ring.length > FEW ? stripsOf(ring, box) : undefined }
  prepared.set(path, result)
  return result
}

/** Level strips the ring's sides are sorted into; so few sides are asked one after the other. */
const STRIPS = 64
const FEW = 24
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

/** Whether a level line from a place to the right crosses a side. */
const crosses = (x: number, y: number, a: Point, b: Point): boolean =>
  a.y > y !== b.y > y && x < ((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x

// Asked for every layer at every hole: these loops make no objects.
function inRing(x: number, y: number, { ring, strips, box }: Prepared): boolean {
  let inside = false
  const near = strips?.[stripAt(box, y)]
  const count = near ? near.length : ring.length
  for (let k = 0; k < count; k += 1) {
    const i = near ? near[k]! : k
    if (crosses(x, y, ring[i]!, ring[i === 0 ? ring.length - 1 : i - 1]!)) inside = !inside
  }
  return inside
}

/** Between the chord of an arc and the arc itself. */
function inCap(x: number, y: number, { from, to, centre, sweep }: Arc): boolean {
  const dx = x - centre.x
  const dy = y - centre.y
  const rx = from.x - centre.x
  const ry = from.y - centre.y
  if (dx * dx + dy * dy >= rx * rx + ry * ry) return false
  const side = (to.x - from.x) * (y - from.y) - (to.y - from.y) * (x - from.x)
  return sweep > 0 ? side < 0 : side > 0
}

/** Whether a place lies inside a closed path (odd-even rule). Places on the border itself may go either way. */
export const pointInside = (p: Point, path: Path): boolean => placeInside(p.x, p.y, path)

/** The same of a place given by its two coordinates. */
export function placeInside(x: number, y: number, path: Path): boolean {
  const ready = prepare(path)
  const { box, caps } = ready
  if (x < box.left || x > box.right || y < box.top || y > box.bottom) return false
  let inside = inRing(x, y, ready)
  for (const cap of caps) if (inCap(x, y, cap)) inside = !inside
  return inside
}
