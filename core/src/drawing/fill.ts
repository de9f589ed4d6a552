import {
  type Path,
  type Point,
  boxHeight,
  boxWidth,
  levelCrossings,
  line,
  openPath,
  pathBox,
  pathCrossings,
  pathPoints,
  pointDot,
  pointRight,
  pointUnit,
  pointSubtract,
} from '../geometry/index.js'
import { nth } from '../lists/index.js'

/** Distance between dots of a glue stipple, mm. */
const STIPPLE = 1.7

/** Chords of an area's outline lie this near to it when dots are set, mm: a dot is wider. */
const CHORDS = 0.05

/**
 * Dots inside an area, and outside what is left out of it, on a grid that is fixed to the piece, so that two areas side
 * by side agree.
 */
export function stipple(area: Path, without?: Path): Point[] {
  const box = pathBox(area)
  const rings = [area, ...(without ? [without] : [])].map((path) =>
    pathPoints({ ...path, closed: true }, CHORDS),
  )
  const points: Point[] = []
  const rise = STIPPLE * 0.866
  const firstRow = Math.ceil(box.top / rise)
  for (let row = firstRow; row * rise <= box.bottom; row += 1) {
    const y = row * rise
    const shift = row % 2 === 0 ? 0 : STIPPLE / 2
    const stops = rings.flatMap((ring) => levelCrossings(ring, y)).sort((a, b) => a - b)
    for (let i = 0; i + 1 < stops.length; i += 2)
      for (
        let x = Math.ceil((nth(stops, i) - shift) / STIPPLE) * STIPPLE + shift;
        x <= nth(stops, i + 1);
        x += STIPPLE
      )
        points.push({ x, y })
  }
  return points
}

/** Hatch spacing for leather of `share` of its full thickness: lines close up as it gets thinner, mm. */
export const hatchSpacing = (share: number): number => 0.55 + 2.2 * Math.min(1, Math.max(0, share)) ** 1.5

/**
 * Lines across a skived area, square to its slope and the closer the thinner. `start` and `end` are shares of the full
 * thickness at the lines through `from` and `to`.
 */
export function hatch(area: Path, from: Point, to: Point, start: number, end: number): Path[] {
  const slope = pointUnit(pointSubtract(to, from))
  const across = pointRight(slope)
  const box = pathBox(area)
  const corners = [
    { x: box.left, y: box.top },
    { x: box.right, y: box.top },
    { x: box.right, y: box.bottom },
    { x: box.left, y: box.bottom },
  ]
  const along = corners.map((c) => pointDot(pointSubtract(c, from), slope))
  const [first, last] = [Math.min(...along), Math.max(...along)]
  const length = Math.hypot(to.x - from.x, to.y - from.y)
  const reach = boxWidth(box) + boxHeight(box)
  const middle = { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 }
  const lines: Path[] = []
  const shareAt = (s: number): number => start + (end - start) * Math.min(1, Math.max(0, s / length))
  for (let s = first + hatchSpacing(shareAt(first)) / 2; s < last; s += hatchSpacing(shareAt(s))) {
    const shift = s - pointDot(pointSubtract(middle, from), slope)
    const on = { x: middle.x + slope.x * shift, y: middle.y + slope.y * shift }
    const cut = line(
      { x: on.x - across.x * reach, y: on.y - across.y * reach },
      { x: on.x + across.x * reach, y: on.y + across.y * reach },
    )
    const crossings = pathCrossings(openPath([cut]), area)
    for (let i = 0; i + 1 < crossings.length; i += 2)
      lines.push(openPath([line(nth(crossings, i).at, nth(crossings, i + 1).at)]))
  }
  return lines
}
