import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { type Point, polygon, regionArea } from '@drumlin/core/geometry'
import {
  extentOf,
  outlineOfPath,
  straightenedByBar,
  straightenedBySheet,
  tracedHide,
} from '@drumlin/core/hide'
import { typicalGround } from '@drumlin/core/stores'
import { rectangle } from '../support/hides.js'

/** A camera: the plane of the table seen at a slant, as pixels of a picture. */
const camera =
  (tilt: number, turn: number, far: number) =>
  ({ x, y }: Point): Point => {
    const [u, v] = [x * Math.cos(turn) - y * Math.sin(turn), x * Math.sin(turn) + y * Math.cos(turn)]
    const depth = far + v * Math.sin(tilt)
    return { x: 2000 + (2600 * u) / depth, y: 1500 + (2600 * v * Math.cos(tilt)) / depth }
  }

describe('traced on a photograph', () => {
  const hide = typicalGround('side', 180).outline
  const sheet = [
    { x: 700, y: 300 },
    { x: 997, y: 300 },
    { x: 997, y: 510 },
    { x: 700, y: 510 },
  ]
  test('taken at any slant it comes back within 1 % of its area and its length', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -0.5, max: 0.5, noNaN: true }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        fc.double({ min: 2600, max: 6000, noNaN: true }),
        fc.boolean(),
        (tilt, turn, far, anticlockwise) => {
          const see = camera(tilt, turn, far)
          // A hand clicks whole pixels.
          const pixel = (p: Point): Point => ({
            x: Math.round(see(p).x * 10) / 10,
            y: Math.round(see(p).y * 10) / 10,
          })
          const corners = anticlockwise ? [sheet[1]!, sheet[0]!, sheet[3]!, sheet[2]!] : sheet
          const read = tracedHide({
            by: { what: 'sheet', corners: corners.map(pixel), long: 297, wide: 210 },
            outline: hide.map(pixel),
            backbone: [pixel({ x: 100, y: 0 }), pixel({ x: 1900, y: 0 })],
            flaws: [{ at: pixel({ x: 800, y: 400 }), radius: 10, sort: 'scar' }],
          })
          if (!read.ok) throw new Error(read.why)
          expect(Math.abs(regionArea([read.hide.outline]) / regionArea([hide]) - 1)).toBeLessThan(0.01)
          const [is, was] = [extentOf(read.hide.outline), extentOf(hide)]
          expect(Math.abs((is.right - is.left) / (was.right - was.left) - 1)).toBeLessThan(0.01)
          expect(read.hide.backbone).toBeLessThan(12)
          const [flaw] = read.hide.flaws
          const at = flaw?.shape.type === 'circle' ? flaw.shape.at : { x: 0, y: 0 }
          expect(Math.hypot(at.x - 800, at.y - 400)).toBeLessThan(20)
        },
      ),
      { numRuns: 200 },
    )
  })
  test('by a bar of 300 mm that takes 600 pixels, a pixel is half a millimetre', () => {
    const read = straightenedByBar({ x: 0, y: 0 }, { x: 360, y: 480 }, 300)
    expect(read.ok && read.toMm({ x: 100, y: 40 })).toEqual({ x: 50, y: 20 })
  })
  test.each([
    [
      'three corners',
      [
        { x: 0, y: 0 },
        { x: 9, y: 0 },
        { x: 9, y: 9 },
      ],
      /four corners/,
    ],
    [
      'three in a line',
      [
        { x: 0, y: 0 },
        { x: 5, y: 0 },
        { x: 9, y: 0 },
        { x: 0, y: 9 },
      ],
      /in one line/,
    ],
    [
      'crosswise',
      [
        { x: 0, y: 0 },
        { x: 9, y: 9 },
        { x: 9, y: 0 },
        { x: 0, y: 9 },
      ],
      /in turn/,
    ],
  ])('%s is refused in words', (_, corners, words) => {
    const read = straightenedBySheet(corners, 297, 210)
    expect(!read.ok && read.why).toMatch(words)
  })
  const plain = {
    by: {
      what: 'bar',
      ends: [
        { x: 0, y: 0 },
        { x: 100, y: 0 },
      ],
      length: 100,
    },
    backbone: [],
    flaws: [],
  } as const
  test('a border that crosses itself, too few corners and an absurd size are refused in words', () => {
    const cross = [
      { x: 0, y: 0 },
      { x: 90, y: 90 },
      { x: 90, y: 0 },
      { x: 0, y: 90 },
    ]
    const why = (outline: readonly Point[]): string => {
      const read = tracedHide({ ...plain, outline })
      return read.ok ? '' : read.why
    }
    expect(why(cross)).toMatch(/crosses itself/)
    expect(why(cross.slice(0, 2))).toMatch(/three corners/)
    expect(why(rectangle(9000, 900))).toMatch(/9\.0 m long/)
  })
  test('an outline of a file lies from nothing on', () => {
    const made = outlineOfPath(polygon(rectangle(400, 300, 50, -20)))
    expect(made.ok && extentOf(made.outline)).toEqual({ left: 0, top: 0, right: 400, bottom: 300 })
  })
})
