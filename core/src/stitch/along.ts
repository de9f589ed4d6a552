import {
  type Path,
  type Point,
  line,
  openPath,
  pathEnd,
  pathLength,
  pathStart,
  point,
  pointAdd,
  pointDistance,
  pointScale,
} from '../geometry/index.js'
import { type LaidSheet, sheetThickness } from '../layup/index.js'
import { firstOf, nth, tupleOf } from '../lists/index.js'

/** Rows along the pull are looked for in steps of this, mm. */
const STEP = 0.5

/** How far one can go from a place in a direction over all of the sheets, up to `most` mm. */
function reachOver(from: Point, way: Point, sheets: readonly LaidSheet[], max: number): number {
  let far = 0
  while (far < max) {
    const next = Math.min(max, far + STEP)
    const place = pointAdd(from, pointScale(way, next))
    if (!sheets.every((s) => sheetThickness(s, place) > 0)) break
    far = next
  }
  return far
}

/** Which way a sheet is pulled in the laid-up work, radians; undefined where it is not. */
export function pullOf(laid: LaidSheet): number | undefined {
  const pull = laid.work?.panel.pull
  if (pull === undefined) return undefined
  const { a, b, c, d } = laid.sheet.move
  const [x, y] = [Math.cos(pull), Math.sin(pull)]
  return Math.atan2(b * x + d * y, a * x + c * y)
}

/**
 * In place of a row across the pull two rows along it, from the row's ends into the layers it holds: as long together as
 * the row, so that as many stitches bear. Undefined where the layers leave no room for three stitches in each.
 */
export function rowsAlongMaybe(
  row: Path,
  pull: number,
  held: readonly LaidSheet[],
  pitch: number,
): [Path, Path] | undefined {
  const ends = [pathStart(row), pathEnd(row)] as const
  const min = 3 * pitch
  const wanted = Math.max(min, pathLength(row) / 2)
  const ways = [pull, pull + Math.PI].map((angle) => point(Math.cos(angle), Math.sin(angle)))
  const reaches = ways.map((way) => Math.min(...ends.map((end) => reachOver(end, way, held, wanted))))
  const best = firstOf(reaches) >= nth(reaches, 1) ? 0 : 1
  if (nth(reaches, best) < min || pointDistance(...ends) < pitch) return undefined
  return tupleOf(ends, (end) =>
    openPath([line(end, pointAdd(end, pointScale(nth(ways, best), nth(reaches, best))))]),
  )
}
