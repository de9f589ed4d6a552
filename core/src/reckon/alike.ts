import { firstOf, lastOf } from '../lists/index.js'
import { type Path, angleMoved, pathBox, pathMoved, pointMoved, shift } from '../geometry/index.js'
import { roundTo } from '../measure/index.js'
import type { Piece } from './piece.js'

const rounded = (_: string, value: unknown): unknown =>
  typeof value === 'number' ? roundTo(value, 3) + 0 : value

/** Everything that is drawn on a piece, wherever it lies in its own coordinates. */
function drawnKey(piece: Piece): string {
  const box = pathBox(piece.cut)
  const home = shift(-box.left, -box.top)
  const path = (p: Path): Path => pathMoved(p, home)
  const holes = piece.holes.map((h) => ({
    ...h,
    at: pointMoved(h.at, home),
    angle: angleMoved(h.angle, home),
  }))
  const marks = piece.marks.map((m) => JSON.stringify(m, movedAndNameless(home)))
  return JSON.stringify(
    [piece.material, piece.thickness, piece.panel.notes, path(piece.cut), holes, marks],
    rounded,
  )
}

/** Places moved, and names and ids left out (letters of match marks are kept: they differ where pieces do): two pieces may be the same under other names. */
function movedAndNameless(home: ReturnType<typeof shift>) {
  return (key: string, value: unknown): unknown => {
    if (key === 'id' || key === 'name') return undefined
    if (typeof value === 'number') return roundTo(value, 3) + 0
    const point = value as { x?: unknown; y?: unknown } | null
    if (point && typeof point.x === 'number' && typeof point.y === 'number') {
      const { x, y } = pointMoved({ x: point.x, y: point.y }, home)
      return { x, y }
    }
    return value
  }
}

/** “Pad of the left strap and pad of the right strap”; one name where all have the same. */
const together = (names: readonly string[]): string => {
  const own = [...new Set(names)]
  return own.length <= 2 ? own.join(' and ') : `${own.slice(0, -1).join(', ')} and ${lastOf(own)}`
}

/** Pieces in groups that one drawing on paper does for, in their own order. */
export function alikeGroups(pieces: readonly Piece[]): readonly (readonly Piece[])[] {
  const groups = new Map<string, Piece[]>()
  for (const piece of pieces) {
    const key = drawnKey(piece)
    groups.set(key, [...(groups.get(key) ?? []), piece])
  }
  return [...groups.values()]
}

/** A group as one piece: the first of it, with all names and counts. */
export const asOne = (same: readonly Piece[]): Piece =>
  same.length === 1
    ? firstOf(same)
    : {
        ...firstOf(same),
        name: together(same.map((p) => p.name)),
        count: same.reduce((sum, p) => sum + p.count, 0),
        flipped: same.reduce((sum, p) => sum + p.flipped, 0),
      }

/** Pieces that are drawn the same, once each with their count; all others as they are. */
export const alikePieces = (pieces: readonly Piece[]): readonly Piece[] => alikeGroups(pieces).map(asOne)
