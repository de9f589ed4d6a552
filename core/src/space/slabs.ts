import { type Point, polygonHalved } from '../geometry/index.js'
import { nth } from '../lists/index.js'

/** Breaks nearer than this are one, mm. */
const SAME_BREAK = 1e-6

/** A polygon in slabs between neighbouring breaks along x; beyond the outermost breaks it goes on. */
export function slabs(polygon: readonly Point[], breaks: readonly number[]): Point[][] {
  const [min, max] = polygon.reduce(
    ([a, b], p) => [Math.min(a, p.x), Math.max(b, p.x)],
    [Infinity, -Infinity],
  )
  const inner = [...breaks]
    .toSorted((a, b) => a - b)
    .filter(
      (b, i, all) =>
        b > min + SAME_BREAK && b < max - SAME_BREAK && b - (all[i - 1] ?? -Infinity) > SAME_BREAK,
    )
  const cuts = [min, ...inner, max]
  return cuts
    .slice(1)
    .map((to, i) => {
      const after = i === 0 ? [...polygon] : polygonHalved(polygon, { x: nth(cuts, i), y: 0 }, { x: 1, y: 0 })
      return i === cuts.length - 2 ? after : polygonHalved(after, { x: to, y: 0 }, { x: -1, y: 0 })
    })
    .filter((p) => p.length > 2)
}

/** The same with breaks along y too. */
export const cells = (
  polygon: readonly Point[],
  alongX: readonly number[],
  alongY: readonly number[],
): Point[][] => {
  const turned = (points: readonly Point[]): Point[] => points.map((p) => ({ x: p.y, y: p.x }))
  return slabs(polygon, alongX).flatMap((slab) =>
    alongY.length === 0 ? [slab] : slabs(turned(slab), alongY).map(turned),
  )
}
