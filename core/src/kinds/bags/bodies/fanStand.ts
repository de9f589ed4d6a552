import { nth } from '../../../lists/index.js'
import {
  point,
  point3,
  point3Cross,
  point3Dot,
  point3Scale,
  point3Subtract,
  point3Unit,
  type Point,
  type Point3,
} from '../../../geometry/index.js'
import { type Stood, type StoodPart } from '../../../master/index.js'
import { STRAIGHT, X, flatPart, minus } from '../axes.js'
import { type Bag } from '../bag.js'
import { apexOf, rays, type Fan } from './fanSide.js'
import { flapPart, type Flap } from '../parts/flap.js'
import { type Profile } from './profile.js'

/** Where the folds of a side run in space from its foot, seen for the right side, open by so much. */
function raysInSpace({ pleats, beta }: Fan, lean: number): Point3[] {
  const half = lean / pleats
  const inward = Math.acos(Math.min(1, Math.cos(beta) / Math.cos(half)))
  return Array.from({ length: 2 * pleats + 1 }, (_, i) => {
    const a = lean - i * half
    const out = i % 2 === 0 ? 0 : inward
    return point3(-Math.sin(out), Math.cos(out) * Math.cos(a), Math.cos(out) * Math.sin(a))
  })
}

export function standing(
  bag: Bag,
  { span, rise }: Profile,
  fan: Fan,
  flap: Flap | undefined,
  opened: number,
): Stood[] {
  const m = bag.margin.value
  const lean = fan.lean * opened
  const [c, sn] = [Math.cos(lean), Math.sin(lean)]
  const face = (sheet: 'front' | 'back', way: 1 | -1): Stood => {
    const corner = point3(-way * (span / 2 + m), rise * c, way * rise * sn)
    const grain = point3(0, -sn, way * c)
    const flat = flatPart(corner, way > 0 ? X : minus(X), grain)
    const over = sheet === 'back' && flap
    return {
      sheet,
      seamOffset: bag.seamOffset.flat,
      parts: over
        ? [
            { ...flat, clips: [{ at: point(0, 0), inward: point(0, 1) }] },
            flapPart(flap, 1 - opened, corner, point3(0, c, way * sn), grain),
          ]
        : [flat],
    }
  }
  return [
    face('front', 1),
    face('back', -1),
    { sheet: 'side-right', seamOffset: 0, parts: leaves(fan, m, span / 2, 1, lean) },
    { sheet: 'side-left', seamOffset: 0, parts: leaves(fan, m, -span / 2, -1, lean) },
  ]
}

/** Each leaf between two folds stands flat. */
function leaves(fan: Fan, m: number, x: number, way: 1 | -1, lean: number): StoodPart[] {
  const apex = apexOf(fan, m)
  const flat = rays(fan)
  // The left side is the right one turned about the upright axis.
  const inSpace = raysInSpace(fan, lean).map((d) => point3(d.x * way, d.y, d.z * way))
  return flat.slice(0, -1).map((ray, i): StoodPart => {
    const [a, b] = [nth(inSpace, i), nth(inSpace, i + 1)]
    const across = point3Unit(point3Subtract(b, point3Scale(a, point3Dot(a, b))))
    const right = (d: Point): Point => point(-d.y, d.x)
    const next = right(nth(flat, i + 1))
    return {
      clips: [
        ...(i > 0 ? [{ at: apex, inward: right(ray) }] : []),
        ...(i < flat.length - 2 ? [{ at: apex, inward: point(-next.x, -next.y) }] : []),
      ],
      from: apex,
      along: ray,
      course: STRAIGHT,
      frame: { origin: point3(x, 0, 0), along: a, rise: point3Cross(across, a) },
    }
  })
}
