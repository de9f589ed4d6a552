import { type Point, pointDistance, pointMoved } from '../geometry/index.js'
import type { Placed } from './arrange.js'
import type { Piece } from './piece.js'

/** Places of a piece one would lay a rule to: ends of its sides, cut and finished, and the middles of its holes. */
export const placesOf = ({ cut, finished, holes }: Piece): Point[] => [
  ...[cut, finished].flatMap(({ segments }) => segments.flatMap((s) => [s.from, s.to])),
  ...holes.map((h) => h.at),
]

/** The nearest such place of pieces laid on a sheet, in its coordinates, mm; `at` itself where none is within reach. */
export function nearestPlace(placed: readonly Placed<Piece>[], at: Point, reach: number): Point {
  let [found, near] = [at, reach]
  for (const { item, move } of placed)
    for (const place of placesOf(item)) {
      const here = pointMoved(place, move)
      const away = pointDistance(here, at)
      if (away < near) [found, near] = [here, away]
    }
  return found
}
