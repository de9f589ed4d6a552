import { type Point, pointDistance } from '../geometry/index.js'
import { type ReliefMap, cellPlace, mapThickest } from './map.js'

/** A thickness written on the map, mm. */
export interface Spot {
  readonly at: Point
  readonly height: number
  readonly thickest: boolean
}

/** Places are tried this far apart, and a level place reaches no farther than this, mm. */
const TRIED = 3
const FARTHEST = 14
/** Heights nearer than this are the same, mm. */
const SAME = 0.03
/** Figures stand at least this far apart, mm. */
const APART = 17

/** How far round a cell the work is as thick as there, in cells. */
function levelRadius({ heights, columns, rows }: ReliefMap, i: number, k: number, max: number): number {
  const here = heights[k * columns + i]!
  for (let r = 1; r <= max; r += 1) {
    if (i - r < 0 || k - r < 0 || i + r >= columns || k + r >= rows) return r - 1
    for (let d = -r; d <= r; d += 1)
      for (const at of [
        (k - r) * columns + i + d,
        (k + r) * columns + i + d,
        (k + d) * columns + i - r,
        (k + d) * columns + i + r,
      ])
        if (Math.abs(heights[at]! - here) > SAME) return r - 1
  }
  return max
}

/** The thickest place: in the middle of the largest level place as thick as that. */
export function thickestSpot(map: ReliefMap): Spot {
  const height = mapThickest(map)
  let [best, at] = [-1, cellPlace(map, 0, 0)]
  const max = Math.ceil(FARTHEST / map.step)
  for (let k = 0; k < map.rows; k += 1)
    for (let i = 0; i < map.columns; i += 1) {
      if (map.heights[k * map.columns + i]! < height - 1e-4) continue
      const radius = levelRadius(map, i, k, max)
      if (radius > best) [best, at] = [radius, cellPlace(map, i, k)]
    }
  return { at, height, thickest: true }
}

/** Figures for the map: the thickest place, and the middles of the largest level places, no two alike close by. */
export function spotHeights(map: ReliefMap, count = 12): Spot[] {
  const stride = Math.max(1, Math.round(TRIED / map.step))
  const max = Math.ceil(FARTHEST / map.step)
  const found: { spot: Spot; radius: number }[] = []
  for (let k = 0; k < map.rows; k += stride)
    for (let i = 0; i < map.columns; i += stride) {
      const height = map.heights[k * map.columns + i]!
      if (height <= 0) continue
      const radius = levelRadius(map, i, k, max)
      if (radius > 0) found.push({ radius, spot: { at: cellPlace(map, i, k), height, thickest: false } })
    }
  found.sort((a, b) => b.radius - a.radius)
  const spots: Spot[] = [thickestSpot(map)]
  for (const { spot } of found) {
    if (spots.length >= count) break
    const near = spots.some((s) => {
      const apart = pointDistance(s.at, spot.at)
      return apart < APART || (apart < 4 * APART && Math.abs(s.height - spot.height) < SAME)
    })
    if (!near) spots.push(spot)
  }
  return spots
}
