import { type Move, type Point, point, pointMoved } from '../geometry/index.js'

/** The part of a placed sheet that counts: all that lies on the `inside` side of a line through `at`. */
export interface Clip {
  readonly at: Point
  /** Points from the line into the part that counts. */
  readonly inward: Point
}

/** All that lies on the `inward` side of a line through `at`. */
export const clipAt = (at: Point, inward: Point): Clip => ({ at, inward })

/** The part that counts moves with its sheet. */
export function clipMoved({ at, inward }: Clip, move: Move): Clip {
  const [origin, tip] = [pointMoved(point(0, 0), move), pointMoved(inward, move)]
  return { at: pointMoved(at, move), inward: point(tip.x - origin.x, tip.y - origin.y) }
}
