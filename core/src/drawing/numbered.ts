import { type Box, type Point, pointDistance } from '../geometry/index.js'

/** Where the number of a line stands, and the place on the line it belongs to where it had to stand off it. */
export interface NumberPlace {
  readonly at: Point
  readonly from: Point | undefined
}

/** Along the line the places that are tried first, as shares of its holes: its start, then its middle and so on. */
const SHARES = [0, 0.5, 0.25, 0.75, 1, 0.125, 0.375, 0.625, 0.875] as const
/** Beside the line: so many directions, at distances of so many radii. */
const [DIRECTIONS, RINGS] = [16, [2.3, 3.4, 4.6, 6, 8, 11]] as const
/** Circles keep apart by this share of their width. */
const APART = 1.04

/**
 * Numbers in circles of a radius for lines that are drawn beside and over each other: each on its own line where that is
 * free, else beside it with a leader; none over another, all within the box. Those given first choose first. Where
 * nothing at all is free a number stands on its line as far from the others as it can.
 */
export function numbersFor(lines: readonly (readonly Point[])[], box: Box, radius: number): NumberPlace[] {
  const placed: Point[] = []
  const inside = ({ x, y }: Point): boolean =>
    x >= box.left + radius && x <= box.right - radius && y >= box.top + radius && y <= box.bottom - radius
  const room = (p: Point): number => Math.min(Infinity, ...placed.map((q) => pointDistance(p, q)))
  const free = (p: Point): boolean => inside(p) && room(p) >= 2 * radius * APART
  return lines.map((line) => {
    const on = [...new Set(SHARES.map((s) => Math.round(s * (line.length - 1))))].flatMap(
      (i) => line[i] ?? [],
    )
    const spot = placeOf(on, free, radius) ?? { at: farthest(on, room), from: undefined }
    placed.push(spot.at)
    return spot
  })
}

function placeOf(on: readonly Point[], free: (p: Point) => boolean, radius: number): NumberPlace | undefined {
  const own = on.find(free)
  if (own) return { at: own, from: undefined }
  for (const ring of RINGS)
    for (const from of on)
      for (let k = 0; k < DIRECTIONS; k += 1) {
        const angle = (2 * Math.PI * k) / DIRECTIONS
        const at = {
          x: from.x + ring * radius * Math.cos(angle),
          y: from.y + ring * radius * Math.sin(angle),
        }
        if (free(at)) return { at, from }
      }
  return undefined
}

const farthest = (on: readonly Point[], room: (p: Point) => number): Point =>
  on.reduce((best, p) => (room(p) > room(best) ? p : best), on[0] ?? { x: 0, y: 0 })
