import {
  type Point,
  type Region,
  pointInside,
  polygon,
  regionArea,
  regionGrown,
  regionUnion,
  regionWithout,
} from '../geometry/index.js'
import { nth } from '../lists/index.js'
import type { Hide } from '../stores/index.js'
import type { Wanted } from './demand.js'
import { type Lying, laidThere } from './lying.js'
import { freeCells, largestRectangle } from './cells.js'

/** What is left is worth keeping where a rectangle of so much a side, or of so much length and width, comes out of it, mm. */
const WORTH = { side: 70, long: 250, wide: 25 } as const

/** Outlines of the pieces that lie on a hide. */
export const outlinesOn = (
  hide: Hide,
  lying: readonly Lying[],
  wanted: readonly Wanted[],
): readonly (readonly Point[])[] =>
  lying.flatMap((l) => {
    const w = l.hide === hide.id ? wanted.find((one) => one.id === l.id) : undefined
    return w ? [laidThere(w.demand.outline, w.over, l)] : []
  })

/** What is left of a hide once the outlines are cut out with so much room for the knife: outer rings with their holes. */
export function leftRegion(hide: Hide, cut: readonly (readonly Point[])[], gap: number): Region {
  if (cut.length === 0) return [hide.outline]
  const taken = cut.reduce<Region>((sum, o) => regionUnion(sum, [o]), [])
  return regionWithout([hide.outline], regionGrown(taken, gap))
}

const signed = (ring: readonly Point[]): number =>
  ring.reduce((sum, p, i) => {
    const q = nth(ring, (i + 1) % ring.length)
    return sum + (p.x * q.y - q.x * p.y) / 2
  }, 0)

/**
 * What is left of a hide as hides of their own, the largest first: each keeps zones, spots, flaws and backbone; holes where pieces
 * were cut out of its middle are flaws. Crumbs are left out.
 */
export function leftovers(hide: Hide, cut: readonly (readonly Point[])[], gap: number): Hide[] {
  if (cut.length === 0) return []
  const region = leftRegion(hide, cut, gap)
  const holes = region.filter((ring) => signed(ring) < 0)
  return region
    .filter((ring) => signed(ring) > 0)
    .filter((ring) => isWorthKeeping(ring, holes))
    .toSorted((a, b) => regionArea([b]) - regionArea([a]))
    .map((ring, i) => leftoverOf(hide, ring, holes, i))
}

function isWorthKeeping(ring: readonly Point[], holes: readonly (readonly Point[])[]): boolean {
  const best = largestRectangle(freeCells(ring, holes))
  if (!best) return false
  const [w, h] = [best.right - best.left, best.bottom - best.top]
  return Math.min(w, h) >= WORTH.side || (Math.max(w, h) >= WORTH.long && Math.min(w, h) >= WORTH.wide)
}

const fine = ({ x, y }: Point): Point => ({ x: Math.round(x * 100) / 100, y: Math.round(y * 100) / 100 })
/** No more corners than a hide may have. */
const MOST_CORNERS = 500

function leftoverOf(
  hide: Hide,
  ring: readonly Point[],
  holes: readonly (readonly Point[])[],
  i: number,
): Hide {
  const path = polygon(ring)
  const inside = (p: Point): boolean => pointInside(p, path)
  const coarse = (points: readonly Point[]): Point[] => {
    const step = Math.ceil(points.length / MOST_CORNERS)
    return points.filter((_, k) => k % step === 0).map(fine)
  }
  const touches = (f: Hide['flaws'][number]): boolean => {
    const { shape } = f
    if (shape.type === 'circle') return inside(shape.at)
    return shape.type === 'line' ? inside(shape.from) || inside(shape.to) : shape.outline.some(inside)
  }
  return {
    ...hide,
    id: `${hide.id.slice(0, 50)}-left${i > 0 ? `-${i + 1}` : ''}`,
    name: `Left of ${hide.name}${i > 0 ? `, ${i + 1}` : ''}`.slice(0, 80),
    outline: coarse(ring),
    flaws: [
      ...hide.flaws.filter(touches),
      ...holes
        .filter((h) => h[0] && inside(h[0]))
        .map((h) => ({
          sort: 'hole' as const,
          shape: { type: 'outline' as const, outline: coarse(h.toReversed()) },
        })),
    ],
    spots: hide.spots.filter((s) => inside(s.at)),
  }
}
