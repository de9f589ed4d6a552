import { atKey } from '../lists/index.js'
import type { Point } from '../geometry/index.js'
import type { ReliefMap } from './map.js'

/** A closed line of one thickness, mm; the thicker side lies to its left as it is walked. */
export interface Contour {
  readonly level: number
  readonly points: readonly Point[]
}

/** Corners of a line that stand out less than this are left out, mm. */
const SMOOTH = 0.08

/** Levels every `interval` mm above nothing and below the thickest. */
export const levelsOf = (thickest: number, interval: number): readonly number[] =>
  Array.from({ length: Math.max(0, Math.ceil(thickest / interval - 1e-6) - 1) }, (_, i) => (i + 1) * interval)

/**
 * The sides of a square of four cells that a contour enters and leaves by: 0 top, 1 right, 2 foot, 3 left. Indexed by
 * which corners are thicker (1 upper left, 2 upper right, 4 lower right, 8 lower left).
 */
const WAYS: readonly (readonly (readonly [number, number])[])[] = [
  [],
  [[3, 0]],
  [[0, 1]],
  [[3, 1]],
  [[1, 2]],
  [
    [3, 0],
    [1, 2],
  ],
  [[0, 2]],
  [[3, 2]],
  [[2, 3]],
  [[2, 0]],
  [
    [0, 1],
    [2, 3],
  ],
  [[2, 1]],
  [[1, 3]],
  [[1, 0]],
  [[0, 3]],
  [],
]

/** Squares of four cells where the work crosses a level, and between which levels (by how many lie below). */
interface Crossed {
  readonly column: number
  readonly row: number
  readonly low: number
  readonly high: number
}

/** How many levels each cell reaches, bare ground all round: most cells lie level, and are passed over. */
function crossed(map: ReliefMap, levels: readonly number[]): Crossed[] {
  const { columns, rows, heights } = map
  const wide = columns + 2
  const reached = new Uint8Array(wide * (rows + 2))
  let c = 0
  for (let k = 0; k < rows; k += 1)
    for (let i = 0; i < columns; i += 1) {
      const height = heights[k * columns + i]!
      while (c < levels.length && height >= levels[c]!) c += 1
      while (c > 0 && height < levels[c - 1]!) c -= 1
      reached[(k + 1) * wide + i + 1] = c
    }
  const found: Crossed[] = []
  for (let k = -1; k < rows; k += 1)
    for (let i = -1; i < columns; i += 1) {
      const at = (k + 1) * wide + i + 1
      const [a, b, d, e] = [reached[at]!, reached[at + 1]!, reached[at + wide]!, reached[at + wide + 1]!]
      if (a === b && a === d && a === e) continue
      found.push({ column: i, row: k, low: Math.min(a, b, d, e), high: Math.max(a, b, d, e) })
    }
  return found
}

/** Every contour of a map, lowest first, as closed lines; bare ground lies all round. Marching squares, straight between cells. */
export function contours(map: ReliefMap, levels: readonly number[]): Contour[] {
  const squares = crossed(map, levels)
  return levels.flatMap((level, n) =>
    contoursAt(
      map,
      level,
      squares.filter((s) => s.low <= n && n < s.high),
    ),
  )
}

function contoursAt(map: ReliefMap, level: number, squares: readonly Crossed[]): Contour[] {
  const { columns, rows, heights } = map
  const at = (i: number, k: number): number =>
    i < 0 || k < 0 || i >= columns || k >= rows ? 0 : heights[k * columns + i]!
  // Sides of squares are told apart by number: level ones even, upright ones odd.
  const wide = columns + 2
  const side = (i: number, k: number, which: number): number => {
    if (which === 0) return 2 * ((k + 1) * wide + i + 1)
    if (which === 2) return 2 * ((k + 2) * wide + i + 1)
    return 2 * ((k + 1) * wide + i + (which === 1 ? 2 : 1)) + 1
  }
  const next = new Map<number, number>()
  for (const { column: i, row: k } of squares) {
    const corners = [at(i, k), at(i + 1, k), at(i + 1, k + 1), at(i, k + 1)]
    const kind = corners.reduce((bits, height, n) => (height >= level ? bits | (1 << n) : bits), 0)
    for (const [from, to] of WAYS[kind]!) next.set(side(i, k, from), side(i, k, to))
  }
  const place = (s: number): Point => {
    const upright = s % 2 === 1
    const cell = Math.floor(s / 2)
    const [i, k] = [(cell % wide) - 1, Math.floor(cell / wide) - 1]
    const [p, q] = upright ? [at(i, k), at(i, k + 1)] : [at(i, k), at(i + 1, k)]
    const t = Math.abs(q - p) < 1e-12 ? 0.5 : (level - p) / (q - p)
    return {
      x: map.left + (i + 0.5 + (upright ? 0 : t)) * map.step,
      y: map.top + (k + 0.5 + (upright ? t : 0)) * map.step,
    }
  }
  return loops(next).map((loop) => ({ level, points: smoothed(loop.map(place), SMOOTH) }))
}

function loops(next: Map<number, number>): number[][] {
  const found: number[][] = []
  for (const start of [...next.keys()]) {
    const loop: number[] = []
    for (let s: number | undefined = start; s !== undefined && next.has(s);) {
      loop.push(s)
      const after: number = atKey(next, s)
      next.delete(s)
      s = after
    }
    if (loop.length > 2) found.push(loop)
  }
  return found
}

/** The line without points that stand out from it less than `tolerance` mm (Douglas and Peucker), kept closed. */
function smoothed(points: readonly Point[], tolerance: number): readonly Point[] {
  const keep = new Uint8Array(points.length)
  const half = Math.floor(points.length / 2)
  keep[0] = keep[half] = 1
  const stack: [number, number][] = [
    [0, half],
    [half, points.length],
  ]
  for (let part = stack.pop(); part; part = stack.pop()) {
    const [from, to] = part
    const [a, b] = [points[from]!, points[to % points.length]!]
    const length = Math.hypot(b.x - a.x, b.y - a.y)
    let [worst, where] = [tolerance, -1]
    for (let i = from + 1; i < to; i += 1) {
      const p = points[i]!
      const off =
        length < 1e-9
          ? Math.hypot(p.x - a.x, p.y - a.y)
          : Math.abs((p.x - a.x) * (b.y - a.y) - (p.y - a.y) * (b.x - a.x)) / length
      if (off > worst) [worst, where] = [off, i]
    }
    if (where < 0) continue
    keep[where] = 1
    stack.push([from, where], [where, to])
  }
  return points.filter((_, i) => keep[i] === 1)
}
