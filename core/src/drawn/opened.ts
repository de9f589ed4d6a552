import { nth } from '../lists/index.js'
import {
  type Across,
  type Path,
  type Point,
  circlePoint,
  line,
  openPath,
  pathCrossings,
  pathSpread,
  pointDistance,
  pointSpread,
} from '../geometry/index.js'
import type { DrawnFold } from './schema.js'

/** Farther than any panel reaches, and the shortest fold, mm. */
const FOLD_LINE = { reach: 10_000, min: 0.1 } as const

/** A fold of the drawing and how much is let in there. */
export interface LetIn {
  readonly fold: DrawnFold
  readonly by: number
}

/** An outline with its folds let in. */
export interface Opened {
  readonly path: Path
  /** For every segment the index of the one of the drawing it came from. */
  readonly origins: readonly number[]
  /** The fold lines, each in the middle of what was let in. */
  readonly lines: readonly { readonly fold: DrawnFold; readonly at: Point; readonly beyond: Point }[]
  readonly moved: (p: Point) => Point
  readonly letIns: readonly { readonly across: Across; readonly by: number }[]
}

/** The side a fold line's angle points away from: to the right of an upright line, below a level one. */
const beyondOf = (fold: DrawnFold): Point => {
  const n = circlePoint({ x: 0, y: 0 }, 1, fold.angle - Math.PI / 2)
  return n.x < -1e-9 || (Math.abs(n.x) <= 1e-9 && n.y < 0) ? { x: -n.x, y: -n.y } : n
}

/** Draws the outline apart at every fold, one after the other; what lies beyond a fold moves with it. */
export function openedAt(path: Path, letIns: readonly LetIn[]): Opened {
  let opened: Opened = {
    path,
    origins: path.segments.map((_, i) => i),
    lines: [],
    moved: (p) => p,
    letIns: [],
  }
  for (const { fold, by } of letIns) {
    const across: Across = { at: opened.moved(fold.at), beyond: beyondOf(fold) }
    const spread =
      Math.abs(by) < 1e-9
        ? { path: opened.path, origins: opened.path.segments.map((_, i) => i) }
        : pathSpread(opened.path, across, by)
    const before = opened
    const middle = {
      x: across.at.x + (across.beyond.x * by) / 2,
      y: across.at.y + (across.beyond.y * by) / 2,
    }
    opened = {
      path: spread.path,
      origins: spread.origins.map((i) => nth(before.origins, i)),
      lines: [
        ...before.lines.map((l) => ({ ...l, at: pointSpread(across, by, l.at) })),
        { fold, at: middle, beyond: across.beyond },
      ],
      letIns: [...before.letIns, { across, by }],
      moved: (p) => pointSpread(across, by, before.moved(p)),
    }
  }
  return opened
}

/** Where a fold line enters and leaves the outline; undefined where it misses it. */
export function foldEndsMaybe(path: Path, at: Point, angle: number): { from: Point; to: Point } | undefined {
  const { reach } = FOLD_LINE
  const ray = openPath([line(circlePoint(at, -reach, angle), circlePoint(at, reach, angle))])
  const found = pathCrossings(ray, path)
  const [first, last] = [found[0], found[found.length - 1]]
  return first && last && pointDistance(first.at, last.at) > FOLD_LINE.min
    ? { from: first.at, to: last.at }
    : undefined
}
