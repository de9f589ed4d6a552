import { floatAt } from '../lists/index.js'
import { type Box, pathBox } from './box.js'
import { pathPoints } from './flatten.js'
import { type Path, openPath } from './path.js'
import type { Point } from './point.js'
import { type Arc, arcRadius, arcStart } from './segment.js'

/** A stretch of an arc that only rises or only falls, on one side of its centre. */
interface Quarter {
  readonly top: number
  readonly bottom: number
  readonly cx: number
  readonly cy: number
  readonly squared: number
  /** 1 where it lies right of its centre, −1 left of it. */
  readonly side: 1 | -1
}

/** A closed path prepared for many questions: its straight sides, and its arcs in quarters. */
interface Prepared {
  readonly box: Box
  /** Sides as x0, y0, x1, y1 one after the other. */
  readonly sides: Float64Array
  readonly quarters: readonly Quarter[]
  /** For each level strip of the box the sides that reach into it, so that few are asked; none of a small outline. */
  readonly strips: readonly (readonly number[])[] | undefined
}

/** Cubics are taken as chords this close to them, mm; lines and arcs are exact. */
const CUBIC_TOLERANCE = 0.002
const prepared = new WeakMap<Path, Prepared>()

/** Shares of an arc at which it stands straight above, below, left or right of its centre. */
function turningShares(a: Arc): number[] {
  const from = arcStart(a)
  const quarter = Math.PI / 2
  const [low, high] = a.sweep > 0 ? [from, from + a.sweep] : [from + a.sweep, from]
  const shares: number[] = []
  for (let k = Math.ceil(low / quarter - 1e-12); k * quarter <= high + 1e-12; k += 1) {
    const share = (k * quarter - from) / a.sweep
    if (share > 1e-9 && share < 1 - 1e-9) shares.push(share)
  }
  return shares.sort((x, y) => x - y)
}

/** Neighbouring stretches share the very height at which they meet, so that a level line crosses one of them. */
function quartersOf(a: Arc, end: Point): Quarter[] {
  const { centre, sweep } = a
  const radius = arcRadius(a)
  const stops = [0, ...turningShares(a), 1]
  const heightAt = (share: number): number => {
    if (share === 0) return a.from.y
    if (share === 1) return end.y
    const sine = Math.sin(arcStart(a) + share * sweep)
    return centre.y + radius * Math.round(sine)
  }
  return stops.slice(1).map((stop, i) => {
    const middle = arcStart(a) + ((stops[i]! + stop) / 2) * sweep
    const [y0, y1] = [heightAt(stops[i]!), heightAt(stop)]
    return {
      top: Math.min(y0, y1),
      bottom: Math.max(y0, y1),
      cx: centre.x,
      cy: centre.y,
      squared: radius * radius,
      side: Math.cos(middle) >= 0 ? 1 : -1,
    }
  })
}

function prepare(path: Path): Prepared {
  const before = prepared.get(path)
  if (before) return before
  const quarters: Quarter[] = []
  const sides: number[] = []
  path.segments.forEach((segment, k) => {
    // Each ends where the next begins, to the last digit: a level line slips through no gap between them.
    const end = path.segments[(k + 1) % path.segments.length]!.from
    if (segment.type === 'arc') quarters.push(...quartersOf(segment, end))
    else {
      const points =
        segment.type === 'line'
          ? [segment.from]
          : pathPoints(openPath([segment]), CUBIC_TOLERANCE).slice(0, -1)
      points.forEach((p, i) => {
        const next = points[i + 1] ?? end
        sides.push(p.x, p.y, next.x, next.y)
      })
    }
  })
  const box = pathBox(path)
  const result = {
    box,
    sides: Float64Array.from(sides),
    quarters,
    strips: sides.length > 4 * FEW ? stripsOf(sides, box) : undefined,
  }
  prepared.set(path, result)
  return result
}

/** Level strips the sides are sorted into; so few sides are asked one after the other. */
const STRIPS = 64
const FEW = 24
const stripAt = (box: Box, y: number): number =>
  Math.min(STRIPS - 1, Math.max(0, Math.floor(((y - box.top) / (box.bottom - box.top || 1)) * STRIPS)))

function stripsOf(sides: readonly number[], box: Box): number[][] {
  const strips: number[][] = Array.from({ length: STRIPS }, () => [])
  for (let i = 0; i < sides.length; i += 4) {
    const [a, b] = [sides[i + 1]!, sides[i + 3]!]
    const last = stripAt(box, Math.max(a, b))
    for (let k = stripAt(box, Math.min(a, b)); k <= last; k += 1) strips[k]!.push(i)
  }
  return strips
}

/** Whether a place lies inside a closed path (odd-even rule). Places on the border itself may go either way. */
export const pointInside = (p: Point, path: Path): boolean => placeInside(p.x, p.y, path)

/**
 * The same of a place given by its two coordinates: a level line from it to the right crosses the border an odd number
 * of times. Asked for every layer at every hole: these loops make no objects.
 */
export function placeInside(x: number, y: number, path: Path): boolean {
  const { box, sides, quarters, strips } = prepare(path)
  if (x < box.left || x > box.right || y < box.top || y > box.bottom) return false
  let inside = false
  const near = strips?.[stripAt(box, y)]
  const count = near ? near.length : sides.length / 4
  for (let k = 0; k < count; k += 1) {
    const i = near ? near[k]! : 4 * k
    const [ay, by] = [floatAt(sides, i + 1), floatAt(sides, i + 3)]
    if (ay > y === by > y) continue
    if (x < ((floatAt(sides, i + 2) - floatAt(sides, i)) * (y - ay)) / (by - ay) + floatAt(sides, i))
      inside = !inside
  }
  for (let k = 0; k < quarters.length; k += 1) {
    const { top, bottom, cx, cy, squared, side } = quarters[k]!
    if (top > y === bottom > y) continue
    if (x < cx + side * Math.sqrt(Math.max(0, squared - (y - cy) * (y - cy)))) inside = !inside
  }
  return inside
}
