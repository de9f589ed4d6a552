import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  type Path,
  type Point,
  arc,
  boxHeight,
  boxWidth,
  closedPath,
  cubic,
  flipAbout,
  line,
  moveBack,
  moveThen,
  offsetClosed,
  offsetLargestMaybe,
  offsetOpenMaybe,
  overlay,
  overlayRegions,
  pathArea,
  pathBox,
  pathCrossesItself,
  pathLength,
  pathMoved,
  pathNearest,
  pathPart,
  pathPlaceAt,
  pathPoints,
  pathReversed,
  point,
  pointDistance,
  pointInside,
  pointMoved,
  polygon,
  polyline,
  regionArea,
  roundedPolygon,
  segmentLength,
  shift,
  turn,
} from '../src/geometry/index.js'
import { inflatePathsD, EndType, JoinType } from 'clipper2-ts'

const square = (side: number, radius = 0): Path =>
  roundedPolygon(
    [point(0, 0), point(side, 0), point(side, side), point(0, side)].map((p) => ({ ...p, radius })),
  ).path
const circle = (radius: number): Path =>
  closedPath([
    arc(point(radius, 0), point(-radius, 0), point(0, 0), Math.PI),
    arc(point(-radius, 0), point(radius, 0), point(0, 0), Math.PI),
  ])
/** A rounded panel whose top is one long curve. */
const curved = closedPath([
  cubic(point(0, 0), point(30, -18), point(70, 22), point(100, 0)),
  line(point(100, 0), point(100, 60)),
  arc(point(100, 60), point(90, 70), point(90, 60), Math.PI / 2),
  line(point(90, 70), point(0, 70)),
  line(point(0, 70), point(0, 0)),
])
const seeded = { seed: 20261123, numRuns: 120 }

describe('lengths', () => {
  test('a rounded square is its sides less eight radii, and four quarter circles', () =>
    expect(pathLength(square(100, 10))).toBeCloseTo(4 * 80 + 2 * Math.PI * 10, 9))
  test('a strong S curve agrees with a million chords', () => {
    const s = cubic(point(0, 0), point(120, 0), point(-20, 60), point(100, 60))
    const chords = pathPoints({ segments: [s], closed: false }, 1e-9)
    const summed = chords.slice(1).reduce((sum, p, i) => sum + pointDistance(p, chords[i]!), 0)
    expect(segmentLength(s)).toBeCloseTo(summed, 6)
  })
  test('the place at a distance is that far along', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 170, noNaN: true }), (d) => {
        const open = { ...curved, closed: false }
        expect(pathLength(pathPart(open, 0, d))).toBeCloseTo(d, 6)
        expect(pointDistance(pathPart(open, 0, d).segments.at(-1)!.to, pathPlaceAt(open, d).at)).toBeLessThan(
          1e-6,
        )
      }),
      seeded,
    ))
  test('a closed path goes round', () => expect(pathPlaceAt(square(10), 45).at).toEqual({ x: 5, y: 0 }))
})

describe('moves', () => {
  const move = moveThen(turn(0.7), moveThen(flipAbout(12), shift(3, -4)))
  test('keep lengths, arcs and areas; turning over changes the sense', () => {
    const moved = pathMoved(curved, move)
    expect(pathLength(moved)).toBeCloseTo(pathLength(curved), 9)
    expect(pathArea(moved)).toBeCloseTo(-pathArea(curved), 6)
    expect(moved.segments.map((s) => s.type)).toEqual(curved.segments.map((s) => s.type))
  })
  test('go back to where they came from', () => {
    const there = pointMoved(pointMoved(point(5, 6), move), moveBack(move))
    expect(there.x).toBeCloseTo(5, 12)
    expect(there.y).toBeCloseTo(6, 12)
  })
  test('a half mirrored about its axis and back agrees to 1e-9', () => {
    const back = pathMoved(pathMoved(curved, flipAbout(50)), flipAbout(50))
    expect(overlay(curved, back).distance).toBeLessThan(1e-9)
  })
})

describe('inside', () => {
  test('the cap of an arc counts exactly, to a thousandth', () => {
    const rounded = square(100, 20)
    const diagonal = (d: number): Point => point(20 - d * Math.SQRT1_2, 20 - d * Math.SQRT1_2)
    expect(pointInside(diagonal(19.999), rounded)).toBe(true)
    expect(pointInside(diagonal(20.001), rounded)).toBe(false)
  })
  test('agrees with a fine polygon on ten thousand places', () => {
    const fine = polygon(pathPoints(curved, 1e-5))
    let differences = 0
    for (let i = 0; i < 10_000; i += 1) {
      const p = point(((i * 7919) % 11_000) / 100 - 5, ((i * 104_729) % 9_000) / 100 - 10)
      if (pathNearest(curved, p).distance > 0.01 && pointInside(p, curved) !== pointInside(p, fine))
        differences += 1
    }
    expect(differences).toBe(0)
  })
})

describe('offset', () => {
  test('a square 3 mm in is 94 mm, with true corners; 3 mm out keeps them', () => {
    expect(pathLength(offsetLargestMaybe(square(100), -3)!)).toBeCloseTo(4 * 94, 9)
    expect(pathLength(offsetLargestMaybe(square(100), 3)!)).toBeCloseTo(4 * 106, 9)
  })
  test('rounded outward corners are arcs', () => {
    const out = offsetLargestMaybe(square(100), 3, 'rounded')!
    expect(pathLength(out)).toBeCloseTo(400 + 2 * Math.PI * 3, 9)
    expect(out.segments.filter((s) => s.type === 'arc')).toHaveLength(4)
  })
  test('arcs stay arcs: a circle 12 mm in is a circle', () => {
    const inner = offsetLargestMaybe(circle(40), -12)!
    expect(pathLength(inner)).toBeCloseTo(2 * Math.PI * 28, 9)
    expect(inner.segments.every((s) => s.type === 'arc')).toBe(true)
  })
  test('a radius smaller than the inset leaves a sharp corner', () =>
    expect(pathLength(offsetLargestMaybe(square(100, 2), -5)!)).toBeCloseTo(360, 6))
  test('an inset that leaves nothing gives nothing', () => expect(offsetClosed(square(10), -6)).toEqual([]))
  test('an hourglass falls into two', () => {
    const hourglass = polygon([
      point(0, 0),
      point(60, 0),
      point(60, 20),
      point(35, 30),
      point(60, 40),
      point(60, 60),
      point(0, 60),
      point(0, 40),
      point(25, 30),
      point(0, 20),
    ])
    expect(offsetClosed(hourglass, -6)).toHaveLength(2)
  })
  test('sides may have distances of their own', () => {
    const box = pathBox(offsetLargestMaybe(square(100), [0, 2, 3, 0])!)
    expect([boxWidth(box), boxHeight(box)]).toEqual([102, 103])
  })
  test.each([-8, -3, 2.5, 7])(
    'every place of a curved panel %f mm off is that far from it, within 0.01 mm',
    (d) => {
      const off = offsetLargestMaybe(curved, d)!
      for (const p of pathPoints(off, 0.02)) {
        const near = pathNearest(curved, p).distance
        // Mitred corners lie farther out than the offset itself.
        expect(near).toBeGreaterThan(Math.abs(d) - 0.01)
        if (d < 0) expect(near).toBeLessThan(Math.abs(d) + 0.01)
      }
    },
  )
  test('agrees with an independent library on random convex panels, within its own rounding', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(fc.double({ min: 0, max: 1, noNaN: true }), fc.double({ min: 40, max: 60, noNaN: true })),
          { minLength: 5, maxLength: 9 },
        ),
        fc.double({ min: 1, max: 8, noNaN: true }),
        (spokes, d) => {
          const angles = spokes.map(([a], i) => ((i + a * 0.6) / spokes.length) * 2 * Math.PI)
          const shape = polygon(
            spokes.map(([, r], i) => point(r * Math.cos(angles[i]!), r * Math.sin(angles[i]!))),
          )
          const ours = offsetClosed(shape, -d).reduce((sum, p) => sum + Math.abs(pathArea(p)), 0)
          const theirs = inflatePathsD(
            [pathPoints(shape).map((p) => ({ ...p }))],
            -d,
            JoinType.Miter,
            EndType.Polygon,
            20,
            3,
          )
          expect(Math.abs(ours - regionArea(theirs))).toBeLessThan(0.5)
        },
      ),
      seeded,
    ))
  test('an open line moves to its right', () => {
    const right = offsetOpenMaybe(polyline([point(0, 0), point(50, 0), point(50, 40)]), 3)!
    expect(pathPoints(right).map((p) => [p.x, p.y])).toEqual([
      [0, 3],
      [47, 3],
      [47, 40],
    ])
    const left = offsetOpenMaybe(pathReversed(polyline([point(0, 0), point(50, 0), point(50, 40)])), -3)!
    expect(pathLength(left)).toBeCloseTo(47 + 37, 9)
  })
})

describe('overlay', () => {
  test('two squares a pencil’s width apart', () => {
    const laid = overlay(square(100), pathMoved(square(100), shift(0.4, 0)))
    expect(laid.distance).toBeCloseTo(0.4, 9)
  })
  test('finds the bump and where it is', () => {
    const bumped = polygon([point(0, 0), point(50, -2.5), point(100, 0), point(100, 100), point(0, 100)])
    const laid = overlay(bumped, square(100))
    expect(laid.distance).toBeCloseTo(2.5, 6)
    expect(laid.on.x).toBeCloseTo(50, 6)
  })
  test('what both cover and what only one does add up', () => {
    const { both, onlyFirst, onlySecond } = overlayRegions(square(100), pathMoved(square(100), shift(10, 20)))
    expect(regionArea(both)).toBeCloseTo(90 * 80, 3)
    expect(regionArea(onlyFirst) + regionArea(both)).toBeCloseTo(10_000, 3)
    expect(regionArea(onlySecond)).toBeCloseTo(regionArea(onlyFirst), 3)
  })
})

describe('outlines', () => {
  test('a rounding with no room is refused in words', () =>
    expect(() =>
      roundedPolygon([
        { x: 0, y: 0, radius: 8 },
        { x: 10, y: 0, radius: 8 },
        { x: 10, y: 40 },
        { x: 0, y: 40 },
      ]),
    ).toThrow(/corners 1 and 2 need 6\.0 mm more/))
  test('a bow tie crosses itself where its diagonals meet', () => {
    expect(pathCrossesItself(polygon([point(0, 0), point(10, 10), point(10, 0), point(0, 10)]))).toEqual({
      x: 5,
      y: 5,
    })
    expect(pathCrossesItself(curved)).toBeUndefined()
  })
})
