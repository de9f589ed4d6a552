import { pointDistance, type Point } from '../geometry/index.js'
import { firstOf, nth } from '../lists/index.js'
import type { Run } from './run.js'

/** How far a prong may come down beside the place of its hole, mm (J). */
const BESIDE = 0.3

/** Blows with one tool: an iron of so many prongs, or the awl, hole by hole. */
export interface Strikes {
  /** 0 for the awl. */
  readonly prongs: number
  readonly blows: number
}

/** How far the prongs of an iron, its first in one hole and turned towards another, miss the holes between. */
function missOf(holes: readonly { readonly at: Point }[], from: number, to: number, pitch: number): number {
  const [a, b] = [nth(holes, from).at, nth(holes, to).at]
  const length = pointDistance(a, b)
  let worst = 0
  for (let i = from + 1; i <= to; i += 1) {
    const along = ((i - from) * pitch) / length
    const prong = { x: a.x + along * (b.x - a.x), y: a.y + along * (b.y - a.y) }
    worst = Math.max(worst, pointDistance(prong, nth(holes, i).at))
  }
  return worst
}

/**
 * How a run is punched: from hole to hole with the widest iron whose prongs all come down on theirs, its first prong in
 * the last hole made; at the end of a straight it is put back over holes already there. Corners and curves take the
 * narrow ones; what no iron fits is opened with the awl.
 */
export function strikesOf(run: Run): Strikes[] {
  const { iron, every, holes: school } = run.ways
  if (school === 'machine') return []
  const holes = run.round ? [...run.holes, firstOf(run.holes)] : run.holes
  const widths = every === 1 ? [...new Set([iron.prongs, ...iron.narrow])].toSorted((a, b) => b - a) : []
  const blows = new Map<number, number>()
  const strike = (prongs: number): void => void blows.set(prongs, (blows.get(prongs) ?? 0) + 1)
  let at = 0
  while (at < holes.length - 1) {
    const width = widths.find((prongs) => {
      const to = Math.min(holes.length - 1, at + prongs - 1)
      const from = to - prongs + 1
      return from >= 0 && to > at && missOf(holes, from, to, iron.pitch) <= BESIDE
    })
    strike(width ?? 0)
    at = width === undefined ? at + 1 : Math.min(holes.length - 1, at + width - 1)
  }
  return [...blows]
    .map(([prongs, count]) => ({ prongs, blows: count }))
    .toSorted((a, b) => b.prongs - a.prongs)
}
