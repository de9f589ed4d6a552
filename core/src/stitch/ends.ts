import {
  type Path,
  line,
  openPath,
  pathLength,
  pathPart,
  pathReversed,
  pathStretch,
  pointDistance,
} from '../geometry/index.js'
import { firstOf, lastOf, required } from '../lists/index.js'
import { isRound } from './places.js'

/** Less of a path than this is nothing, mm. */
const NOTHING = 0.01

/** A path gone on straight at both ends, mm. */
export const pathExtended = (path: Path, by: number): Path =>
  required(startedMaybe(path, -by, -by), 'path to go on from')

/** A path begun further in or out at its ends; one that comes round is begun elsewhere. */
export function startedMaybe(path: Path, startBy: number, endBy: number): Path | undefined {
  if (startBy === 0 && endBy === 0) return path
  const length = pathLength(path)
  if (isRound(path)) {
    const from = ((startBy % length) + length) % length
    if (from < NOTHING || length - from < NOTHING) return path
    return pathStretch(path, from, from)
  }
  const [cutStart, cutEnd] = [Math.max(0, startBy), Math.max(0, endBy)]
  if (length - cutStart - cutEnd <= NOTHING) return undefined
  const kept = pathPart(path, cutStart, length - cutEnd)
  const onward = (from: Path, by: number) => {
    if (by <= 0) return []
    const end = lastOf(from.segments)
    const before = firstOf(
      pathPart(from, Math.max(0, pathLength(from) - NOTHING), pathLength(from)).segments,
    ).from
    const share = by / pointDistance(before, end.to)
    return [
      line(end.to, {
        x: end.to.x + share * (end.to.x - before.x),
        y: end.to.y + share * (end.to.y - before.y),
      }),
    ]
  }
  const head = onward(pathReversed(kept), -startBy).map((s) => line(s.to, s.from))
  return openPath([...head, ...kept.segments, ...onward(kept, -endBy)])
}

/** A straight line of free ends drawn in at both to a whole number of steps. */
export function wholeSteps(path: Path, pitch: number): Path {
  const length = pathLength(path)
  const over = length - pitch * Math.floor(length / pitch + 1e-9)
  return over < 1e-6 || over > length / 2 ? path : pathPart(path, over / 2, length - over / 2)
}
