import { type Point, pointDistance } from '../geometry/index.js'
import { type ReliefMap, cellPlace, mapThickest } from './map.js'

/** A thickness written on the map, mm. */
export interface Spot {
  readonly at: Point
  readonly height: number
  readonly thickest: boolean
}

/** Cells that differ by less lie level with each other, mm. */
const LEVEL = 1e-3
/** Heights nearer than this are the same, mm. */
const SAME = 0.03
/** A level place that reaches less far round its middle than this gets no figure, mm. */
const SMALL = 0.7
/** Figures stand at least so far apart: mm, and as a share of the larger side of the map. */
const APART = 14
const APART_SHARE = 0.055
/** Two level places of the same height need a figure each only where they are farther apart than this many such steps. */
const ALIKE = 3

/** How far round each cell the work is level with it, in cells (chessboard distance); row by row like the map. */
function levelRadii({ heights, columns, rows }: ReliefMap): Uint16Array {
  const radii = new Uint16Array(columns * rows)
  const isLevel = (at: number): boolean => {
    const here = heights[at]!
    for (const by of [-columns - 1, -columns, 1 - columns, -1, 1, columns - 1, columns, columns + 1])
      if (Math.abs(heights[at + by]! - here) > LEVEL) return false
    return true
  }
  for (let k = 1; k < rows - 1; k += 1)
    for (let i = 1; i < columns - 1; i += 1) {
      const at = k * columns + i
      if (!isLevel(at)) continue
      const above = Math.min(radii[at - columns - 1]!, radii[at - columns]!, radii[at - columns + 1]!)
      radii[at] = 1 + Math.min(above, radii[at - 1]!)
    }
  for (let k = rows - 2; k > 0; k -= 1)
    for (let i = columns - 2; i > 0; i -= 1) {
      const at = k * columns + i
      if (radii[at] === 0) continue
      const below = Math.min(radii[at + columns - 1]!, radii[at + columns]!, radii[at + columns + 1]!)
      radii[at] = Math.min(radii[at]!, 1 + Math.min(below, radii[at + 1]!))
    }
  return radii
}

/** A place as thick all over, and how far it reaches round its middle, in cells. */
interface Plateau {
  readonly middle: number
  readonly radius: number
}

/** Of the cells that lie deepest in a plateau the one nearest to the middle of them. */
function middleOf(deepest: readonly number[], columns: number): number {
  const mean = (of: (at: number) => number): number =>
    deepest.reduce((sum, at) => sum + of(at), 0) / deepest.length
  const [x, y] = [mean((at) => at % columns), mean((at) => Math.floor(at / columns))]
  const off = (at: number): number => Math.hypot((at % columns) - x, Math.floor(at / columns) - y)
  return deepest.reduce((best, at) => (off(at) < off(best) ? at : best))
}

/** Every level place of the work, each once. */
function plateausOf({ heights, columns }: ReliefMap, radii: Uint16Array): Plateau[] {
  const seen = new Uint8Array(radii.length)
  const plateaus: Plateau[] = []
  for (let from = 0; from < radii.length; from += 1) {
    if (seen[from] || radii[from] === 0 || heights[from]! <= 0) continue
    const open = [from]
    let [radius, deepest] = [0, [] as number[]]
    seen[from] = 1
    for (let at = open.pop(); at !== undefined; at = open.pop()) {
      const here = radii[at]!
      if (here > radius) [radius, deepest] = [here, []]
      if (here === radius) deepest.push(at)
      for (const next of [at - 1, at + 1, at - columns, at + columns]) {
        if (seen[next] || radii[next] === 0) continue
        seen[next] = 1
        open.push(next)
      }
    }
    plateaus.push({ middle: middleOf(deepest, columns), radius })
  }
  return plateaus
}

const spotAt = (map: ReliefMap, at: number, thickest = false): Spot => ({
  at: cellPlace(map, at % map.columns, Math.floor(at / map.columns)),
  height: map.heights[at]!,
  thickest,
})

/** The thickest place: in the middle of the largest level place as thick as that, or a peak where none is level. */
function thickestOf(map: ReliefMap, plateaus: readonly Plateau[]): Spot {
  const height = mapThickest(map)
  const is = (at: number): boolean => map.heights[at]! >= height - LEVEL
  const level = plateaus
    .filter(({ middle }) => is(middle))
    .reduce<Plateau | undefined>((best, p) => (best && best.radius >= p.radius ? best : p), undefined)
  const at = level?.middle ?? map.heights.findIndex((_, cell) => is(cell))
  return { ...spotAt(map, Math.max(0, at), true), height }
}

/** The thickest place of a map. */
export const thickestSpot = (map: ReliefMap): Spot => thickestOf(map, plateausOf(map, levelRadii(map)))

/** Figures for the map: the thickest place, and one in the middle of each level place, the largest first, none over another. */
export function spotHeights(map: ReliefMap, count = 16): Spot[] {
  const plateaus = plateausOf(map, levelRadii(map))
  const apart = Math.max(APART, APART_SHARE * map.step * Math.max(map.columns, map.rows))
  const spots: Spot[] = [thickestOf(map, plateaus)]
  const isClear = (spot: Spot): boolean =>
    spots.every((s) => {
      const away = pointDistance(s.at, spot.at)
      return away >= apart && (away >= ALIKE * apart || Math.abs(s.height - spot.height) >= SAME)
    })
  for (const { middle, radius } of [...plateaus].sort((a, b) => b.radius - a.radius)) {
    if (spots.length >= count) break
    if (radius * map.step < SMALL) continue
    const spot = spotAt(map, middle)
    if (isClear(spot)) spots.push(spot)
  }
  return spots
}
