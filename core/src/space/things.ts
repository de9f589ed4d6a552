import earcut from 'earcut'
import {
  type Point3,
  point3Cross,
  point3Scale,
  point3Add,
  point3Dot,
  point3Subtract,
  point3Unit,
} from '../geometry/index.js'
import { nth } from '../lists/index.js'
import type { LaidUp } from '../layup/index.js'
import type { InsideThing, Master } from '../master/index.js'
import type { Mesh } from './mesh.js'

/** Something carried, in the picture. */
export interface PictureThing {
  readonly name: string
  readonly mesh: Mesh
}

/** What would be seen inside, by name and how often: what lies in flat work, what a kind stands in it, and what is packed into it. */
export function namesInside(
  { standing }: Master,
  open: LaidUp,
  packed: readonly InsideThing[],
): readonly { readonly name: string; readonly count: number }[] {
  const shut = standing?.(0)
  const laid = shut ? [] : open.sheets.filter((s) => s.sheet.type === 'content' && s.thickness > 0)
  const names = [...laid.map((s) => s.sheet), ...(shut?.inside ?? []), ...packed].map((one) => one.name)
  return [...new Set(names)].map((name) => ({ name, count: names.filter((n) => n === name).length }))
}

const middleOf = (points: readonly Point3[]): Point3 =>
  point3Scale(points.reduce(point3Add), 1 / points.length)

/** The faces of a thing as it stands: its foot, its top, and a side over every edge of its foot. */
export function thingMesh({ foot, top }: InsideThing): Mesh {
  const [positions, normals, outline] = [[] as number[], [] as number[], [] as number[]]
  const middle = middleOf([...foot, ...top])
  const face = (corners: readonly Point3[]): void => {
    const [a, b, c] = [nth(corners, 0), nth(corners, 1), nth(corners, 2)]
    const square = point3Unit(point3Cross(point3Subtract(b, a), point3Subtract(c, a)))
    const out = point3Dot(square, point3Subtract(middleOf(corners), middle)) < 0 ? -1 : 1
    const flat = corners.flatMap((_, i) => [nth(corners, i).x, nth(corners, i).y, nth(corners, i).z])
    for (const i of earcut(onPlane(corners, a, b, c))) {
      positions.push(...flat.slice(3 * i, 3 * i + 3))
      normals.push(out * square.x, out * square.y, out * square.z)
    }
  }
  const rim = (corners: readonly Point3[]): void =>
    corners.forEach((a, i) => {
      const b = nth(corners, (i + 1) % corners.length)
      outline.push(a.x, a.y, a.z, b.x, b.y, b.z)
    })
  face(foot)
  face(top)
  rim(foot)
  rim(top)
  foot.forEach((a, i) => {
    const k = (i + 1) % foot.length
    const over = nth(top, i)
    face([a, nth(foot, k), nth(top, k), over])
    outline.push(a.x, a.y, a.z, over.x, over.y, over.z)
  })
  const corners = positions.length / 3
  return {
    positions: new Float32Array(positions),
    normals: new Float32Array(normals),
    shades: new Float32Array(corners).fill(1),
    grain: corners,
    outline: new Float32Array(outline),
  }
}

/** Corners of a flat face as earcut takes them: two numbers each, on the plane of three of them. */
function onPlane(corners: readonly Point3[], a: Point3, b: Point3, c: Point3): number[] {
  const along = point3Unit(point3Subtract(b, a))
  const across = point3Cross(point3Cross(along, point3Subtract(c, a)), along)
  return corners.flatMap((p) => {
    const from = point3Subtract(p, a)
    return [point3Dot(from, along), point3Dot(from, across)]
  })
}
