import type { Point } from '../geometry/index.js'
import type { Hide } from '../stores/index.js'

/** A spot weighs by this power of how near it is. */
const POWER = 2
/** Nearer to a spot than this, mm, its own thickness holds. */
const NEAR = 1

/**
 * How thick a hide is at a place, mm: between the spots that were measured, nearer ones weighing more; outside them never beyond the
 * thinnest and the thickest of them. Undefined where nothing was measured.
 */
export function hideThickness({ spots }: Pick<Hide, 'spots'>, at: Point): number | undefined {
  if (spots.length === 0) return undefined
  let [sum, weights] = [0, 0]
  for (const spot of spots) {
    const distance = Math.hypot(spot.at.x - at.x, spot.at.y - at.y)
    if (distance < NEAR) return spot.thickness
    const weight = 1 / distance ** POWER
    sum += weight * spot.thickness
    weights += weight
  }
  return sum / weights
}

/** How thick a piece comes out where it lies, mm: at its corners and between them. */
export interface PieceThickness {
  readonly min: number
  readonly mean: number
  readonly max: number
}

/** Thickness over an outline laid on a hide; undefined where the hide was not measured. */
export function thicknessOver(
  hide: Pick<Hide, 'spots'>,
  outline: readonly Point[],
): PieceThickness | undefined {
  const middle = {
    x: outline.reduce((sum, p) => sum + p.x, 0) / outline.length,
    y: outline.reduce((sum, p) => sum + p.y, 0) / outline.length,
  }
  const places = [
    middle,
    ...outline.flatMap((p) => [p, { x: (p.x + middle.x) / 2, y: (p.y + middle.y) / 2 }]),
  ]
  const all = places.flatMap((p) => hideThickness(hide, p) ?? [])
  if (all.length === 0) return undefined
  return {
    min: Math.min(...all),
    mean: all.reduce((a, b) => a + b, 0) / all.length,
    max: Math.max(...all),
  }
}
