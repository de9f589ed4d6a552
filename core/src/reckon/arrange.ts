import { type Move, type Path, boxHeight, boxWidth, pathBox, shift } from '../geometry/index.js'

/** A thing laid on a sheet: where its own coordinates go. */
export interface Placed<T> {
  readonly item: T
  readonly move: Move
}

/** Things laid out on one sheet, and how large that sheet has to be. */
export interface Arrangement<T> {
  readonly placed: readonly Placed<T>[]
  readonly width: number
  readonly height: number
}

/**
 * Pieces laid in rows, in their own order, `gap` mm apart, on a sheet as wide as asked or as the widest piece. No
 * packing: a maker finds them again where they were.
 */
export function arrangeInRows<T>(
  items: readonly T[],
  outline: (item: T) => Path,
  width: number,
  gap: number,
): Arrangement<T> {
  const placed: Placed<T>[] = []
  let [x, y, row, widest] = [0, 0, 0, 0]
  for (const item of items) {
    const box = pathBox(outline(item))
    if (x > 0 && x + boxWidth(box) > width) [x, y, row] = [0, y + row + gap, 0]
    placed.push({ item, move: shift(x - box.left, y - box.top) })
    widest = Math.max(widest, x + boxWidth(box))
    x += boxWidth(box) + gap
    row = Math.max(row, boxHeight(box))
  }
  return { placed, width: widest, height: y + row }
}
