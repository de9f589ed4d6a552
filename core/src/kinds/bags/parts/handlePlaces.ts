import { point, point3Along, point3Cross, type Point3 } from '../../../geometry/index.js'
import { type Bag } from '../bag.js'
import { type Flap, flapMiddle } from './flap.js'
import { onPanel } from './onFace.js'
import { type Body, type Face } from '../assembly.js'

/** Room below the top edge, and what a rolled handle’s flanges take, mm. */
export const BENCH = { under: 4, flange: 6 } as const

/** An end of a handle: the face its own length runs down on, and where from. */
interface End {
  readonly face: Face
  readonly x: number
}

/** Where one handle goes. */
export interface Hand {
  readonly ends: readonly [End, End]
  readonly suffix: string
  readonly words: string
  /** Where the middle between its ends stands, and which way its arc rises. */
  readonly frame: (opened: number) => { origin: Point3; right: Point3; up: Point3; grain: Point3 }
  /** On front or back the ends hang down; on a flap they lie outward along its top. */
  readonly flat: boolean
  /** How far its frame stands off the middle of the face, mm. */
  readonly off: number
}

export function onWall(bag: Bag, face: Face, suffix: string, words: string): Hand {
  const half = bag.hold.span.value / 2
  return {
    suffix,
    words,
    flat: false,
    off: bag.body.thickness,
    ends: [
      { face, x: -half },
      { face, x: half },
    ],
    frame: (opened) => {
      const { origin, right, down, grain } = face.frame(opened)
      return {
        origin: point3Along(origin, grain, face.seamOffset + bag.body.thickness),
        right,
        up: { x: -down.x, y: -down.y, z: -down.z },
        grain,
      }
    },
  }
}

/** On top of a flap, in the middle between back and front. */
export function onFlap(bag: Bag, body: Body, flap: Flap): Hand {
  const half = bag.hold.span.value / 2
  const sewn = bag.p.flap === 'sewn'
  const { back } = body
  const middle = sewn ? point(back.wide / 2, -flap.over.value / 2) : onPanel(back, 0, -flap.over.value / 2)
  const across = sewn ? point(1, 0) : point(back.move.a, back.move.b)
  const frame: Hand['frame'] = (opened) => {
    const at = back.frame(opened)
    const up = { x: -at.down.x, y: -at.down.y, z: -at.down.z }
    const mix = (u: number, g: number): Point3 =>
      point3Along({ x: up.x * u, y: up.y * u, z: up.z * u }, at.grain, g)
    // Shut, the flap runs from the back to the front with its grain up; open, it stands up behind.
    const { at: on, way } = flapMiddle(flap, 1 - opened)
    const along = mix(way.x, way.y)
    const grain = mix(-way.y, way.x)
    const out = back.seamOffset + (sewn ? bag.body.thickness : 0)
    const origin = point3Along(
      point3Along(point3Along(at.origin, up, on.x), at.grain, on.y + (sewn ? out : 0)),
      grain,
      sewn ? 0 : out,
    )
    return { origin, right: at.right, up: grain, grain: { x: -along.x, y: -along.y, z: -along.z } }
  }
  const end = (way: 1 | -1): End => {
    const w = point(across.x * way, across.y * way)
    const at = point(middle.x + w.x * half, middle.y + w.y * half)
    return {
      x: 0,
      face: {
        ...back,
        sheet: sewn ? 'flap' : back.sheet,
        move: { a: w.y, b: -w.x, c: w.x, d: w.y, e: at.x, f: at.y },
        seamOffset: 0,
        frame: (opened) => {
          const f = frame(opened)
          const out = { x: f.right.x * way, y: f.right.y * way, z: f.right.z * way }
          return {
            origin: point3Along(f.origin, out, half),
            right: point3Cross(f.up, out),
            down: out,
            grain: f.up,
          }
        },
      },
    }
  }
  return { suffix: 'flap', words: '', flat: true, off: 0, ends: [end(-1), end(1)], frame }
}
