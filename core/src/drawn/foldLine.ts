import type { Path, Point } from '../geometry/index.js'
import type { Fold } from '../master/index.js'
import { foldEndsMaybe } from './opened.js'
import type { DrawnFold } from './schema.js'

/** The fold as it is marked across an outline; nothing where its line misses it. */
export function foldLine(
  fold: DrawnFold,
  at: Point,
  path: Path,
  more: { readonly width?: number; readonly note?: string } = {},
): Fold[] {
  const ends = foldEndsMaybe(path, at, fold.angle)
  if (!ends) return []
  const { id, name, rises, turn } = fold
  return [
    {
      id,
      name,
      rises,
      angle: turn,
      ...ends,
      width: more.width ?? 0,
      ...(more.note ? { note: more.note } : {}),
    },
  ]
}
