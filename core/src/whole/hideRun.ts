import type { HidePart, Leather } from '../stores/index.js'

/** Length of a part of a hide along the backbone as a multiple of the side of a square as large (J); docs/formulas.md §20. */
const ALONG: Readonly<Record<HidePart['part'], number>> = {
  side: 1.55,
  shoulder: 0.8,
  'double shoulder': 0.85,
  back: 1.6,
  butt: 1.2,
  belly: 2.2,
  bend: 1.35,
  skin: 1.15,
}

/** The longest straight piece that the parts on the shelf allow, mm; undefined where nothing is known of them. */
export function longestRun({ parts }: Leather): number | undefined {
  if (parts.length === 0) return undefined
  // 1 dm² is 10 000 mm².
  return Math.max(...parts.map(({ part, area }) => ALONG[part] * Math.sqrt(area * 10_000)))
}
