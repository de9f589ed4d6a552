import { type Point3, point3, point3Along, point3Cross, point3Unit } from '../geometry/index.js'
import type { PictureHardware } from './picture.js'

/** Rings, buckles and loops are wire round a clear width; the rest are caps and plates. */
const WIRES: ReadonlySet<PictureHardware['sort']> = new Set(['ring', 'buckle', 'hook', 'loop'])
/** A cap or plate stands out of the leather by so much, wire is no thinner than so much, mm. */
const [CAP, THINNEST] = [2.5, 1.5] as const
const AROUND = 20

/** Faces of a piece of hardware: corners as three numbers, three a face, with their normals. */
export interface HardwareMesh {
  readonly positions: Float32Array
  readonly normals: Float32Array
}

/** A piece of hardware in plain faces at true size: wire as a flat ring, caps as discs, locks as plates. */
export function hardwareMesh(one: PictureHardware): HardwareMesh {
  const { across, high, bar, at, out, up } = one
  const right = point3Unit(point3Cross(up, out))
  const wire = WIRES.has(one.sort) ? Math.max(THINNEST, bar) : 0
  const plate = wire === 0 && high > 0
  const corners = plate ? 4 : AROUND
  const [halfWide, halfHigh] = [across / 2 + wire, (high || across) / 2 + wire]
  /** On the rim, or on its inner side; `lift` mm out of the leather. */
  const rim = (k: number, inner: boolean, lift: number): Point3 => {
    const angle = ((k + (plate ? 0.5 : 0)) / corners) * 2 * Math.PI
    // A square’s corners lie where the circle round it has them.
    const reach = plate ? Math.SQRT2 : 1
    const share = inner ? (wire > 0 ? 1 - wire / halfWide : 0) : 1
    const [x, y] = [reach * share * halfWide * Math.cos(angle), reach * share * halfHigh * Math.sin(angle)]
    return point3Along(point3Along(point3Along(at, right, x), up, y), out, lift)
  }
  const positions: number[] = []
  const normals: number[] = []
  const face = (three: readonly Point3[], normal: Point3): void =>
    three.forEach((p) => {
      positions.push(p.x, p.y, p.z)
      normals.push(normal.x, normal.y, normal.z)
    })
  const lift = wire > 0 ? wire : CAP
  for (let k = 0; k < corners; k += 1) {
    const [a, b] = [rim(k, false, lift), rim(k + 1, false, lift)]
    const [c, d] = [rim(k, true, lift), rim(k + 1, true, lift)]
    face([a, b, c], out)
    face([b, d, c], out)
    const middle = ((k + 0.5 + (plate ? 0.5 : 0)) / corners) * 2 * Math.PI
    const side = point3Along(point3Along(point3(0, 0, 0), right, Math.cos(middle)), up, Math.sin(middle))
    const [e, f] = [rim(k, false, 0), rim(k + 1, false, 0)]
    face([a, e, b], side)
    face([b, e, f], side)
  }
  return { positions: new Float32Array(positions), normals: new Float32Array(normals) }
}
