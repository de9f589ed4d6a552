import type { Point } from './point.js'

/** What of a polygon lies on the side of a line that `inward` points to; may touch itself along the line. */
export function polygonHalved(polygon: readonly Point[], at: Point, inward: Point): Point[] {
  const depth = (p: Point): number => (p.x - at.x) * inward.x + (p.y - at.y) * inward.y
  const kept: Point[] = []
  polygon.forEach((b, i) => {
    const a = polygon[(i + polygon.length - 1) % polygon.length]!
    const [da, db] = [depth(a), depth(b)]
    if (da >= 0 !== db >= 0) {
      const share = da / (da - db)
      kept.push({ x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share })
    }
    if (db >= 0) kept.push(b)
  })
  return kept
}
