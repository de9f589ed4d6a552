import { type Point, polyline } from '../../geometry/index.js'
import type { Glue, Join, Tape } from '../../master/index.js'
import type { Reckoned } from '../../working/index.js'

interface SeamBase {
  readonly id: string
  readonly name: string
  readonly sheet: string
  readonly through: readonly string[]
  readonly glue?: readonly Glue[]
  readonly layup?: string
  readonly twin?: string
  readonly pairName?: string
  readonly back?: readonly [number, number]
  readonly free?: boolean
  readonly onward?: string
  readonly beside?: string
  readonly away?: true
  readonly round?: readonly string[]
  readonly tapes?: readonly Tape[]
}

const common = ({
  id,
  name,
  through,
  glue,
  layup,
  twin,
  pairName,
  back,
  free,
  onward,
  beside,
  away,
  round,
  tapes,
}: SeamBase) => ({
  id,
  name,
  layup: layup ?? 'open',
  through,
  glue: glue ?? [],
  backstitches: { start: back?.[0] ?? 2, end: back?.[1] ?? 2 },
  ...(twin ? { twin } : {}),
  ...(pairName ? { pairName } : {}),
  ...(free ? { free } : {}),
  ...(onward ? { onward } : {}),
  ...(beside ? { beside } : {}),
  ...(away ? { away } : {}),
  ...(round ? { round } : {}),
  ...(tapes ? { tapes } : {}),
})

/** A run along a line drawn through points on a sheet, in the sheet's own coordinates. */
export const lineSeam = (seam: SeamBase & { readonly points: readonly Point[] }): Join => ({
  ...common(seam),
  course: { type: 'line', sheet: seam.sheet, line: polyline(seam.points) },
})

/** A run `margin` in along neighbouring edges of a sheet. */
export const edgeSeam = (
  seam: SeamBase & {
    readonly chain: readonly string[]
    readonly margin: Reckoned
    readonly trims?: readonly [number, number]
    readonly backwards?: boolean
  },
): Join => ({
  ...common(seam),
  course: {
    type: 'edges',
    sheet: seam.sheet,
    chain: seam.chain,
    margin: seam.margin,
    backwards: seam.backwards ?? false,
    startTrim: seam.trims?.[0] ?? 0,
    endTrim: seam.trims?.[1] ?? 0,
  },
})

/** Glue along a side of a panel between two heights of it; `corner` is the radius of its corners, mm. */
export function glueBetween(
  sheet: string,
  side: 'left' | 'right',
  [from, to]: readonly [number, number],
  { high, corner, limit }: { readonly high: number; readonly corner: number; readonly limit: number },
): Glue {
  const above = Math.max(0, from - corner)
  const below = Math.max(0, high - to - corner)
  // Outlines run clockwise: down the right side, up the left one.
  const free = side === 'right' ? { startFree: above, endFree: below } : { startFree: below, endFree: above }
  return { sheet, chain: [side], limit, ...free }
}
