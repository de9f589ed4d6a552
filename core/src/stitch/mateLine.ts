import {
  type Path,
  type Point,
  line,
  openPath,
  pathEnd,
  pathLength,
  pathNearest,
  pathPlaceAt,
  pathStart,
  point,
  pointDistance,
} from '../geometry/index.js'
import type { LaidUp } from '../layup/index.js'
import type { Join, Panel } from '../master/index.js'
import { courseMaybe } from './course.js'

/** A join where it lies. */
interface Laid {
  readonly join: Join
  readonly panels: readonly Panel[]
  readonly work: LaidUp
}

/** Two lines as far from their edges as each other are sewn edge to edge, mm. */
const SAME_MARGIN = 0.5

/** The other edge's line of a join whose edges lie apart, in the coordinates of the work. */
export const mateLine = ({ join, panels, work }: Laid, beside = 0): Path | undefined =>
  join.mate && courseMaybe(join.mate, panels, work.layup.sheets, beside)

/**
 * On which hand of the other edge’s line lies what is right of a join’s own: 1 the same, as where a piece is lapped onto
 * another, −1 where two edges are sewn onto each other, one the mirror of the other.
 */
function handOf({ join, panels, work }: Laid): 1 | -1 {
  const own = edgeSide(courseMaybe(join.course, panels, work.layup.sheets), work, join.course.sheet)
  const other = join.mate && edgeSide(mateLine({ join, panels, work }), work, join.mate.sheet)
  if (!own || !other) return 1
  // As far from their edges as each other, and further in lies on opposite hands.
  return Math.abs(own.margin - other.margin) < SAME_MARGIN && own.inward !== other.inward ? -1 : 1
}

/** The other edge’s line of a second row `by` mm beside the first: further in along edges, to the right of a line. */
export function besideMate(laid: Laid, by: number): Path | undefined {
  const { join, panels, work } = laid
  if (!join.mate || join.mate.type === 'edges') return mateLine(laid, by)
  const own = edgeSide(courseMaybe(join.course, panels, work.layup.sheets), work, join.course.sheet)
  const right = join.course.type === 'edges' ? (own?.inward ?? 1) * by : by
  return mateLine(laid, handOf(laid) * right)
}

/** How far the middle of a line lies from its sheet’s edge, and on which hand is further in. */
function edgeSide(
  path: Path | undefined,
  work: LaidUp,
  id: string,
): { margin: number; inward: 1 | -1 } | undefined {
  const outline = work.sheets.find((s) => s.part === 'whole' && s.sheet.id === id)?.placed
  if (!outline || !path) return undefined
  const { at, angle } = pathPlaceAt(path, pathLength(path) / 2)
  const right = point(-Math.sin(angle), Math.cos(angle))
  const margin = (by: number): number =>
    pathNearest(outline, point(at.x + by * right.x, at.y + by * right.y)).distance
  return { margin: margin(0), inward: margin(SAME_MARGIN) >= margin(-SAME_MARGIN) ? 1 : -1 }
}

/** A row that goes off from an end of a join’s straight line `from`, as it lies on the other edge, whose line is `to`. */
export function mateAlong(laid: Laid, row: Path, from: Path, to: Path): Path | undefined {
  const [a, b, c, d] = [pathStart(from), pathEnd(from), pathStart(to), pathEnd(to)]
  const [length, other] = [pointDistance(a, b), pointDistance(c, d)]
  if (length < 1e-6 || other < 1e-6) return undefined
  const [u, v] = [
    point((b.x - a.x) / length, (b.y - a.y) / length),
    point((d.x - c.x) / other, (d.y - c.y) / other),
  ]
  const hand = handOf(laid)
  const there = (p: Point): Point => {
    const along = (p.x - a.x) * u.x + (p.y - a.y) * u.y
    const right = hand * ((p.y - a.y) * u.x - (p.x - a.x) * u.y)
    const on = (along * other) / length
    return point(c.x + on * v.x - right * v.y, c.y + on * v.y + right * v.x)
  }
  return openPath([line(there(pathStart(row)), there(pathEnd(row)))])
}
