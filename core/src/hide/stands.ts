import {
  type Point,
  type Region,
  regionGrown,
  regionOutlines,
  regionUnion,
  regionWithout,
} from '../geometry/index.js'
import { nth } from '../lists/index.js'
import { FLAWS, type Hide, type HideFlaw } from '../stores/index.js'
import { type HideAt, type World, extentOf } from './world.js'

/** What a piece may have to keep off. */
export const GROUNDS = ['off', 'edge', 'best', 'wrinkled', 'stretchy', ...FLAWS] as const
export type GroundSort = (typeof GROUNDS)[number]

/** Something of the ground, where it stands in the world. */
export interface Stand {
  readonly sort: GroundSort
  readonly outline: readonly Point[]
}

/** Beyond the hides, mm: farther than any piece is pushed out of them. */
const BEYOND = 3000
/** An outline of more corners than `many` is eased by so much, mm, always to the inside. */
const EASED = { many: 70, by: 0.75 } as const
const ROUND = 12
/** Corners as near to one upright line lie on it, mm. */
const UPRIGHT = 0.01

/** Everything a piece could have to keep off, hide by hide, and what lies between them. */
export function standsOf(world: World): Stand[] {
  const all = world.hides.flatMap((at) => [
    ...offHide(at, world),
    ...moved(bandOf(at.hide), at, 'edge'),
    ...at.hide.zones.flatMap(({ sort, outline }) =>
      sort === 'good' ? [] : moved([eased(outline)], at, sort),
    ),
    ...at.hide.flaws.flatMap((flaw) => moved([flawOutline(flaw)], at, flaw.sort)),
  ])
  const gaps = world.hides.slice(1).map((at, i): Stand => {
    const [from, to] = [nth(world.hides, i).right, at.left]
    return { sort: 'off', outline: box(from, -BEYOND, to, world.width + BEYOND) }
  })
  return [...all, ...gaps]
}

const box = (left: number, top: number, right: number, bottom: number): Point[] => [
  { x: left, y: top },
  { x: right, y: top },
  { x: right, y: bottom },
  { x: left, y: bottom },
]

const moved = (outlines: readonly (readonly Point[])[], at: HideAt, sort: GroundSort): Stand[] =>
  outlines.map((outline) => ({ sort, outline: outline.map((p) => ({ x: p.x + at.x, y: p.y + at.y })) }))

/** A hide’s outline with fewer corners, never larger than it was. */
export function eased(outline: readonly Point[]): readonly Point[] {
  if (outline.length <= EASED.many) return outline
  const rings = regionGrown([outline], -EASED.by)
  const largest = rings.reduce<readonly Point[]>((a, b) => (b.length > a.length ? b : a), [])
  const thin = thinned(largest, EASED.by * 0.9)
  return thin.length >= 3 ? thin : outline
}

/** Corners left out that lie within `by` mm of the line between their neighbours that stay. */
function thinned(points: readonly Point[], by: number): Point[] {
  const farthest = (from: number, to: number): readonly [number, number] => {
    const [a, b] = [nth(points, from), nth(points, to % points.length)]
    const length = Math.hypot(b.x - a.x, b.y - a.y)
    let [at, most] = [-1, by]
    for (let k = from + 1; k < to; k += 1) {
      const p = nth(points, k)
      const off =
        length < 1e-9
          ? Math.hypot(p.x - a.x, p.y - a.y)
          : Math.abs((b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x)) / length
      if (off > most) [at, most] = [k, off]
    }
    return [at, most]
  }
  const kept = (from: number, to: number): Point[] => {
    const [at] = farthest(from, to)
    return at < 0 ? [nth(points, from)] : [...kept(from, at), ...kept(at, to)]
  }
  const half = Math.floor(points.length / 2)
  return [...kept(0, half), ...kept(half, points.length)]
}

/** All beside a hide between its ends: above its upper border and below its lower one. */
function offHide(at: HideAt, world: World): Stand[] {
  const points = eased(at.hide.outline).map((p) => ({ x: p.x + at.x, y: p.y + at.y }))
  const clockwise = twice(points) > 0 ? points : points.toReversed()
  const n = clockwise.length
  /** The corner farthest west or east, and of several the uppermost or the lowest: an end that is upright borders neither. */
  const end = (x: 1 | -1, y: 1 | -1): number =>
    clockwise.reduce((best, p, i) => {
      const [q, far] = [nth(clockwise, best), (p.x - nth(clockwise, best).x) * x]
      return far > UPRIGHT || (far > -UPRIGHT && (p.y - q.y) * y > 0) ? i : best
    }, 0)
  const [west, east] = [end(-1, -1), end(1, -1)]
  const chain = (from: number, to: number): Point[] =>
    Array.from({ length: ((to - from + n) % n) + 1 }, (_, k) => nth(clockwise, (from + k) % n))
  // With y pointing down, clockwise on the screen runs along the upper border from west to east.
  const [upper, lower] = [chain(west, east), chain(end(1, 1), end(-1, 1))]
  const [left, right] = [nth(clockwise, west).x, nth(clockwise, east).x]
  const stands: Stand[] = [
    { sort: 'off', outline: [...upper, { x: right, y: -BEYOND }, { x: left, y: -BEYOND }] },
    {
      sort: 'off',
      outline: [...lower, { x: left, y: world.width + BEYOND }, { x: right, y: world.width + BEYOND }],
    },
  ]
  // What easing took off the ends.
  if (left > at.left)
    stands.push({ sort: 'off', outline: box(at.left - 1, -BEYOND, left, world.width + BEYOND) })
  if (right < at.right)
    stands.push({ sort: 'off', outline: box(right, -BEYOND, at.right + 1, world.width + BEYOND) })
  return stands
}

const twice = (points: readonly Point[]): number =>
  points.reduce((sum, p, i) => {
    const q = nth(points, (i + 1) % points.length)
    return sum + p.x * q.y - q.x * p.y
  }, 0)

/** The edge of a hide that is rarely used, as outlines; none along a backbone that it was cut in two at. */
export function bandOf({
  outline,
  band,
  backbone,
}: Pick<Hide, 'outline' | 'band' | 'backbone'>): readonly (readonly Point[])[] {
  if (band <= 0) return []
  const border = eased(outline)
  const inner: Region = regionGrown([border], -band).map((ring) => thinned(ring, 1))
  const ring = regionWithout([border], regionUnion(inner))
  const { left, top, right, bottom } = extentOf(outline)
  // Where a hide was cut in two along its backbone the edge is as good as what lies beside it.
  const isEdge = backbone !== null && Math.min(backbone - top, bottom - backbone) < 1
  if (!isEdge) return regionOutlines(ring)
  const strip = box(left + band, backbone - band, right - band, backbone + band)
  return regionOutlines(regionWithout(ring, [strip]))
}

/** A flaw as an outline on its hide. */
export function flawOutline({ shape }: HideFlaw): readonly Point[] {
  if (shape.type === 'outline') return shape.outline
  if (shape.type === 'circle')
    // Corners beyond the circle, so that all of it lies inside.
    return Array.from({ length: ROUND }, (_, i) => {
      const radius = shape.radius / Math.cos(Math.PI / ROUND)
      const angle = (i / ROUND) * 2 * Math.PI
      return { x: shape.at.x + radius * Math.cos(angle), y: shape.at.y + radius * Math.sin(angle) }
    })
  const { from, to, width } = shape
  const length = Math.hypot(to.x - from.x, to.y - from.y)
  const [ux, uy] = length > 0 ? [(to.x - from.x) / length, (to.y - from.y) / length] : [1, 0]
  const [h, v] = [width / 2, width / 2]
  const at = (p: Point, along: number, aside: number): Point => ({
    x: p.x + ux * along - uy * aside,
    y: p.y + uy * along + ux * aside,
  })
  return [at(from, -h, -v), at(to, h, -v), at(to, h, v), at(from, -h, v)]
}

/** What a hide has, mm². */
export const hideArea = ({ outline }: Pick<Hide, 'outline'>): number => Math.abs(twice(outline)) / 2

/** How long and how wide a hide is along and across its backbone, mm. */
export function hideSize({ outline }: Pick<Hide, 'outline'>): {
  readonly long: number
  readonly wide: number
} {
  const { left, top, right, bottom } = extentOf(outline)
  return { long: right - left, wide: bottom - top }
}
