import { describe, expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import { snapshotOf } from '@drumlin/core/snapshot'
import { type Picture, pictureOf } from '@drumlin/core/space'
import { finished } from '../src/overview/index.js'
import { everyDesign, derivedOf } from './support/all.js'
import { freshOf } from './support/designs.js'

const LOOK = { ink: [0, 0, 0], thread: [255, 0, 0], metal: [0, 255, 0] } as const
/** A square sheet facing the one who looks, `out` mm nearer, of one colour. */
const square = (id: string, size: number, out: number, swatch: string): Picture['sheets'][number] => {
  const corners = [
    [-size, -size, out],
    [size, -size, out],
    [size, size, out],
    [-size, -size, out],
    [size, size, out],
    [-size, size, out],
  ].flat()
  const normals = corners.map((_, i) => (i % 3 === 2 ? 1 : 0))
  const mesh = {
    positions: new Float32Array(corners),
    normals: new Float32Array(normals),
    shades: new Float32Array(6).fill(1),
    grain: 6,
    outline: new Float32Array(),
  }
  return { id, name: id, panelId: id, swatch, group: undefined, mesh }
}
const picture = (sheets: Picture['sheets'], stitches: readonly number[] = []): Picture => ({
  sheets,
  hardware: [],
  stitches: new Float32Array(stitches),
  strapStitches: new Float32Array(),
  things: [],
})
const at = (shot: { width: number; pixels: Uint8ClampedArray }, x: number, y: number): number[] => [
  ...shot.pixels.slice((y * shot.width + x) * 4, (y * shot.width + x) * 4 + 4),
]

describe('a small picture of what stands', () => {
  test('what is nearer is seen, whichever is drawn first; the ground stays clear', () => {
    const [red, blue] = [square('red', 20, 0, '#ff0000'), square('blue', 10, 8, '#0000ff')]
    for (const sheets of [
      [red, blue],
      [blue, red],
    ]) {
      const shot = snapshotOf(picture(sheets), { width: 100, height: 80 }, LOOK)!
      expect([shot.width, shot.height]).toEqual([100, 80])
      const [r, g, b, cover] = at(shot, 50, 40)
      expect([r, g, cover]).toEqual([0, 0, 255])
      expect(b).toBeGreaterThan(150)
      expect(at(shot, 0, 0)).toEqual([0, 0, 0, 0])
    }
  })
  test('an edge is inked; a stitch shows before the leather and not behind it', () => {
    const sheet = square('one', 20, 0, '#ffffff')
    const reddish = (stitches: readonly number[]): number => {
      const shot = snapshotOf(picture([sheet], stitches), { width: 100, height: 80 }, LOOK)!
      let count = 0
      for (let k = 0; k < shot.pixels.length; k += 4)
        if ((shot.pixels[k] ?? 0) - (shot.pixels[k + 1] ?? 0) > 60) count += 1
      return count
    }
    expect(reddish([])).toBe(0)
    expect(reddish([-8, 0, 0.5, 8, 0, 0.5])).toBeGreaterThan(3)
    expect(reddish([-8, 0, -9, 8, 0, -9])).toBe(0)
    const shot = snapshotOf(picture([sheet]), { width: 100, height: 80 }, LOOK)!
    const inked = [...Array(100).keys()].filter(
      (x) => (at(shot, x, 40)[3] ?? 0) > 0 && (at(shot, x, 40)[0] ?? 255) < 160,
    )
    expect(inked.length).toBeGreaterThanOrEqual(2)
  })
  test('hardware shows at its true size: a cap whole, a ring with its clear width open', () => {
    const sheet = square('one', 20, 0, '#ffffff')
    const green = (sort: 'snap' | 'ring'): number => {
      const one = {
        id: sort,
        sort,
        at: { x: 0, y: 0, z: 0 },
        out: { x: 0, y: 0, z: 1 },
        up: { x: 0, y: 1, z: 0 },
        across: 16,
        high: 0,
        bar: 3,
      }
      const shot = snapshotOf({ ...picture([sheet]), hardware: [one] }, { width: 200, height: 200 }, LOOK)!
      let [count, scale] = [0, 0]
      for (let k = 0; k < shot.pixels.length; k += 4) {
        const [r = 0, g = 0, b = 0, cover = 0] = shot.pixels.slice(k, k + 4)
        if (cover > 0) scale += 1
        if (g - r > 60 && g - b > 60) count += 1
      }
      // As a share of the sheet, which is 40 by 40.
      return (count / scale) * 1600
    }
    expect(green('snap')).toBeGreaterThan(0.75 * Math.PI * 8 ** 2)
    expect(green('snap')).toBeLessThan(1.25 * Math.PI * 8 ** 2)
    const wire = Math.PI * (11 ** 2 - 8 ** 2)
    expect(green('ring')).toBeGreaterThan(0.6 * wire)
    expect(green('ring')).toBeLessThan(1.25 * wire)
  })
  test('nothing stands, nothing is drawn', () =>
    expect(snapshotOf(picture([]), { width: 10, height: 10 }, LOOK)).toBeUndefined())
  test.each(everyDesign())('$name fills its picture and leaves a margin', ({ design }) => {
    const shot = finished(derivedOf(design), { width: 120, height: 80 })!
    let [left, right, top, foot, covered] = [120, 0, 80, 0, 0]
    for (let y = 0; y < 80; y += 1)
      for (let x = 0; x < 120; x += 1)
        if ((shot.pixels[(y * 120 + x) * 4 + 3] ?? 0) > 0) {
          ;[left, right, top, foot] = [
            Math.min(left, x),
            Math.max(right, x),
            Math.min(top, y),
            Math.max(foot, y),
          ]
          covered += 1
        }
    expect(Math.min(left, top, 119 - right, 79 - foot)).toBeGreaterThan(1)
    expect(Math.max((right - left) / 120, (foot - top) / 80)).toBeGreaterThan(0.8)
    expect(covered).toBeGreaterThan(200)
  })
  test('the same design gives the same pixels', () => {
    const d = derive(freshOf('tote'))
    const [open] = d.works
    const one = (): Uint8ClampedArray =>
      snapshotOf(pictureOf(d, open!, 0), { width: 60, height: 40 }, LOOK)!.pixels
    expect(one()).toEqual(one())
  })
})
