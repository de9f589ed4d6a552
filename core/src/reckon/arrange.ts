import {
  type Box,
  type Move,
  type Path,
  boxHeight,
  boxWidth,
  pathBox,
  pathMoved,
  shift,
} from '../geometry/index.js'

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

/** A quarter turn with the clock: what stood lies, its top to the right; words that ran up it run along it. */
const LYING: Move = { a: 0, b: 1, c: -1, d: 0, e: 0, f: 0 }
/** What is longer than this, mm, and this many times as long as wide is a strap: upright it would make everything else small. */
const STRAP = { length: 400, slender: 5 } as const

const isStrap = (box: Box): boolean =>
  boxHeight(box) > STRAP.length && boxHeight(box) > STRAP.slender * boxWidth(box)

/**
 * Pieces laid in rows, in their own order, `gap` mm apart, on a sheet as wide as asked or as the widest piece; long
 * straps lie along the top where they are to. No packing: a maker finds them again where they were.
 */
export function arrangeInRows<T>(
  items: readonly T[],
  outline: (item: T) => Path,
  width: number,
  gap: number,
  straps: 'stand' | 'lie' = 'stand',
): Arrangement<T> {
  const laid = items.map((item) => {
    const own = outline(item)
    const strap = straps === 'lie' && isStrap(pathBox(own))
    return { item, strap, box: pathBox(strap ? pathMoved(own, LYING) : own) }
  })
  const placed: Placed<T>[] = []
  let [x, y, row, widest] = [0, 0, 0, 0]
  let before = false
  for (const { item, strap, box } of [...laid.filter((l) => l.strap), ...laid.filter((l) => !l.strap)]) {
    // What is no strap begins a row of its own below them.
    if (x > 0 && (x + boxWidth(box) > width || before !== strap)) [x, y, row] = [0, y + row + gap, 0]
    before = strap
    const to = shift(x - box.left, y - box.top)
    placed.push({ item, move: strap ? { ...LYING, e: to.e, f: to.f } : to })
    widest = Math.max(widest, x + boxWidth(box))
    x += boxWidth(box) + gap
    row = Math.max(row, boxHeight(box))
  }
  return { placed, width: widest, height: y + row }
}
