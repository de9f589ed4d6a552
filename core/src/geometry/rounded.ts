import { nth } from '../lists/index.js'
import { type Path, closedPath } from './path.js'
import {
  type Point,
  pointAdd,
  pointCross,
  pointDistance,
  pointDot,
  pointScale,
  pointSubtract,
  pointUnit,
} from './point.js'
import { type Segment, arc, line } from './segment.js'

export interface Corner extends Point {
  /** Radius of the rounding in mm; a true corner where left out. */
  readonly radius?: number
}

/** A polygon with rounded corners, and which segment each side and each rounding became (undefined where it has none). */
export interface RoundedPolygon {
  readonly path: Path
  readonly sides: readonly (number | undefined)[]
  readonly roundings: readonly (number | undefined)[]
}

interface Fillet {
  readonly enter: Point
  readonly leave: Point
  readonly arc?: Segment
}

function fillet(before: Point, at: Corner, after: Point): Fillet {
  if (!at.radius) return { enter: at, leave: at }
  const [back, ahead] = [pointUnit(pointSubtract(before, at)), pointUnit(pointSubtract(after, at))]
  const opening = Math.acos(Math.max(-1, Math.min(1, pointDot(back, ahead))))
  const reach = at.radius / Math.tan(opening / 2)
  const [enter, leave] = [pointAdd(at, pointScale(back, reach)), pointAdd(at, pointScale(ahead, reach))]
  const bisector = pointUnit(pointAdd(back, ahead))
  const centre = pointAdd(at, pointScale(bisector, at.radius / Math.sin(opening / 2)))
  const sweep = Math.sign(pointCross(pointScale(back, -1), ahead)) * (Math.PI - opening)
  return { enter, leave, arc: arc(enter, leave, centre, sweep) }
}

/**
 * The closed outline through `corners`, each rounded by its radius. Side i runs from corner i to the next. Throws
 * where two roundings need more than the side between them has.
 */
export function roundedPolygon(corners: readonly Corner[]): RoundedPolygon {
  const count = corners.length
  const fillets = corners.map((at, i) =>
    fillet(nth(corners, (i + count - 1) % count), at, nth(corners, (i + 1) % count)),
  )
  const segments: Segment[] = []
  const sides: (number | undefined)[] = []
  const roundings: (number | undefined)[] = []
  for (let i = 0; i < count; i += 1) {
    const [here, next] = [nth(fillets, i), nth(fillets, (i + 1) % count)]
    roundings.push(here.arc ? segments.push(here.arc) - 1 : undefined)
    const side = pointSubtract(nth(corners, (i + 1) % count), nth(corners, i))
    const along = pointDot(pointSubtract(next.enter, here.leave), pointUnit(side))
    if (along < -1e-9)
      throw new RangeError(
        `the roundings at corners ${i + 1} and ${((i + 1) % count) + 1} need ${(-along).toFixed(1)} mm more than the side has`,
      )
    sides.push(
      pointDistance(here.leave, next.enter) > 1e-9
        ? segments.push(line(here.leave, next.enter)) - 1
        : undefined,
    )
  }
  return { path: closedPath(segments), sides, roundings }
}
