import { type Path, type Segment, arcRadius, segmentPoint } from '../geometry/index.js'
import { roundTo } from '../measure/index.js'

/** Decimals kept in written coordinates: 0.0001 mm. */
const PLACES = 4
const n = (value: number): string => String(roundTo(value, PLACES) + 0)

function segmentData(s: Segment): string {
  if (s.type === 'line') return `L${n(s.to.x)} ${n(s.to.y)}`
  if (s.type === 'cubic')
    return `C${n(s.c1.x)} ${n(s.c1.y)} ${n(s.c2.x)} ${n(s.c2.y)} ${n(s.to.x)} ${n(s.to.y)}`
  const radius = n(arcRadius(s))
  const way = s.sweep > 0 ? 1 : 0
  const half = segmentPoint(s, 0.5)
  const arcTo = (x: number, y: number): string => `A${radius} ${radius} 0 0 ${way} ${n(x)} ${n(y)}`
  // More than a half turn cannot be told from its other half by its ends, so it is written as two.
  return Math.abs(s.sweep) > Math.PI - 1e-6
    ? arcTo(half.x, half.y) + arcTo(s.to.x, s.to.y)
    : arcTo(s.to.x, s.to.y)
}

/** A path as SVG path data in mm: lines, true arcs and cubics stay what they are. */
export function pathData(path: Path): string {
  const first = path.segments[0]
  if (!first) return ''
  return `M${n(first.from.x)} ${n(first.from.y)}${path.segments.map(segmentData).join('')}${path.closed ? 'Z' : ''}`
}
