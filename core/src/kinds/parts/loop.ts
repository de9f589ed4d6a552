import { type Move, flipAboutLevel, point, shift } from '../../geometry/index.js'
import { type Clip, clipAt, clipMoved } from '../../master/index.js'

/** One leaf of a strip that is folded in two: where it lies, and what of the strip it is. */
export interface Leaf {
  readonly suffix: '' | '-under'
  /** From the strip’s coordinates to the place: its fold at y = 0, its ends below. */
  readonly move: Move
  /** In the coordinates of the place. */
  readonly clips: readonly Clip[]
}

/** A strip `length` mm long, its ends each `end` mm, folded round something at y = 0; the leaf underneath first. */
export function foldedInTwo(length: number, end: number): readonly [Leaf, Leaf] {
  const leaf = (suffix: Leaf['suffix'], move: Move, from: number, inward: 1 | -1): Leaf => ({
    suffix,
    move,
    clips: [clipMoved(clipAt(point(0, from), point(0, inward)), move)],
  })
  return [leaf('-under', flipAboutLevel(end / 2), end, -1), leaf('', shift(0, end - length), length - end, 1)]
}
