import { firstOf, nth } from '../../lists/index.js'
import { type Path, type Point, type Segment, line, pathPoints, pointDistance } from '../../geometry/index.js'

/** How many points an outline may have, and how far it may move to have no more, mm. */
const MOST = 400
const WITHIN = 0.02

export type Thinned =
  | { readonly ok: true; readonly path: Path; readonly note: string | undefined }
  | { readonly ok: false; readonly why: string }

/**
 * An outline in mm with no more than 400 points. Where it has more, straight runs are drawn with fewer points; if that is not
 * enough its curves too. Nothing moves more than 0.02 mm, and it is said; where that does not do, it is refused.
 */
export function thinnedOutline(path: Path): Thinned {
  const count = path.segments.length
  if (count <= MOST) return { ok: true, path, note: undefined }
  for (const fewer of [
    straightened(path, WITHIN),
    thinnedRing(pathPoints(path, WITHIN / 4), (WITHIN * 3) / 4),
  ])
    if (fewer.segments.length <= MOST)
      return {
        ok: true,
        path: fewer,
        note: `Its ${count} points were thinned to ${fewer.segments.length}; nothing moved more than ${WITHIN} mm.`,
      }
  return {
    ok: false,
    why: `The outline has ${count} points, too many to work with; up to ${MOST} are taken, and it can’t be drawn with so few within ${WITHIN} mm. Simplify it in the program it was drawn with and save it again.`,
  }
}

/** Runs of straight segments with fewer points; arcs and curves stay. */
function straightened(path: Path, within: number): Path {
  const { segments } = path
  const bend = segments.findIndex((s) => s.type !== 'line')
  if (bend < 0)
    return thinnedRing(
      segments.map((s) => s.from),
      within,
    )
  const walk = [...segments.slice(bend), ...segments.slice(0, bend)]
  const out: Segment[] = []
  let run: Point[] = []
  const close = (): void => {
    if (run.length > 1) for (const s of linesThrough(thinnedPoints(run, within))) out.push(s)
    run = []
  }
  for (const s of walk) {
    if (s.type === 'line') {
      if (run.length === 0) run.push(s.from)
      run.push(s.to)
    } else {
      close()
      out.push(s)
    }
  }
  close()
  return { segments: out, closed: path.closed }
}

const linesThrough = (points: readonly Point[]): Segment[] =>
  points.slice(1).map((p, i) => line(nth(points, i), p))

/** A ring of points with fewer: it is parted at its two farthest corners, so that no start is special. */
function thinnedRing(points: readonly Point[], within: number): Path {
  const far = farthest(points, firstOf(points))
  const turned = [...points.slice(far), ...points.slice(0, far)]
  const half = Math.max(1, farthest(turned, firstOf(turned)))
  const kept = [
    ...thinnedPoints(turned.slice(0, half + 1), within),
    ...thinnedPoints([...turned.slice(half), firstOf(turned)], within).slice(1),
  ]
  return { segments: linesThrough(kept), closed: true }
}

const farthest = (points: readonly Point[], from: Point): number =>
  points.reduce(
    (best, p, i) => (pointDistance(p, from) > pointDistance(nth(points, best), from) ? i : best),
    0,
  )

/** A line of points with fewer: those that lie within `within` of a chord go (Ramer, Douglas and Peucker). */
function thinnedPoints(points: readonly Point[], within: number): Point[] {
  const keep = new Set([0, points.length - 1])
  const open: [number, number][] = [[0, points.length - 1]]
  for (let next = open.pop(); next; next = open.pop()) {
    const [a, b] = next
    let [worst, at] = [within, -1]
    for (let i = a + 1; i < b; i += 1) {
      const off = offChord(nth(points, i), nth(points, a), nth(points, b))
      if (off > worst) [worst, at] = [off, i]
    }
    if (at < 0) continue
    keep.add(at)
    open.push([a, at], [at, b])
  }
  return points.filter((_, i) => keep.has(i))
}

function offChord(p: Point, a: Point, b: Point): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y]
  const square = dx * dx + dy * dy
  const t = square === 0 ? 0 : Math.max(0, Math.min(1, ((p.x - a.x) * dx + (p.y - a.y) * dy) / square))
  return Math.hypot(p.x - a.x - t * dx, p.y - a.y - t * dy)
}
