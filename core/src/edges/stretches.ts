import {
  type Path,
  type Segment,
  arcRadius,
  pointDistance,
  segmentCurvature,
  segmentLength,
  segmentPoint,
} from '../geometry/index.js'

/** A stretch of a line that bends one way more tightly than asked about. */
export interface BentStretch {
  /** Bends towards the panel (outward curve of its edge), or away from it. */
  readonly convex: boolean
  /** Tightest radius, mm. */
  readonly radius: number
  /** Angle it turns through, radians. */
  readonly angle: number
  /** Distances along the line, mm. */
  readonly from: number
  readonly to: number
}

interface Sample {
  readonly curvature: number
  readonly length: number
}

/** Pieces of a cubic that are looked at one by one. */
const PARTS = 12

function samples(s: Segment): Sample[] {
  if (s.type === 'line') return [{ curvature: 0, length: segmentLength(s) }]
  if (s.type === 'arc') return [{ curvature: Math.sign(s.sweep) / arcRadius(s), length: segmentLength(s) }]
  return Array.from({ length: PARTS }, (_, i) => ({
    curvature: segmentCurvature(s, (i + 0.5) / PARTS),
    // So short a part is as long as its chord, to a thousandth of a millimetre.
    length: pointDistance(segmentPoint(s, i / PARTS), segmentPoint(s, (i + 1) / PARTS)),
  }))
}

/**
 * Where a line bends with a radius below `widest` mm, each stretch once. `inward` is 1 where the panel lies on the
 * right of one who walks along it, −1 where on the left.
 */
export function bentStretches(path: Path, inward: 1 | -1, widest: number): BentStretch[] {
  const found: { convex: boolean; radius: number; angle: number; from: number; to: number }[] = []
  let at = 0
  for (const { curvature, length } of path.segments.flatMap(samples)) {
    const bent = Math.abs(curvature) > 1 / widest
    const convex = curvature * inward > 0
    const last = found[found.length - 1]
    const [radius, angle] = [1 / Math.abs(curvature), Math.abs(curvature) * length]
    if (bent && last && last.convex === convex && Math.abs(last.to - at) < 1e-9) {
      last.to = at + length
      last.angle += angle
      last.radius = Math.min(last.radius, radius)
    } else if (bent) found.push({ convex, radius, angle, from: at, to: at + length })
    at += length
  }
  const [first, last] = [found[0], found[found.length - 1]]
  const round = path.closed && first && last && first !== last && first.convex === last.convex
  // All the way round a stretch may begin before the start: its end is then counted beyond the whole length.
  if (!round || first.from > 1e-9 || last.to < at - 1e-9) return found
  const whole = {
    ...last,
    to: at + first.to,
    angle: last.angle + first.angle,
    radius: Math.min(last.radius, first.radius),
  }
  return [...found.slice(1, -1), whole]
}
