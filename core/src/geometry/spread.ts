import { nth } from '../lists/index.js'
import { segmentCrossings } from './crossings.js'
import { boxOfPoints } from './box.js'
import { type Path, closedPath } from './path.js'
import { type Point, pointAdd, pointDot, pointRight, pointScale, pointSubtract, pointsMeet } from './point.js'
import { type Segment, line, segmentPart, segmentPoint } from './segment.js'
import { segmentMoved, shift } from './transform.js'

/** A line across an outline; what lies on the side `beyond` points to is the far side. */
export interface Across {
  readonly at: Point
  /** Unit vector square to the line. */
  readonly beyond: Point
}

export interface Spread {
  readonly path: Path
  /** For every segment of the new path the index of the one it came from. */
  readonly origins: readonly number[]
}

/** How far beyond the line a place lies, mm; negative on the near side. */
export const beyondLine = ({ at, beyond }: Across, p: Point): number => pointDot(pointSubtract(p, at), beyond)

/** Where a place of the old outline comes to lie after the far side was moved. */
export const pointSpread = (across: Across, by: number, p: Point): Point =>
  beyondLine(across, p) > 1e-9 ? pointAdd(p, pointScale(across.beyond, by)) : p

/** An upright box's corners lie at most this far from the line that crosses it, so a line of this length is enough. */
function longLine({ at, beyond }: Across, path: Path): Segment {
  const box = boxOfPoints([at, ...path.segments.flatMap((s) => [s.from, s.to])])
  const reach = 4 * (box.right - box.left + box.bottom - box.top) + 100
  const along = pointScale(pointRight(beyond), reach)
  return line(pointAdd(at, along), pointAdd(at, pointScale(along, -1)))
}

/**
 * A closed outline cut along a line and drawn apart by `by` mm (together where negative): the far side moves, straight
 * pieces close the gaps. A straight segment that runs square to the line stays one.
 */
export function pathSpread(path: Path, across: Across, by: number): Spread {
  const cut = longLine(across, path)
  const far = shift(across.beyond.x * by, across.beyond.y * by)
  const segments: Segment[] = []
  const origins: number[] = []
  const add = (s: Segment, origin: number): void => {
    segments.push(s)
    origins.push(origin)
  }
  path.segments.forEach((s, index) => {
    const square =
      s.type === 'line' && Math.abs(pointDot(pointRight(across.beyond), pointSubtract(s.to, s.from))) < 1e-9
    if (square) return add(line(pointSpread(across, by, s.from), pointSpread(across, by, s.to)), index)
    const stops = [
      0,
      ...segmentCrossings(s, cut)
        .map((c) => c.on)
        .sort((a, b) => a - b),
      1,
    ]
    for (let i = 1; i < stops.length; i += 1) {
      if (nth(stops, i) - nth(stops, i - 1) < 1e-9) continue
      const part = segmentPart(s, nth(stops, i - 1), nth(stops, i))
      add(beyondLine(across, segmentPoint(part, 0.5)) > 0 ? segmentMoved(part, far) : part, index)
    }
  })
  return bridged(segments, origins)
}

/** Closes what the moving tore open. */
function bridged(segments: readonly Segment[], origins: readonly number[]): Spread {
  const [out, from]: [Segment[], number[]] = [[], []]
  segments.forEach((s, i) => {
    out.push(s)
    from.push(nth(origins, i))
    const next = nth(segments, (i + 1) % segments.length)
    if (pointsMeet(s.to, next.from)) return
    out.push(line(s.to, next.from))
    from.push(nth(origins, i))
  })
  return { path: closedPath(out), origins: from }
}
