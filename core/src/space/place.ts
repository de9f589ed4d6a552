import { firstOf, required } from '../lists/index.js'
import {
  type Point,
  type Point3,
  pointDot,
  pointRight,
  pointSubtract,
  point3Add,
  point3Along,
  point3Cross,
  point3Scale,
  type Coursed,
  courseAt,
  coursed,
} from '../geometry/index.js'
import type { Clip, Stood, StoodPart } from '../master/index.js'
import { overFrom, woundAt } from './wound.js'

/** A place of a panel in space, and the unit vector out of its grain side there. */
export interface Placed3 {
  readonly at: Point3
  readonly grain: Point3
}

/** A part ready to be asked for many places. */
export interface ReadyPart extends StoodPart {
  readonly walk: Coursed
  readonly across: Point3
}

export const readyParts = ({ parts }: Stood): readonly ReadyPart[] =>
  parts.map((part) => ({
    ...part,
    walk: coursed(part.course),
    across: point3Cross(part.frame.along, part.frame.rise),
  }))

/** How far a place lies along a part's course and across it, mm. */
export function onCourse(part: StoodPart, p: Point): { s: number; r: number } {
  const d = pointSubtract(p, part.from)
  return { s: pointDot(d, part.along), r: pointDot(d, pointRight(part.along)) }
}

/** The middle of the leather `off` mm out of the grain side at a place of a part. */
export function placeOnPart(part: ReadyPart, { s, r }: { s: number; r: number }, off: number): Placed3 {
  const { origin, along, rise } = part.frame
  const { at, way } = courseAt(part.walk, s)
  // Up in the course is out of the grain side: square to the way walked, on its left.
  const grain = {
    x: rise.x * way.x - along.x * way.y,
    y: rise.y * way.x - along.y * way.y,
    z: rise.z * way.x - along.z * way.y,
  }
  const { across, looks } = turnedAt(part, s, grain)
  const on = (r: number): Point3 =>
    point3Along(point3Along(point3Along(origin, along, at.x), rise, at.y), across, r)
  const { flanges, wound } = part
  if (wound) {
    const w = woundAt(wound, s, r)
    const out = point3Add(point3Scale(across, w.grain.x), point3Scale(looks, w.grain.y))
    return { at: point3Along(point3Along(on(w.at.x), looks, w.at.y), out, off), grain: out }
  }
  const edge = flanges ? Math.min(flanges.to, Math.max(flanges.from, r)) : r
  if (edge === r) return { at: point3Along(on(r), looks, off), grain: looks }
  // A flange stands out of the grain side; its own grain looks back over the leather.
  const out = edge === required(flanges, 'flanges').to ? -1 : 1
  const turned = { x: part.across.x * out, y: part.across.y * out, z: part.across.z * out }
  return {
    at: point3Along(point3Along(on(edge), grain, Math.abs(r - edge)), turned, off),
    grain: turned,
  }
}

/** Which way it runs across, and which way its grain looks, where it may be turned round its course. */
function turnedAt(
  { across, twisted }: ReadyPart,
  s: number,
  grain: Point3,
): { across: Point3; looks: Point3 } {
  if (!twisted) return { across, looks: grain }
  const angle = (Math.PI / 2) * (1 - overFrom(twisted, s))
  const [c, sn] = [Math.cos(angle), Math.sin(angle)]
  return {
    across: point3Add(point3Scale(across, c), point3Scale(grain, -sn)),
    looks: point3Add(point3Scale(grain, c), point3Scale(across, sn)),
  }
}

const insideBy = (p: Point, { at, inward }: Clip): number => (p.x - at.x) * inward.x + (p.y - at.y) * inward.y

/** How far inside a part’s own side a place lies, mm; less than nothing outside it. */
function depthIn({ clips }: ReadyPart, p: Point): number {
  let depth = Infinity
  for (const clip of clips) depth = Math.min(depth, insideBy(p, clip))
  return depth
}

/** The part of a stood panel that a place belongs to; the nearest where it lies on no part's own side. */
export function partAt(parts: readonly ReadyPart[], p: Point): ReadyPart {
  let found = firstOf(parts)
  let deep = depthIn(found, p)
  for (const part of parts) {
    if (deep >= 0) break
    const depth = depthIn(part, p)
    if (depth > deep) [found, deep] = [part, depth]
  }
  return found
}

/** Where a place of a panel comes to stand, `off` mm out of the grain side of the skeleton. */
export function placeInSpace(parts: readonly ReadyPart[], p: Point, off = 0): Placed3 {
  const part = partAt(parts, p)
  return placeOnPart(part, onCourse(part, p), off)
}
