import {
  type Box,
  type Point3,
  point3,
  point3Cross,
  point3Dot,
  point3Subtract,
  point3Unit,
} from '../geometry/index.js'

/** A view from far away, so that equal lengths show equal: right and down on the picture, and towards the eye. */
export interface Camera {
  readonly right: Point3
  readonly down: Point3
  readonly toEye: Point3
  /** Pixels a millimetre takes. */
  readonly scale: number
  /** Where the origin falls, pixels. */
  readonly x: number
  readonly y: number
}

/** From a little to the right and above, as one holds a thing to look at it. */
const FROM = point3Unit(point3(0.55, 0.38, 1))
const UP = point3(0, 1, 0)

/** Room kept free round the picture, as a share of it. */
const MARGIN = 0.05

export interface Frame {
  readonly width: number
  readonly height: number
}

/** The camera that shows all of these places (three numbers each) in a picture of that size; undefined where there are none. */
export function cameraFor(places: readonly Float32Array[], { width, height }: Frame): Camera | undefined {
  const right = point3Unit(point3Cross(UP, FROM))
  const down = point3Subtract(point3(0, 0, 0), point3Cross(FROM, right))
  let [left, top, rightmost, foot] = [Infinity, Infinity, -Infinity, -Infinity]
  for (const list of places)
    for (let i = 0; i + 2 < list.length; i += 3) {
      const p = point3(list[i] ?? 0, list[i + 1] ?? 0, list[i + 2] ?? 0)
      const [x, y] = [point3Dot(p, right), point3Dot(p, down)]
      left = Math.min(left, x)
      rightmost = Math.max(rightmost, x)
      top = Math.min(top, y)
      foot = Math.max(foot, y)
    }
  if (left === Infinity) return undefined
  const [wide, high] = [Math.max(1, rightmost - left), Math.max(1, foot - top)]
  const scale = (1 - 2 * MARGIN) * Math.min(width / wide, height / high)
  return {
    right,
    down,
    toEye: FROM,
    scale,
    x: width / 2 - scale * (left + wide / 2),
    y: height / 2 - scale * (top + high / 2),
  }
}

/**
 * The same view nearer: a part of a picture of size `of`, in its pixels, fills one of size `to`. It keeps at least
 * `least` of the whole either way, so that one still sees what the part belongs to.
 */
export function framed(camera: Camera, of: Frame, part: Box, to: Frame, least: number): Camera {
  const wide = Math.max(part.right - part.left, least * of.width)
  const high = Math.max(part.bottom - part.top, least * of.height)
  const by = (1 - 2 * MARGIN) * Math.min(to.width / wide, to.height / high)
  const [x, y] = [(part.left + part.right) / 2, (part.top + part.bottom) / 2]
  return {
    ...camera,
    scale: camera.scale * by,
    x: to.width / 2 + by * (camera.x - x),
    y: to.height / 2 + by * (camera.y - y),
  }
}

/** The same view in a picture twice as large. */
export const doubled = (camera: Camera): Camera => ({
  ...camera,
  scale: 2 * camera.scale,
  x: 2 * camera.x,
  y: 2 * camera.y,
})
