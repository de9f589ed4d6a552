import { nth } from '../lists/index.js'
import { type Box, pathBox, segmentBox } from './box.js'
import type { Path } from './path.js'

/** Segments of a path sorted into level strips, so that those near a box are found without asking all. */
interface Strips {
  readonly top: number
  readonly high: number
  readonly boxes: readonly Box[]
  readonly of: readonly (readonly number[])[]
}

/** Paths of fewer segments are quicker asked one by one. */
const FEW = 24
const known = new WeakMap<Path, Strips>()

const at = ({ top, high, of }: Strips, y: number): number =>
  Math.min(of.length - 1, Math.max(0, Math.floor(((y - top) / high) * of.length)))

function stripsOf(path: Path): Strips {
  const before = known.get(path)
  if (before) return before
  const { top, bottom } = pathBox(path)
  const boxes = path.segments.map(segmentBox)
  const of: number[][] = Array.from({ length: Math.min(256, boxes.length) }, () => [])
  const strips = { top, high: bottom - top || 1, boxes, of }
  for (const [i, box] of boxes.entries())
    for (let k = at(strips, box.top); k <= at(strips, box.bottom); k += 1) nth(of, k).push(i)
  known.set(path, strips)
  return strips
}

const touch = (a: Box, b: Box, by: number): boolean =>
  a.left <= b.right + by && b.left <= a.right + by && a.top <= b.bottom + by && b.top <= a.bottom + by

/** Numbers of the segments whose boxes come within `by` mm of a box, each once, in no order. */
export function segmentsNear(path: Path, box: Box, by: number): readonly number[] {
  const found: number[] = []
  if (path.segments.length < FEW) {
    for (let i = 0; i < path.segments.length; i += 1)
      if (touch(segmentBox(nth(path.segments, i)), box, by)) found.push(i)
    return found
  }
  const strips = stripsOf(path)
  const first = at(strips, box.top - by)
  const last = at(strips, box.bottom + by)
  for (let k = first; k <= last; k += 1)
    for (const i of nth(strips.of, k)) {
      const own = nth(strips.boxes, i)
      // A segment that reaches through several strips is taken in the first of them.
      if (Math.max(first, at(strips, own.top)) === k && touch(own, box, by)) found.push(i)
    }
  return found
}
