import { courseOf, point, point3, point3Along, type Point3 } from '../../../geometry/index.js'
import { type Stood, type StoodPart } from '../../../master/index.js'
import { X, Y, Z, minus } from '../axes.js'
import { type Bag } from '../bag.js'
import type { Box, Face } from './boxedTypes.js'
import { flapPart } from '../parts/flap.js'

/** Faces that meet in a fold overlap by this, mm, so that no gap shows. */
const OVERLAP = 1e-6

export function standing(bag: Bag, box: Box, faces: readonly Face[], shut: number): Stood[] {
  const { body, seamOffset } = bag
  const { w, c, fold, bend, flap, xl, xr } = box
  const neutral = body.neutral * body.thickness
  const top = fold - bend / 2 + neutral
  const z = neutral + c.value - bend / 2
  const parts = (face: Face): StoodPart[] => {
    const out = face.id === 'front' ? 1 : -1
    const [right, grain] = [out > 0 ? X : minus(X), out > 0 ? Z : minus(Z)]
    const at = (x: number): Point3 => point3Along(point3(0, top, out * z), right, x - w / 2)
    const clip = (x: number, y: number, vx: number, vy: number) => ({
      at: face.place(point(x, y)),
      inward: face.way(point(vx, vy)),
    })
    const side = (x: number, way: 1 | -1): StoodPart => ({
      clips: [clip(x - (way * bend) / 2, 0, way, 0), clip(0, fold + OVERLAP, 0, -1)],
      from: face.place(point(x - (way * bend) / 2, 0)),
      along: face.way(point(way, 0)),
      course: courseOf([{ length: bend, turn: Math.PI / 2 }, { length: c.value }]),
      frame: { origin: at(x - (way * bend) / 2), along: way > 0 ? right : minus(right), rise: grain },
    })
    return [
      {
        clips: [
          clip(xl - OVERLAP, 0, 1, 0),
          clip(xr + OVERLAP, 0, -1, 0),
          clip(0, fold - bend / 2 - OVERLAP, 0, 1),
          ...(face.sheet === 'body' ? [clip(0, fold + c.value, 0, -1)] : []),
        ],
        from: face.place(point(0, 0)),
        along: face.way(point(0, 1)),
        course: courseOf([
          { length: fold - bend / 2 },
          { length: bend, turn: Math.PI / 2 },
          { length: c.value - bend / 2 },
        ]),
        frame: { origin: at(0), along: minus(Y), rise: grain },
      },
      {
        clips: [
          clip(xl + bend / 2, 0, 1, 0),
          clip(xr - bend / 2, 0, -1, 0),
          clip(0, fold - bend / 2, 0, -1),
          ...(flap && face.id === 'back' ? [clip(0, 0, 0, 1)] : []),
        ],
        from: face.place(point(0, 0)),
        along: face.way(point(1, 0)),
        course: courseOf([]),
        frame: { origin: at(0), along: right, rise: grain },
      },
      side(xr, 1),
      side(xl, -1),
      ...(flap && face.id === 'back' ? [flapPart(flap, shut, at(0), Y, grain)] : []),
    ]
  }
  const sheets = [...new Set(faces.map((f) => f.sheet))]
  return sheets.map((sheet) => ({
    sheet,
    seamOffset: seamOffset.flat,
    parts: faces.filter((f) => f.sheet === sheet).flatMap(parts),
  }))
}
