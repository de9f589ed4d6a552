import { point3, point3Dot } from '../geometry/index.js'
import { type Picture, hardwareMesh } from '../space/index.js'
import { type Camera, type Frame, cameraFor, doubled } from './camera.js'

/** A picture in pixels: red, green, blue and cover, row by row. */
export interface Snapshot extends Frame {
  readonly pixels: Uint8ClampedArray<ArrayBuffer>
}

/** How it is coloured: 0 to 255 each. */
export interface SnapshotLook {
  readonly ink: readonly [number, number, number]
  readonly thread: readonly [number, number, number]
  readonly metal: readonly [number, number, number]
}

/** Light from all round and from one lamp, so that faces are told apart. */
const [AROUND, LAMP] = [0.72, 0.34]
const LIGHT = (() => {
  const length = Math.hypot(1, 1.6, 2)
  return point3(1 / length, 1.6 / length, 2 / length)
})()
/** Where the depth of a sheet goes on by so much otherwise than before, it has an edge, mm. */
const STEP = 1.2
/** Thread lies over the leather it sews, mm. */
const OVER = 1.5

const hex = (colour: string): readonly [number, number, number] => {
  const value = Number.parseInt(colour.replace('#', '').slice(0, 6), 16)
  return [(value >> 16) & 255, (value >> 8) & 255, value & 255]
}

interface Canvas extends Frame {
  readonly pixels: Uint8ClampedArray<ArrayBuffer>
  readonly depth: Float32Array
  /** Which sheet is seen in each pixel, from 1; 0 where none is. */
  readonly owner: Uint16Array
}

/** One corner of a facet on the picture: pixels across and down, nearness to the eye in mm, light. */
type Corner = readonly [x: number, y: number, near: number, light: number]

function facet(
  canvas: Canvas,
  corners: readonly [Corner, Corner, Corner],
  colour: readonly [number, number, number],
  owner: number,
): void {
  const { width, height, pixels, depth } = canvas
  const [[ax, ay, az, al], [bx, by, bz, bl], [cx, cy, cz, cl]] = corners
  const area = (bx - ax) * (cy - ay) - (cx - ax) * (by - ay)
  if (area === 0) return
  const [x0, x1] = [
    Math.max(0, Math.floor(Math.min(ax, bx, cx))),
    Math.min(width - 1, Math.ceil(Math.max(ax, bx, cx))),
  ]
  const [y0, y1] = [
    Math.max(0, Math.floor(Math.min(ay, by, cy))),
    Math.min(height - 1, Math.ceil(Math.max(ay, by, cy))),
  ]
  for (let y = y0; y <= y1; y += 1)
    for (let x = x0; x <= x1; x += 1) {
      const [px, py] = [x + 0.5, y + 0.5]
      const u = ((bx - px) * (cy - py) - (cx - px) * (by - py)) / area
      const v = ((cx - px) * (ay - py) - (ax - px) * (cy - py)) / area
      const w = 1 - u - v
      if (u < -1e-6 || v < -1e-6 || w < -1e-6) continue
      const at = y * width + x
      const near = u * az + v * bz + w * cz
      if (near <= (depth[at] ?? -Infinity)) continue
      depth[at] = near
      canvas.owner[at] = owner
      const light = u * al + v * bl + w * cl
      pixels[at * 4] = colour[0] * light
      pixels[at * 4 + 1] = colour[1] * light
      pixels[at * 4 + 2] = colour[2] * light
      pixels[at * 4 + 3] = 255
    }
}

/** Faces as they are lit, darker by `shades` where there are any. */
interface Faces {
  readonly positions: Float32Array
  readonly normals: Float32Array
  readonly shades?: Float32Array
}

function facesOn(
  canvas: Canvas,
  camera: Camera,
  { positions, normals, shades }: Faces,
  colour: readonly [number, number, number],
  owner: number,
): void {
  const corner = (k: number): Corner => {
    const p = point3(positions[3 * k] ?? 0, positions[3 * k + 1] ?? 0, positions[3 * k + 2] ?? 0)
    const normal = point3(normals[3 * k] ?? 0, normals[3 * k + 1] ?? 0, normals[3 * k + 2] ?? 0)
    const lit = AROUND + LAMP * Math.max(0, point3Dot(normal, LIGHT))
    return [
      camera.x + camera.scale * point3Dot(p, camera.right),
      camera.y + camera.scale * point3Dot(p, camera.down),
      point3Dot(p, camera.toEye),
      lit * (shades?.[k] ?? 1),
    ]
  }
  for (let k = 0; 3 * k + 8 < positions.length; k += 3)
    facet(canvas, [corner(k), corner(k + 1), corner(k + 2)], colour, owner)
}

/** Ink where one thing ends before another: a step in depth, another sheet, or the ground. */
function outlined({ width, height, pixels, depth, owner }: Canvas, ink: SnapshotLook['ink']): void {
  // A face goes on evenly, however steeply it is seen; where it goes on otherwise, something ends. Depth and owner stay
  // as they are while the ink is laid.
  const ends = (at: number, next: number, before: number): boolean => {
    if (owner[at] !== owner[next]) return true
    if (before < 0 || owner[before] !== owner[at]) return false
    return Math.abs((depth[next] ?? 0) - 2 * (depth[at] ?? 0) + (depth[before] ?? 0)) > STEP
  }
  const [red, green, blue] = ink
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      const at = y * width + x
      const across = x + 1 < width && ends(at, at + 1, x > 0 ? at - 1 : -1)
      if (!across && !(y + 1 < height && ends(at, at + width, at - width))) continue
      pixels[at * 4] = red
      pixels[at * 4 + 1] = green
      pixels[at * 4 + 2] = blue
      pixels[at * 4 + 3] = 255
    }
}

/** Stitches as they are seen: each a short line, where no leather lies before it. */
function stitched(
  canvas: Canvas,
  camera: Camera,
  places: Float32Array,
  thread: SnapshotLook['thread'],
): void {
  const { width, height, pixels, depth } = canvas
  for (let i = 0; i + 5 < places.length; i += 6) {
    const [a, b] = [0, 3].map((k) =>
      point3(places[i + k] ?? 0, places[i + k + 1] ?? 0, places[i + k + 2] ?? 0),
    )
    if (!a || !b) continue
    const steps = Math.max(1, Math.ceil(camera.scale * 2))
    for (let s = 0; s <= steps; s += 1) {
      const share = s / steps
      const p = point3(a.x + (b.x - a.x) * share, a.y + (b.y - a.y) * share, a.z + (b.z - a.z) * share)
      const x = Math.floor(camera.x + camera.scale * point3Dot(p, camera.right))
      const y = Math.floor(camera.y + camera.scale * point3Dot(p, camera.down))
      if (x < 0 || y < 0 || x >= width || y >= height) continue
      const at = y * width + x
      if (point3Dot(p, camera.toEye) + OVER >= (depth[at] ?? -Infinity)) pixels.set([...thread, 255], at * 4)
    }
  }
}

/** Four pixels as one, so that lines have soft edges. Every pixel is covered wholly or not at all. */
function halved({ width, height, pixels }: Frame & { readonly pixels: Uint8ClampedArray }): Snapshot {
  const [w, h] = [width / 2, height / 2]
  const half = new Uint8ClampedArray(w * h * 4)
  const corners = [0, 4, width * 4, width * 4 + 4]
  for (let y = 0; y < h; y += 1)
    for (let x = 0; x < w; x += 1) {
      const from = (2 * y * width + 2 * x) * 4
      let [red, green, blue, covered] = [0, 0, 0, 0]
      for (const corner of corners) {
        const k = from + corner
        if (pixels[k + 3] === 0) continue
        red += pixels[k] ?? 0
        green += pixels[k + 1] ?? 0
        blue += pixels[k + 2] ?? 0
        covered += 1
      }
      if (covered === 0) continue
      const to = (y * w + x) * 4
      half[to] = red / covered
      half[to + 1] = green / covered
      half[to + 2] = blue / covered
      half[to + 3] = (255 * covered) / 4
    }
  return { width: w, height: h, pixels: half }
}

/**
 * The finished thing as a small picture of that many pixels, on no ground; undefined where nothing stands. Drawn from the
 * pieces themselves with a depth for every pixel, so it needs no graphics card and is the same everywhere. Seen by `view`
 * (of that size), else so that all of it shows.
 */
export function snapshotOf(
  picture: Picture,
  { width, height }: Frame,
  look: SnapshotLook,
  view?: Camera,
): Snapshot | undefined {
  const frame = { width: Math.round(width), height: Math.round(height) }
  const own =
    view ??
    cameraFor(
      picture.sheets.map((s) => s.mesh.positions),
      frame,
    )
  if (!own || picture.sheets.length === 0) return undefined
  const camera = doubled(own)
  const size = { width: 2 * frame.width, height: 2 * frame.height }
  const count = size.width * size.height
  const canvas: Canvas = {
    ...size,
    pixels: new Uint8ClampedArray(count * 4),
    depth: new Float32Array(count).fill(-Infinity),
    owner: new Uint16Array(count),
  }
  const { sheets, hardware } = picture
  sheets.forEach((sheet, i) => facesOn(canvas, camera, sheet.mesh, hex(sheet.swatch), i + 1))
  hardware.forEach((one, i) => facesOn(canvas, camera, hardwareMesh(one), look.metal, sheets.length + i + 1))
  outlined(canvas, look.ink)
  stitched(canvas, camera, picture.stitches, look.thread)
  stitched(canvas, camera, picture.strapStitches, look.thread)
  return halved(canvas)
}
