import {
  type Path,
  type Point,
  pathPoints,
  pointDistance,
  polygon,
  pathCrossesItself,
} from '../geometry/index.js'

/** How wide a hide is at a place of its backbone: how far to either edge, mm; 0 where the backbone is that edge. */
export interface Width {
  readonly along: number
  readonly above: number
  readonly below: number
}

/** An outline, or a sentence that says why there is none. */
export type OutlineMade =
  | { readonly ok: true; readonly outline: readonly Point[]; readonly backbone: number }
  | { readonly ok: false; readonly why: string }

const no = (why: string): OutlineMade => ({ ok: false, why })

/** The outline of a hide from a few widths measured across its backbone, in the order of the backbone. At least two. */
export function outlineOfWidths(widths: readonly Width[]): OutlineMade {
  const sorted = widths.toSorted((a, b) => a.along - b.along)
  if (sorted.length < 2) return no('two widths are the least: one near each end of the backbone')
  if (sorted.some((w, i) => i > 0 && w.along - (sorted[i - 1]?.along ?? 0) < 1))
    return no('two widths were measured at the same place of the backbone')
  if (sorted.every((w) => w.above + w.below <= 0)) return no('every width is 0')
  const top = Math.max(...sorted.map((w) => w.above))
  const [first] = sorted
  const at = (w: Width): number => w.along - (first?.along ?? 0)
  const upper = sorted.map((w) => ({ x: at(w), y: top - w.above }))
  const lower = sorted.map((w) => ({ x: at(w), y: top + w.below }))
  const outline = withoutTwins([...upper, ...lower.toReversed()])
  if (outline.length < 3) return no('these widths make no area')
  return { ok: true, outline, backbone: top }
}

/** Neighbours that fall together are one. */
function withoutTwins(points: readonly Point[]): Point[] {
  const kept = points.filter((p, i) => i === 0 || pointDistance(p, points[i - 1] ?? p) > 0.01)
  const [first, last] = [kept[0], kept.at(-1)]
  return first && last && kept.length > 1 && pointDistance(first, last) <= 0.01 ? kept.slice(0, -1) : kept
}

/** A hide clicked round, with two places on its backbone, butt first: turned so that the backbone runs along x. */
export function outlineAlong(outline: readonly Point[], butt: Point, neck: Point): OutlineMade {
  const clean = withoutTwins(outline)
  if (clean.length < 3) return no('at least three corners are needed')
  if (pathCrossesItself(polygon(clean))) return no('the outline crosses itself')
  if (pointDistance(butt, neck) < 1) return no('the two places of the backbone are the same')
  const lie = lieAlong(clean, butt, neck)
  return { ok: true, outline: clean.map(lie.placed), backbone: lie.placed(butt).y }
}

/** The move that brings places of a hide to where its backbone runs along x and its corner lies at nothing. */
export function lieAlong(
  outline: readonly Point[],
  butt: Point,
  neck: Point,
): { readonly placed: (p: Point) => Point } {
  const angle = Math.atan2(neck.y - butt.y, neck.x - butt.x)
  const [c, s] = [Math.cos(angle), Math.sin(angle)]
  const turned = (p: Point): Point => ({ x: p.x * c + p.y * s, y: p.y * c - p.x * s })
  const all = outline.map(turned)
  const [left, top] = [Math.min(...all.map((p) => p.x)), Math.min(...all.map((p) => p.y))]
  return {
    placed: (p) => {
      const { x, y } = turned(p)
      return { x: x - left, y: y - top }
    },
  }
}

/** Curves of a file become chords this close, mm. */
const CHORDS = 0.5

/** The outline of a closed path as a hide, its corner at nothing, its upper edge taken for the backbone. */
export function outlineOfPath(path: Path): OutlineMade {
  const points = withoutTwins(pathPoints(path, CHORDS))
  if (points.length < 3) return no('at least three corners are needed')
  if (pathCrossesItself(polygon(points))) return no('the outline crosses itself')
  const [left, top] = [Math.min(...points.map((p) => p.x)), Math.min(...points.map((p) => p.y))]
  return { ok: true, outline: points.map((p) => ({ x: p.x - left, y: p.y - top })), backbone: 0 }
}
