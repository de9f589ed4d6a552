/** A place in space, mm: x to the right of one who looks at the front, y up, z towards them. */
export interface Point3 {
  readonly x: number
  readonly y: number
  readonly z: number
}

export const point3 = (x: number, y: number, z: number): Point3 => ({ x, y, z })
export const point3Add = (a: Point3, b: Point3): Point3 => ({ x: a.x + b.x, y: a.y + b.y, z: a.z + b.z })
export const point3Subtract = (a: Point3, b: Point3): Point3 => ({ x: a.x - b.x, y: a.y - b.y, z: a.z - b.z })
export const point3Scale = (a: Point3, by: number): Point3 => ({ x: a.x * by, y: a.y * by, z: a.z * by })
/** `a` and so much of a direction. */
export const point3Along = (a: Point3, way: Point3, by: number): Point3 => ({
  x: a.x + way.x * by,
  y: a.y + way.y * by,
  z: a.z + way.z * by,
})
export const point3Dot = (a: Point3, b: Point3): number => a.x * b.x + a.y * b.y + a.z * b.z
/** Right-handed: x × y = z. */
export const point3Cross = (a: Point3, b: Point3): Point3 => ({
  x: a.y * b.z - a.z * b.y,
  y: a.z * b.x - a.x * b.z,
  z: a.x * b.y - a.y * b.x,
})
export const point3Distance = (a: Point3, b: Point3): number => {
  const [dx, dy, dz] = [a.x - b.x, a.y - b.y, a.z - b.z]
  return Math.sqrt(dx * dx + dy * dy + dz * dz)
}
/** Unit vector along a; throws for a vector of no length. */
export function point3Unit(a: Point3): Point3 {
  const length = Math.sqrt(point3Dot(a, a))
  if (length === 0) throw new RangeError('a vector of no length has no direction')
  return point3Scale(a, 1 / length)
}
