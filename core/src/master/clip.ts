import { type Move, type Point, point, pointMoved, polygonHalved } from '../geometry/index.js'

/** The part of a placed sheet that counts: all that lies on the `inside` side of a line through `at`. */
export interface Clip {
  readonly at: Point
  /** Points from the line into the part that counts. */
  readonly inward: Point
}

/** All that lies on the `inward` side of a line through `at`. */
export const clipAt = (at: Point, inward: Point): Clip => ({ at, inward })

/** Nearer than this to a line a place lies on it, mm. */
const ON_LINE = 1e-9

/** Whether a place is on the part that counts. On the line between two parts of a sheet it is on one of them, always the same. Asked for every layer at every hole: it makes no objects. */
export function clipHas({ at, inward }: Clip, x: number, y: number): boolean {
  const depth = (x - at.x) * inward.x + (y - at.y) * inward.y
  return depth > ON_LINE || (depth >= -ON_LINE && (inward.x > 0 || (inward.x === 0 && inward.y >= 0)))
}

/** Whether a place is on the part that all of them leave. */
export const clipsHave = (clips: readonly Clip[], { x, y }: Point): boolean =>
  clips.every((clip) => clipHas(clip, x, y))

/** What they leave of a ring of places. */
export const ringClipped = (ring: readonly Point[], clips: readonly Clip[]): readonly Point[] =>
  clips.reduce((left, { at, inward }) => polygonHalved(left, at, inward), ring)

/** The part that counts moves with its sheet. */
export function clipMoved({ at, inward }: Clip, move: Move): Clip {
  const [origin, tip] = [pointMoved(point(0, 0), move), pointMoved(inward, move)]
  return { at: pointMoved(at, move), inward: point(tip.x - origin.x, tip.y - origin.y) }
}
