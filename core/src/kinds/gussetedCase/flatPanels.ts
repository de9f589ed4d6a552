import { tupleOf } from '../../lists/index.js'
import { type Point, point, pointAdd, pointScale, pointUnit, polyline } from '../../geometry/index.js'
import type { PanelMark } from '../../master/index.js'
import type { Named } from '../parts/shape.js'
import type { CaseParams } from './params.js'
import type { FlatFoot } from './flatFoot.js'
import type { CaseSizes } from './sizes.js'

/** Leather between the stitch line’s corner and what is cut or punched there, mm. */
const LEFT = 1

/** The stitch line of a gusset with a flat foot, in its panel’s coordinates, and which way its right side looks. Lengths mm. */
export interface GussetLine {
  readonly topRight: Point
  readonly footRight: Point
  readonly footLeft: Point
  readonly topLeft: Point
  /** Out of the right side; of the left one it is the mirror image. */
  readonly out: Point
}

export function gussetLine(s: CaseSizes, foot: FlatFoot): GussetLine {
  const [half, top, deep, high] = tupleOf(
    [s.gussetHalf, s.gussetTop, foot.deep, s.gussetHigh],
    (r) => r.value,
  )
  return {
    topRight: point(half + top / 2, 0),
    footRight: point(half + deep / 2, high),
    footLeft: point(half - deep / 2, high),
    topLeft: point(half - top / 2, 0),
    out: pointUnit(point(high, (top - deep) / 2)),
  }
}

/** Its corners: the margin outside the stitch line on three sides, level at the top. */
export function gussetCorners(s: CaseSizes, foot: FlatFoot): Named[] {
  const { footRight, out } = gussetLine(s, foot)
  const [half, m] = [s.gussetHalf.value, s.margin.value]
  // Where the two margins meet below the corner of the stitch line.
  const beyond = (m * (1 - out.y)) / out.x
  const x = footRight.x - half + beyond
  return [
    { x: 0, y: 0, edge: 'top' },
    { x: 2 * half, y: 0, edge: 'right' },
    { x: half + x, y: footRight.y + m, edge: 'foot' },
    { x: half - x, y: footRight.y + m, edge: 'left' },
  ]
}

/** The largest hole that a corner has room for between its stitches and its edge, mm. */
export const mostRelief = (margin: number): number => Math.max(0, Math.SQRT2 * margin - 2 * LEFT)

/** What is cut out where two flanges meet, ending in a hole where one is punched. */
export function cornerMarks(p: CaseParams, s: CaseSizes, foot: FlatFoot): PanelMark[] {
  const line = gussetLine(s, foot)
  const m = s.margin.value
  const punch = Math.min(p.relief, mostRelief(m))
  const corner = (at: Point, out: Point) => {
    const inner = pointAdd(at, pointScale(pointUnit(pointAdd(out, point(0, 1))), LEFT + punch / 2))
    return { inner, cut: polyline([pointAdd(at, pointScale(out, m)), inner, pointAdd(at, point(0, m))]) }
  }
  const [right, left] = [
    corner(line.footRight, line.out),
    corner(line.footLeft, point(-line.out.x, line.out.y)),
  ]
  return [
    {
      type: 'cuts',
      id: 'cuts',
      at: pointAdd(line.footRight, pointScale(line.out, m)),
      paths: [right.cut, left.cut],
    },
    ...(punch > 0
      ? [right, left].map(({ inner }, i): PanelMark => ({
          type: 'hole',
          id: `relief-${i + 1}`,
          at: inner,
          punch,
        }))
      : []),
  ]
}
