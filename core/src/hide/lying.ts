import type { Point } from '../geometry/index.js'
import type { Lies } from '../design/index.js'
import { nth } from '../lists/index.js'
import type { Wanted } from './demand.js'

/** Where a piece lies on a hide: turned over where it is cut so, turned by `turn` radians, then moved; mm. */
export interface Lying {
  readonly id: string
  /** The hide’s id. */
  readonly hide: string
  readonly turn: number
  readonly x: number
  readonly y: number
}

/** A piece’s own outline as it is cut: turned over where it is. */
export const cutWay = (outline: readonly Point[], over: boolean): readonly Point[] =>
  over ? outline.map((p) => ({ x: -p.x, y: p.y })) : outline

/** An outline laid there. */
export function laidThere(
  outline: readonly Point[],
  over: boolean,
  { turn, x, y }: Pick<Lying, 'turn' | 'x' | 'y'>,
): Point[] {
  const [c, s] = [Math.cos(turn), Math.sin(turn)]
  return cutWay(outline, over).map((p) => ({ x: p.x * c - p.y * s + x, y: p.x * s + p.y * c + y }))
}

/** Steps of the turns of a piece that may lie at any angle. */
const ANY = 8

/** A turn that brings the grain arrow of a piece along the backbone, radians. */
export const straightTurn = ({ demand, over }: Pick<Wanted, 'demand' | 'over'>): number =>
  over ? demand.grain - Math.PI : -demand.grain

/** The turns at which a piece may lie, radians. Where `anyAngle` is allowed, every piece may lie at every step. */
export function turnsOf(wanted: Pick<Wanted, 'demand' | 'over'>, anyAngle: boolean): number[] {
  const straight = straightTurn(wanted)
  const quarter = Math.PI / 2
  const steps = (count: number, from = 0): number[] =>
    Array.from({ length: count }, (_, i) => tidy(straight + from + (i * 2 * Math.PI) / count))
  const lies: Lies = anyAngle ? 'any' : wanted.demand.lies
  if (lies === 'any') return steps(ANY)
  if (lies === 'either') return steps(4)
  return steps(2, lies === 'across' ? quarter : 0)
}

/** Whether a piece lies to the backbone as it is asked to. */
export function liesAsAsked(wanted: Pick<Wanted, 'demand' | 'over'>, turn: number): boolean {
  if (wanted.demand.lies === 'any') return true
  return turnsOf(wanted, false).some((t) => Math.abs(Math.sin((t - turn) / 2)) < 1e-6)
}

/** Between −π and π; a quarter turn exactly where it is one. */
export function tidy(angle: number): number {
  const quarters = angle / (Math.PI / 2)
  const whole = Math.round(quarters)
  if (Math.abs(quarters - whole) < 1e-6) return nth(QUARTERS, ((whole % 4) + 4) % 4)
  return Math.round(Math.atan2(Math.sin(angle), Math.cos(angle)) * 1e9) / 1e9
}
const QUARTERS = [0, Math.PI / 2, Math.PI, -Math.PI / 2] as const
