import { nth } from '../lists/index.js'
/** A place of a closed line, mm. */
interface Place {
  readonly x: number
  readonly y: number
}

const side = (a: Place, b: Place, p: Place): number => (b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x)

/** Whether two edges that share no corner meet. */
function meet(a: Place, b: Place, c: Place, d: Place): boolean {
  if (Math.max(a.x, b.x) < Math.min(c.x, d.x) || Math.max(c.x, d.x) < Math.min(a.x, b.x)) return false
  if (Math.max(a.y, b.y) < Math.min(c.y, d.y) || Math.max(c.y, d.y) < Math.min(a.y, b.y)) return false
  return side(a, b, c) * side(a, b, d) <= 0 && side(c, d, a) * side(c, d, b) <= 0
}

/**
 * Whether a closed line of straight edges crosses or touches itself. Stands here and not in `geometry`, whose curves and regions
 * the shelf, which reads the stores first of all, can do without.
 */
export function ringCrosses(ring: readonly Place[]): boolean {
  const n = ring.length
  for (let i = 0; i < n; i += 1)
    for (let k = i + 2; k < n; k += 1) {
      if (i === 0 && k === n - 1) continue
      if (meet(nth(ring, i), nth(ring, (i + 1) % n), nth(ring, k), nth(ring, (k + 1) % n))) return true
    }
  return false
}

/** What a closed line of straight edges holds, mm². */
export const ringArea = (ring: readonly Place[]): number =>
  Math.abs(
    ring.reduce((sum, p, i) => {
      const q = nth(ring, (i + 1) % ring.length)
      return sum + (p.x * q.y - q.x * p.y) / 2
    }, 0),
  )
