import { type Path, type Point3, point, point3, polyline } from '../../geometry/index.js'
import type { StoodPart } from '../../master/index.js'

export const X = point3(1, 0, 0)
export const Y = point3(0, 1, 0)
export const Z = point3(0, 0, 1)
export const minus = (v: Point3): Point3 => point3(-v.x, -v.y, -v.z)

/** A course without a bend. */
export const STRAIGHT: Path = polyline([point(0, 0), point(1, 0)])

/** A flat part whose own x runs `along` and whose grain looks out along `rise`; `origin` is where its corner stands. */
export const flatPart = (origin: Point3, along: Point3, rise: Point3): StoodPart => ({
  clips: [],
  from: point(0, 0),
  along: point(1, 0),
  course: STRAIGHT,
  frame: { origin, along, rise },
})
