import { nth } from '../../../lists/index.js'
import { GUSSET_STRIP, gussetStrip, taperedStrip } from '../../../formulas/index.js'
import {
  type Path,
  type Point,
  closedPath,
  line,
  pathEnd,
  pathReversed,
  pathStart,
  pointSubtract,
  pointUnit,
  point,
  polyline,
  type Stretch,
  courseOf,
} from '../../../geometry/index.js'
import type { Edge, EdgeTreatment } from '../../../master/index.js'
import { type Reckoned, given } from '../../../working/index.js'
import type { Shape } from '../../parts/shape.js'
import type { Bag } from '../bag.js'
import type { Profile } from './profile.js'

/** A corner of a strip is followed in this many steps; docs/formulas.md §20. */
const CORNER_STEPS = 24
/** Places of a strip nearer than this are one, mm. */
const SAME_PLACE = 1e-3

/** A strip that goes round a profile: how long, how wide at each place, and how it is bent. Lengths mm. */
export interface Strip {
  readonly length: Reckoned
  /** Half its width between stitch lines at places along its middle, from end to end. */
  readonly halves: readonly Point[]
  /** Where the corners begin and end along its middle. */
  readonly corners: readonly (readonly [number, number])[]
  readonly course: Path
  readonly lean: number
}

/** Extra length of what is sewn to its stitch line but bends further out, for each corner of a quarter turn, mm. */
export interface CornerWays {
  readonly outward: number
  /** A groove instead of a bend: its depth, and what is left of the leather bends. */
  readonly groove?: { readonly deep: number; readonly bend: number }
}

/** A strip of one width round a profile. */
export function plainStrip(bag: Bag, profile: Profile, half: number, ways: CornerWays): Strip {
  const { span, rise, radius: r } = profile
  const { p, reckon } = bag
  const { groove, outward } = ways
  const corner = groove ? 2 * groove.deep + groove.bend : (Math.PI / 2) * outward
  const length = reckon(
    {
      key: 'gusset.length',
      label: 'length round sides and foot',
      formula:
        GUSSET_STRIP +
        (corner > 0 ? ' + 2 × {corner} at the corners' : '') +
        (p.cornerEase > 0 ? ' − 2 × {ease} eased in' : ''),
      source: '§20',
    },
    {
      height: given('rise', rise),
      bottom: given('span', span),
      radius: given('radius', r),
      corner: given('corner', corner),
      ease: given('ease', p.cornerEase),
    },
  )
  // A number written over the length is spread over the foot: the seam then shows what is amiss.
  const off = length.value - length.figured
  const bend = (Math.PI / 2) * (r + outward) - p.cornerEase
  const turned: Stretch[] = groove
    ? [{ length: groove.deep }, { length: groove.bend, turn: Math.PI / 2 }, { length: groove.deep }]
    : [{ length: Math.max(0, bend), turn: Math.PI / 2 }]
  const at = rise - r
  const wide = turned.reduce((sum, t) => sum + t.length, 0)
  const foot = span - 2 * r + off
  return {
    length,
    halves: [point(0, half), point(length.value, half)],
    corners: [
      [at, at + wide],
      [at + wide + foot, at + 2 * wide + foot],
    ],
    course: courseOf([{ length: at }, ...turned, { length: foot }, ...turned, { length: at }]),
    lean: 0,
  }
}

/** A gusset gets no deeper or slimmer than so much for each mm it is high. */
export const MOST_TAPER = 1.2

/** A strip that is wider or narrower at the top than at the foot: the panels lean. */
export function taperingStrip(bag: Bag, profile: Profile, asked: number, foot: number): Strip {
  const { span, rise } = profile
  // Panels that would lean out further can’t stand; what was asked is found to be too much.
  const bottom = Math.max(4, foot)
  const top = Math.min(Math.max(4, asked, bottom - MOST_TAPER * rise), bottom + MOST_TAPER * rise)
  // Too small a corner has no length to be drawn with.
  const radius = profile.radius < 1 ? 0 : profile.radius
  const strip = taperedStrip({ radius, height: rise, top, bottom }, span)
  const lean = Math.asin(Math.max(-1, Math.min(1, (top - bottom) / (2 * rise))))
  const length = bag.reckon(
    {
      key: 'gusset.length',
      label: 'length along its middle',
      formula: '2 × {upright} sides + 2 × {quarter} corners + {foot} foot; its edges are {edge}',
      source: '§20',
    },
    {
      upright: given('upright', strip.upright),
      quarter: given('quarter', strip.quarter),
      foot: given('foot', span - 2 * radius),
      edge: given('edge', gussetStrip(rise, span, radius)),
    },
  )
  const [cos, steps] = [Math.cos(lean), CORNER_STEPS]
  const corner = Array.from({ length: steps + 1 }, (_, i) => {
    const phi = (Math.PI / 2) * (1 - i / steps)
    return point((rise - radius * (1 - Math.cos(phi))) * cos, -radius * (1 - Math.sin(phi)))
  })
  const half: Point[] = [point(0, 0), ...(radius > 0 ? corner : [point(rise * cos, 0)])]
  const other = half.toReversed().map((q) => point(q.x, -span - q.y))
  return {
    length,
    halves: strip.points
      .map((q) => point(q.along, q.half))
      .filter((q, i, all) => i === 0 || q.x - nth(all, i - 1).x > SAME_PLACE),
    corners: [
      [strip.upright, strip.upright + strip.quarter],
      [strip.length - strip.upright - strip.quarter, strip.length - strip.upright],
    ],
    course: polyline(
      [...half, ...other].filter(
        (q, i, all) => i === 0 || q.x !== nth(all, i - 1).x || q.y !== nth(all, i - 1).y,
      ),
    ),
    lean,
  }
}

/** A stitch line of a strip lying along x, its middle at `level`: 1 the lower one, −1 the upper. Walked from x = 0. */
export const stripStitches = ({ halves }: Strip, level: number, side: 1 | -1): Path =>
  polyline(halves.map((q) => point(q.x, level + side * q.y)))

/** The widest a strip is between its stitch lines, mm. */
export const widest = ({ halves }: Strip): number => 2 * Math.max(...halves.map((q) => q.y))

/** A line of straight pieces that bend very little, moved to its right by so much, corner for corner. */
function beside(path: Path, by: number): Path {
  const points = [pathStart(path), ...path.segments.map((s) => s.to)]
  return polyline(
    points.map((p, i) => {
      const [a, b] = [nth(points, Math.max(0, i - 1)), nth(points, Math.min(points.length - 1, i + 1))]
      const way = pointUnit(pointSubtract(b, a))
      return point(p.x - way.y * by, p.y + way.x * by)
    }),
  )
}

/** Half the width of a strip between its stitch lines at a place along it, mm. */
export function halfAt({ halves }: Strip, x: number): number {
  const i = halves.findIndex((q) => q.x >= x - 1e-6)
  const [before, after] = [nth(halves, Math.max(0, i - 1)), nth(halves, Math.max(0, i))]
  const share = after.x > before.x ? (x - before.x) / (after.x - before.x) : 0
  return before.y + share * (after.y - before.y)
}

const halvesBetween = (strip: Strip, from: number, to: number): Point[] => [
  point(from, halfAt(strip, from)),
  ...strip.halves.filter((q) => q.x > from + SAME_PLACE && q.x < to - SAME_PLACE),
  point(to, halfAt(strip, to)),
]

/** The outline of a strip along x, from so far short of either end: its sides `margin` outside its stitch lines. */
export function stripShape(
  strip: Strip,
  margins: { readonly upper: number; readonly lower: number },
  fate: (edge: string) => EdgeTreatment,
  names: { readonly upper: string; readonly lower: string; readonly start: string; readonly end: string },
  low = 0,
): Shape {
  const level = widest(strip) / 2 + margins.upper
  const part = { ...strip, halves: halvesBetween(strip, low, strip.length.value - low) }
  const upper = beside(stripStitches(part, level, -1), -margins.upper)
  const lower = beside(stripStitches(part, level, 1), margins.lower)
  const back = pathReversed(lower)
  const segments = [
    ...upper.segments,
    line(pathEnd(upper), pathStart(back)),
    ...back.segments,
    line(pathEnd(back), pathStart(upper)),
  ]
  const [n, k] = [upper.segments.length, back.segments.length]
  const edge = (id: string, first: number, last: number): Edge => ({
    id,
    name: id.replaceAll('-', ' '),
    first,
    last,
    fate: fate(id),
  })
  return {
    outline: closedPath(segments),
    edges: [
      edge(names.upper, 0, n - 1),
      edge(names.end, n, n),
      edge(names.lower, n + 1, n + k),
      edge(names.start, n + k + 1, n + k + 1),
    ],
  }
}
