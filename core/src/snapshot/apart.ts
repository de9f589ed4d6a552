import type { Box } from '../geometry/index.js'
import type { Snapshot } from './snapshot.js'

/** Colours nearer than this are the same to the eye, 0 to 255. */
const SAME = 28

/** Where pictures of one size differ, in pixels; undefined where they are all alike. */
export function differing(shots: readonly Snapshot[]): Box | undefined {
  const [first, ...others] = shots
  if (!first) return undefined
  const { width, height, pixels } = first
  let [left, top, right, bottom] = [width, height, -1, -1]
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      const k = (y * width + x) * 4
      const differs = others.some((o) =>
        [0, 1, 2, 3].some((c) => Math.abs((o.pixels[k + c] ?? 0) - (pixels[k + c] ?? 0)) > SAME),
      )
      if (!differs) continue
      left = Math.min(left, x)
      right = Math.max(right, x + 1)
      top = Math.min(top, y)
      bottom = Math.max(bottom, y + 1)
    }
  return right < 0 ? undefined : { left, top, right, bottom }
}
