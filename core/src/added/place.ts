import {
  type Move,
  type Point,
  STAY,
  circlePoint,
  flipAbout,
  inwardSide,
  moveThen,
  pathLength,
  pathPlaceAt,
  point,
} from '../geometry/index.js'
import { type Panel, edgeChain } from '../master/index.js'

/** Where a part is put on a panel: as far in from an edge, and as far aside of the edge's middle. Lengths mm, degrees. */
export interface Where {
  readonly edge: string
  readonly inward: number
  readonly aside: number
  readonly turned: number
  /** A second one as far to the other side of the edge's middle. */
  readonly both: boolean
}

/** A place on a panel and its directions there, in the panel's coordinates: seen with the edge on top, x is to the right. */
export interface Spot {
  readonly at: Point
  /** Unit vectors. */
  readonly right: Point
  readonly down: Point
}

/** The place so far from the middle of an edge; beyond its ends the edge goes on straight. The panel has the edge. */
function spotAt(panel: Panel, { edge, inward, turned }: Where, aside: number): Spot {
  const path = edgeChain(panel, [edge])
  const [length, side] = [pathLength(path), inwardSide(panel.outline)]
  const along = length / 2 + side * aside
  const near = Math.min(length, Math.max(0, along))
  const { at, angle } = pathPlaceAt(path, near)
  const right = side > 0 ? angle : angle + Math.PI
  const on = circlePoint(at, along - near, angle)
  const down = right + Math.PI / 2
  const by = (turned * Math.PI) / 180
  return {
    at: circlePoint(on, inward, down),
    right: point(Math.cos(right + by), Math.sin(right + by)),
    down: point(Math.cos(down + by), Math.sin(down + by)),
  }
}

/** The places of a part, one or two; none where the panel has no such edge. */
export function spotsOf(panel: Panel, where: Where): Spot[] {
  if (!panel.edges.some((e) => e.id === where.edge)) return []
  const first = spotAt(panel, where, where.aside)
  if (!where.both || where.aside === 0) return [first]
  return [first, spotAt(panel, { ...where, turned: -where.turned }, -where.aside)]
}

/**
 * From the coordinates of a piece whose upper edge's middle is at (x, 0) to those of the panel it is put on. Put on the
 * flesh side it is seen from there, its own grain towards who looks.
 */
export function lyingAt({ at, right, down }: Spot, x: number, side: 'grain' | 'flesh'): Move {
  const own = side === 'flesh' ? flipAbout(x) : STAY
  const turned: Move = { a: right.x, b: right.y, c: down.x, d: down.y, e: at.x, f: at.y }
  return moveThen(moveThen(own, { ...STAY, e: -x, f: 0 }), turned)
}

/** The place so far below another, mm. */
export const below = (spot: Spot, by: number): Spot => ({
  ...spot,
  at: point(spot.at.x + spot.down.x * by, spot.at.y + spot.down.y * by),
})
