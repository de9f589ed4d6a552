import { nth } from '../lists/index.js'
import { type Point, pointCross, pointDistance, pointSubtract } from '../geometry/index.js'

/** From places of a photograph, in pixels, to places on the table it shows, mm. */
export type Straightened = (p: Point) => Point

/** How a photograph is straightened, or a sentence that says why it can’t be. */
export type StraightenedRead =
  { readonly ok: true; readonly toMm: Straightened } | { readonly ok: false; readonly why: string }

const no = (why: string): StraightenedRead => ({ ok: false, why })

type Four = readonly [Point, Point, Point, Point]

/** Corners of a photographed sheet nearer than this to one line are no sheet, as the sine of the angle there. */
const FLAT = 0.02

/**
 * By the four corners of a sheet of known size, clicked in turn beginning with a long side from corner 1 to corner 2: the plane of the
 * table, whatever slant it was taken at.
 */
export function straightenedBySheet(corners: readonly Point[], long: number, wide: number): StraightenedRead {
  const [a, b, c, d] = corners
  if (!a || !b || !c || !d || corners.length !== 4) return no('four corners of the sheet are needed')
  const four: Four = [a, b, c, d]
  const turns = four.map((p, i) => {
    const [q, r] = [four[(i + 1) % 4] as Point, four[(i + 2) % 4] as Point]
    const [u, v] = [pointSubtract(q, p), pointSubtract(r, q)]
    return pointCross(u, v) / Math.max(1e-9, Math.hypot(u.x, u.y) * Math.hypot(v.x, v.y))
  })
  if (turns.some((t) => Math.abs(t) < FLAT)) return no('three of the corners lie in one line')
  if (new Set(turns.map(Math.sign)).size > 1)
    return no('the corners are not in turn: click them one after the other round the sheet')
  // Clicked against the clock they would give a hide turned over.
  const sheet = nth(turns, 0) > 0 ? [0, long, long, 0] : [long, 0, 0, long]
  const solved = solve(
    equations(four, [
      { x: nth(sheet, 0), y: 0 },
      { x: nth(sheet, 1), y: 0 },
      { x: nth(sheet, 2), y: wide },
      { x: nth(sheet, 3), y: wide },
    ]),
  )
  if (!solved) return no('these corners are of no sheet')
  const [h0, h1, h2, h3, h4, h5, h6, h7] = solved as [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ]
  return {
    ok: true,
    toMm: ({ x, y }) => {
      const w = h6 * x + h7 * y + 1
      return { x: (h0 * x + h1 * y + h2) / w, y: (h3 * x + h4 * y + h5) / w }
    },
  }
}

/** By a bar of known length, for a photograph taken straight from above. */
export function straightenedByBar(from: Point, to: Point, length: number): StraightenedRead {
  const pixels = pointDistance(from, to)
  if (pixels < 2) return no('the two ends of the bar are the same place')
  const scale = length / pixels
  return { ok: true, toMm: ({ x, y }) => ({ x: x * scale, y: y * scale }) }
}

/** Two lines of a linear system for each corner: eight unknowns of the plane’s projection, the ninth being 1. */
const equations = (from: Four, to: readonly Point[]): number[][] =>
  from.flatMap((p, i) => {
    const q = to[i] as Point
    return [
      [p.x, p.y, 1, 0, 0, 0, -q.x * p.x, -q.x * p.y, q.x],
      [0, 0, 0, p.x, p.y, 1, -q.y * p.x, -q.y * p.y, q.y],
    ]
  })

/** Solves lines of coefficients with the right side last; undefined where they do not say enough. */
function solve(lines: number[][]): number[] | undefined {
  const n = lines.length
  const m = lines.map((l) => [...l])
  for (let k = 0; k < n; k += 1) {
    const pivot = m.reduce(
      (best, l, i) => (i >= k && Math.abs(nth(l, k)) > Math.abs(nth(nth(m, best), k)) ? i : best),
      k,
    )
    ;[m[k], m[pivot]] = [nth(m, pivot), nth(m, k)]
    if (Math.abs(nth(nth(m, k), k)) < 1e-12) return undefined
    for (let i = 0; i < n; i += 1) {
      if (i === k) continue
      const by = nth(nth(m, i), k) / nth(nth(m, k), k)
      for (let j = k; j <= n; j += 1) nth(m, i)[j]! -= by * nth(nth(m, k), j)
    }
  }
  return m.map((l, i) => nth(l, n) / nth(l, i))
}
