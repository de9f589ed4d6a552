import {
  type Path,
  type Point,
  closedPath,
  offsetSidesMaybe,
  openPath,
  line,
  pathCrossings,
  pathLength,
  pathDistanceOf,
  pathStretch,
  pathNearest,
  pointsMeet,
  polyline,
} from '../geometry/index.js'
import { firstOf, lastOf, nth } from '../lists/index.js'
import type { EdgeTreatment, Panel } from '../master/index.js'
import type { Turn } from './turn.js'

/** How far the cut line lies outside the finished edge (inside where negative), mm. */
export function growOf(fate: EdgeTreatment, turn: Turn | undefined): number {
  switch (fate.type) {
    case 'turned':
    case 'rolled':
      return turn?.allowance.value ?? 0
    case 'raw':
    case 'sewn':
      return fate.trim
    case 'bound':
      return -fate.binding
    case 'long':
      return fate.by
    case 'doubled':
      return 0
  }
}

/** The outline grown by so much on each segment; the finished one where nothing is left to cut. */
export function grownOutline(panel: Panel, grow: (segment: number) => number): Path | undefined {
  const distances = panel.outline.segments.map((_, i) => grow(i))
  return distances.every((d) => d === 0) ? panel.outline : offsetSidesMaybe(panel.outline, distances)?.path
}

const distanceOf = (path: Path, p: Point): number => pathDistanceOf(path, pathNearest(path, p))

/** Where a ray from inside the cut line meets it first. */
function meets(path: Path, from: Point, to: Point): Point | undefined {
  const reach = { x: from.x + 4 * (to.x - from.x), y: from.y + 4 * (to.y - from.y) }
  if (pointsMeet(from, reach)) return undefined
  const along = pathCrossings(openPath([line(from, reach)]), path)
  return along.find((c) => !pointsMeet(c.at, from, 1e-3))?.at
}

/**
 * The cut outline with one corner cut off along a line of points: the shorter stretch between its ends is replaced. A
 * line that does not meet the outline at both ends changes nothing.
 */
export function withCornerCut(path: Path, points: readonly Point[]): Path {
  const middle = points.length === 3
  const root = nth(points, middle ? 1 : 0)
  const start = middle ? meets(path, root, firstOf(points)) : root
  const end = meets(path, root, lastOf(points))
  if (!start || !end || pointsMeet(start, end, 1e-3)) return path
  const [a, b] = [distanceOf(path, start), distanceOf(path, end)]
  const total = pathLength(path)
  const ahead = (((b - a) % total) + total) % total
  const by = polyline(middle ? [start, root, end] : [start, end]).segments
  if (ahead < 1e-6 || total - ahead < 1e-6) return path
  // Walked from start to end the outline covers `ahead`; the shorter way round is the corner.
  if (ahead <= total / 2) return closedPath([...by, ...pathStretch(path, b, a).segments])
  const back = polyline(middle ? [end, root, start] : [end, start]).segments
  return closedPath([...back, ...pathStretch(path, a, b).segments])
}
