import { lastOf, nth } from '../lists/index.js'
import { type Box, type Path, type Point, boxGrown, pathBox, pathPoints } from '../geometry/index.js'

/** Thickness by the distance from a line: `levels` from the line inwards, straight between them. */
export interface EdgeProfile {
  readonly points: readonly Point[]
  readonly box: Box
  readonly reach: number
  readonly levels: readonly { readonly from: number; readonly thickness: number }[]
}

/** Chords of the line that distances are taken from lie this near to it, mm. */
const CHORDS = 0.08

/** A profile along a path; `levels` in rising order of `from`, the first at 0. */
export function edgeProfile(path: Path, levels: EdgeProfile['levels']): EdgeProfile {
  const reach = lastOf(levels).from
  const points = pathPoints({ ...path, closed: false }, CHORDS)
  return { points, levels, reach, box: boxGrown(pathBox(path), reach) }
}

const squared = (p: Point, a: Point, b: Point): number => {
  const [ux, uy, wx, wy] = [b.x - a.x, b.y - a.y, p.x - a.x, p.y - a.y]
  const length = ux * ux + uy * uy
  const t = length === 0 ? 0 : Math.min(1, Math.max(0, (wx * ux + wy * uy) / length))
  const [dx, dy] = [wx - ux * t, wy - uy * t]
  return dx * dx + dy * dy
}

/** Distance of a place from the profile's line, mm; Infinity where the profile does not reach. */
export function profileDistance({ points, box, reach }: EdgeProfile, p: Point): number {
  if (p.x < box.left || p.x > box.right || p.y < box.top || p.y > box.bottom) return Infinity
  let min = Infinity
  for (let i = 1; i < points.length; i += 1) {
    const one = squared(p, nth(points, i - 1), nth(points, i))
    if (one < min) min = one
  }
  const distance = Math.sqrt(min)
  return distance > reach ? Infinity : distance
}

/** Thickness at a distance from the line, mm. */
export function profileLevel({ levels }: EdgeProfile, distance: number): number {
  let after = 0
  while (after < levels.length && nth(levels, after).from < distance) after += 1
  if (after === 0 || after === levels.length)
    return nth(levels, after === 0 ? 0 : levels.length - 1).thickness
  const [a, b] = [nth(levels, after - 1), nth(levels, after)]
  return a.thickness + ((b.thickness - a.thickness) * (distance - a.from)) / (b.from - a.from)
}
