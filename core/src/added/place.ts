import {
  type Move,
  type Point,
  STAY,
  circlePoint,
  flipAbout,
  inwardSide,
  moveThen,
  pathDistanceOf,
  pathLength,
  pathNearest,
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

/** How far from an edge and from its middle a part can be put, mm. */
export const REACH = { inward: [-100, 2000], aside: [-2000, 2000] } as const

/** A place as one says it: as far in from an edge, and as far to the right of the edge's middle, mm. */
export type Whereabouts = Pick<Where, 'inward' | 'aside'>

/**
 * How a place of a panel is said from one of its edges: from where the edge is nearest, or from its line beyond an end. The
 * other way round it is what `spotsOf` makes a place of. The panel has the edge.
 */
export function whereFrom(panel: Panel, edge: string, place: Point): Whereabouts {
  const path = edgeChain(panel, [edge])
  const [length, side] = [pathLength(path), inwardSide(panel.outline)]
  const near = pathDistanceOf(path, pathNearest(path, place))
  const { at, angle } = pathPlaceAt(path, near)
  const off = point(place.x - at.x, place.y - at.y)
  const ahead = off.x * Math.cos(angle) + off.y * Math.sin(angle)
  // Off the edge it is straight in; beyond an end, as far past it.
  const past = near < BEYOND ? Math.min(0, ahead) : near > length - BEYOND ? Math.max(0, ahead) : 0
  return {
    inward: side * (off.y * Math.cos(angle) - off.x * Math.sin(angle)),
    aside: side * (near + past - length / 2),
  }
}

/** A way on a piece as it is drawn. */
export type DrawnWay = 'right of' | 'left of' | 'above' | 'below'
/** The other way. */
export const AGAINST: Readonly<Record<DrawnWay, DrawnWay>> = {
  'right of': 'left of',
  'left of': 'right of',
  above: 'below',
  below: 'above',
}

/** As it stands before “its middle”. */
export const waySaid = (way: DrawnWay): string => (way === 'above' || way === 'below' ? way : `to the ${way}`)

/** Which way of the piece as it is drawn a part goes that is put farther aside of the middle of an edge. */
export function asideWay(panel: Panel, edge: string): DrawnWay {
  const where = { edge, inward: 0, turned: 0, both: false }
  const [first] = spotsOf(panel, { ...where, aside: 0 })
  if (!first) return 'right of'
  const { x, y } = first.right
  // Neither quite across nor quite upright: the nearer of the two.
  if (Math.abs(x) >= Math.abs(y)) return x > 0 ? 'right of' : 'left of'
  return y > 0 ? 'below' : 'above'
}

/** Nearer than this to an end of an edge is at its end, mm. */
const BEYOND = 1e-6

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
