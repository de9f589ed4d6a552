import type { Point } from '../../src/geometry/index.js'

/** Inside by the turns of a ring round a place: nothing of the core’s own way of asking. */
export function byWinding(ring: readonly Point[], { x, y }: Point): boolean {
  let sum = 0
  ring.forEach((a, i) => {
    const b = ring[(i + 1) % ring.length]!
    sum += Math.atan2(
      (a.x - x) * (b.y - y) - (a.y - y) * (b.x - x),
      (a.x - x) * (b.x - x) + (a.y - y) * (b.y - y),
    )
  })
  return Math.abs(sum) > Math.PI
}
