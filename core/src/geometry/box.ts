import type { Path } from './path.js'
import type { Point } from './point.js'
import {
  type Arc,
  type Cubic,
  type Segment,
  arcRadius,
  arcStart,
  circlePoint,
  segmentPoint,
} from './segment.js'

export interface Box {
  readonly left: number
  readonly top: number
  readonly right: number
  readonly bottom: number
}

export const boxWidth = (b: Box): number => b.right - b.left
export const boxHeight = (b: Box): number => b.bottom - b.top
export const boxCentre = (b: Box): Point => ({ x: (b.left + b.right) / 2, y: (b.top + b.bottom) / 2 })
export const boxGrown = (b: Box, by: number): Box => ({
  left: b.left - by,
  top: b.top - by,
  right: b.right + by,
  bottom: b.bottom + by,
})
export const boxesTouch = (a: Box, b: Box, within = 0): boolean =>
  a.left <= b.right + within &&
  b.left <= a.right + within &&
  a.top <= b.bottom + within &&
  b.top <= a.bottom + within
export function boxOfPoints(points: readonly Point[]): Box {
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity]
  for (const { x, y } of points) {
    if (x < left) left = x
    if (x > right) right = x
    if (y < top) top = y
    if (y > bottom) bottom = y
  }
  return { left, top, right, bottom }
}
export function boxUnion(boxes: readonly Box[]): Box {
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity]
  for (const box of boxes) {
    left = Math.min(left, box.left)
    top = Math.min(top, box.top)
    right = Math.max(right, box.right)
    bottom = Math.max(bottom, box.bottom)
  }
  return { left, top, right, bottom }
}

/** The points of the arc that lie straight above, below, left or right of its centre. */
function arcExtremes(a: Arc): Point[] {
  const [low, high] = [
    Math.min(arcStart(a), arcStart(a) + a.sweep),
    Math.max(arcStart(a), arcStart(a) + a.sweep),
  ]
  const quarters: Point[] = []
  for (let k = Math.ceil(low / (Math.PI / 2)); k * (Math.PI / 2) <= high; k += 1)
    quarters.push(circlePoint(a.centre, arcRadius(a), k * (Math.PI / 2)))
  return quarters
}

/** Parameters in 0..1 where a cubic with these four ordinates stands still. */
function stillPoints(p0: number, p1: number, p2: number, p3: number): number[] {
  const [a, b, c] = [-p0 + 3 * p1 - 3 * p2 + p3, 2 * (p0 - 2 * p1 + p2), p1 - p0]
  const inside = (t: number): boolean => t > 0 && t < 1
  if (Math.abs(3 * a) < 1e-12) return b === 0 ? [] : [-c / b].filter(inside)
  const root = b * b - 4 * a * c
  if (root < 0) return []
  return [(-b + Math.sqrt(root)) / (2 * a), (-b - Math.sqrt(root)) / (2 * a)].filter(inside)
}

const cubicExtremes = (s: Cubic): Point[] =>
  [...stillPoints(s.from.x, s.c1.x, s.c2.x, s.to.x), ...stillPoints(s.from.y, s.c1.y, s.c2.y, s.to.y)].map(
    (t) => segmentPoint(s, t),
  )

const knownSegments = new WeakMap<Segment, Box>()

/** The smallest upright box round a segment, exact. */
export function segmentBox(s: Segment): Box {
  if (s.type === 'line') {
    const { from: a, to: b } = s
    return {
      left: a.x < b.x ? a.x : b.x,
      top: a.y < b.y ? a.y : b.y,
      right: a.x > b.x ? a.x : b.x,
      bottom: a.y > b.y ? a.y : b.y,
    }
  }
  const before = knownSegments.get(s)
  if (before) return before
  const box = boxOfPoints([s.from, s.to, ...(s.type === 'arc' ? arcExtremes(s) : cubicExtremes(s))])
  knownSegments.set(s, box)
  return box
}

const known = new WeakMap<Path, Box>()

/** The smallest upright box round a path, exact. */
export function pathBox(path: Path): Box {
  const before = known.get(path)
  if (before) return before
  const box = boxUnion(path.segments.map(segmentBox))
  known.set(path, box)
  return box
}

/** Whether two boxes share a place. */
export const boxesMeet = (a: Box, b: Box): boolean =>
  a.left <= b.right && b.left <= a.right && a.top <= b.bottom && b.top <= a.bottom
