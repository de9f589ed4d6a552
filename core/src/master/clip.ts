import { type Move, type Point, point, pointMoved } from '../geometry/index.js'
import type { Clip } from './master.js'

/** All that lies on the `inward` side of a line through `at`. */
export const clipAt = (at: Point, inward: Point): Clip => ({ at, inward })

/** The part that counts moves with its sheet. */
export function clipMoved({ at, inward }: Clip, move: Move): Clip {
  const [origin, tip] = [pointMoved(point(0, 0), move), pointMoved(inward, move)]
  return { at: pointMoved(at, move), inward: point(tip.x - origin.x, tip.y - origin.y) }
}
