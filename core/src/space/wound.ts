import { type Point, point } from '../geometry/index.js'
import type { Ends, Wound } from '../master/index.js'

/** A place across leather that is wound round a core: where it lies beside and over the flat of it, and which way its grain looks. */
interface Across {
  readonly at: Point
  readonly grain: Point
}

/** So many places along a ramp, and to either side of what is wound, at which leather has to be broken so that its facets lie near it. */
const [RAMP, SIDE] = [6, 8] as const

/** How far it is over from its ends, 0 to 1, so far along its course. */
export function overFrom({ length, flat, ramp }: Ends, s: number): number {
  const t = Math.min(1, Math.max(0, (Math.min(s, length - s) - flat) / ramp))
  return t * t * (3 - 2 * t)
}

/** Where it is to be broken along its course, mm. */
export function rampBreaks({ length, flat, ramp }: Ends): number[] {
  const places = Array.from({ length: RAMP + 1 }, (_, i) => flat + (i * ramp) / RAMP)
  return [...places, ...places.map((s) => length - s)]
}

/** The whole way round, `r` mm from the middle of the leather. */
function round({ radius, angle, straight }: Wound, r: number): Across {
  const [side, far] = [r < 0 ? -1 : 1, Math.abs(r)]
  const on = Math.min(angle, far / radius)
  const [c, s] = [Math.cos(on), Math.sin(on)]
  const along = Math.min(straight, Math.max(0, far - radius * angle))
  const hanging = Math.max(0, far - radius * angle - straight)
  return {
    at: point(side * (radius * s + along * c), radius * (c - 1) - along * s - hanging),
    grain: hanging > 0 ? point(side, 0) : point(side * s, c),
  }
}

/** Where a place of wound leather lies, `s` mm along its course and `r` across, over the flat of it. */
export function woundAt(wound: Wound, s: number, r: number): Across {
  const how = overFrom(wound.ends, s)
  const { at, grain } = round(wound, r)
  const g = point(grain.x * how, 1 + (grain.y - 1) * how)
  const size = Math.hypot(g.x, g.y) || 1
  return {
    at: point(r + (at.x - r) * how, at.y * how),
    grain: point(g.x / size, g.y / size),
  }
}

/** Where it is to be broken across, mm from its middle. */
export function acrossBreaks({ radius, angle, straight }: Wound): number[] {
  const places = [
    ...Array.from({ length: SIDE + 1 }, (_, i) => (i * radius * angle) / SIDE),
    radius * angle + straight,
  ]
  return [...places, ...places.map((r) => -r)]
}
