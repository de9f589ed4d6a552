import { type Point, regionArea, regionGrown } from '../geometry/index.js'
import { nth } from '../lists/index.js'
import type { Hide } from '../stores/index.js'
import { freeCells, largestRectangle, longestStrip } from './cells.js'
import type { Wanted } from './demand.js'
import { leftovers, outlinesOn } from './leftover.js'
import type { Lying } from './lying.js'
import { flawOutline, hideArea } from './stands.js'
import type { Extent } from './world.js'

/** A strip narrower than an inch is no strip, mm. */
export const STRIP_WIDE = 25.4

/** What is cut from one hide. Areas mm², lengths mm, money in the hide’s own currency. */
export interface HideFigures {
  readonly hide: string
  readonly area: number
  /** Of the pieces laid on it. */
  readonly pieces: number
  /** Of what goes back to the shelf. */
  readonly kept: number
  /** What is neither piece nor kept, as a share of what is used up; 0 where nothing is cut. */
  readonly waste: number
  /** The longest strip and the largest rectangle that are left, along the backbone. */
  readonly strip: Extent | undefined
  readonly rectangle: Extent | undefined
  /** What is used up costs so much, and what of it each piece bears, by its id. */
  readonly cost: number
  readonly shares: Readonly<Record<string, number>>
}

/** The figures of a hide with pieces laid on it. */
export function figuresOf(
  hide: Hide,
  lying: readonly Lying[],
  wanted: readonly Wanted[],
  gap: number,
): HideFigures {
  const on = lying.filter((l) => l.hide === hide.id)
  const cut = outlinesOn(hide, on, wanted)
  const areas = cut.map((o) => regionArea([o]))
  const [area, pieces] = [hideArea(hide), areas.reduce((a, b) => a + b, 0)]
  const kept = cut.length === 0 ? area : leftovers(hide, cut, gap).reduce((sum, h) => sum + freeArea(h), 0)
  const used = Math.max(area - kept, pieces)
  const cost = hide.price * (used / area)
  const grid = freeCells(hide.band > 0 ? largest(regionGrown([hide.outline], -hide.band)) : hide.outline, [
    ...cut.flatMap((o) => regionGrown([o], gap)),
    ...hide.flaws.map(flawOutline),
  ])
  return {
    hide: hide.id,
    area,
    pieces,
    kept,
    waste: pieces === 0 ? 0 : 1 - pieces / used,
    strip: longestStrip(grid, STRIP_WIDE),
    rectangle: largestRectangle(grid),
    cost,
    shares: Object.fromEntries(
      on.map(({ id }, i) => [id, pieces === 0 ? 0 : (cost * nth(areas, i)) / pieces]),
    ),
  }
}

const largest = (rings: readonly (readonly Point[])[]): readonly Point[] =>
  rings.reduce((a, b) => (regionArea([b]) > regionArea([a]) ? b : a), [] as readonly Point[])

/** What there is of a hide without its holes, mm². */
const freeArea = (hide: Hide): number =>
  hideArea(hide) -
  hide.flaws
    .filter((f) => f.sort === 'hole' && f.shape.type === 'outline')
    .reduce((sum, f) => sum + regionArea([flawOutline(f)]), 0)

/** In which order the pieces of a hide are cut, and what each is. */
export interface CutStep {
  readonly id: string
  readonly why: 'strap' | 'large' | 'rest' | 'small'
}

/** Small things are easily forgotten: smaller than this, mm². */
const SMALL = 2500

/** Straps from the straight edge, the longest first; then what shows or bears, the largest first; then the rest, small things last. */
export function cuttingOrder(lying: readonly Lying[], wanted: readonly Wanted[]): CutStep[] {
  const rank = { strap: 0, large: 1, rest: 2, small: 3 } as const
  return lying
    .flatMap(({ id }) => {
      const w = wanted.find((one) => one.id === id)
      if (!w) return []
      const { strap, shows, bears, outline } = w.demand
      const area = regionArea([outline])
      const why: CutStep['why'] = strap ? 'strap' : area < SMALL ? 'small' : shows || bears ? 'large' : 'rest'
      return [{ id, why, size: strap?.long ?? area }]
    })
    .toSorted((a, b) => rank[a.why] - rank[b.why] || b.size - a.size || (a.id < b.id ? -1 : 1))
    .map(({ id, why }) => ({ id, why }))
}
