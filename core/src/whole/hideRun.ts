import { levelCrossings } from '../geometry/index.js'
import { nth } from '../lists/index.js'
import type { Hide } from '../stores/index.js'

/** Rows along which a hide is measured, mm. */
const ROW = 5

/** The longest straight piece along the backbone that hides allow, their edges left out, mm; undefined where there are none. */
export function longestRun(hides: readonly Pick<Hide, 'outline' | 'band'>[]): number | undefined {
  if (hides.length === 0) return undefined
  return Math.max(...hides.map(runOf))
}

function runOf({ outline, band }: Pick<Hide, 'outline' | 'band'>): number {
  const ys = outline.map((p) => p.y)
  let most = 0
  for (let y = Math.min(...ys) + band + ROW / 2; y < Math.max(...ys) - band; y += ROW) {
    const xs = levelCrossings(outline, y)
    for (let k = 0; k + 1 < xs.length; k += 2) most = Math.max(most, nth(xs, k + 1) - nth(xs, k) - 2 * band)
  }
  return most
}
