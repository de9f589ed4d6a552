import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { circlePoint, openPath, arc, line, point, pointDistance, polyline } from '../src/geometry/index.js'
import { holePlaces } from '../src/stitch/index.js'
import { equalisedStitches, saddleStitchThread } from '../src/formulas/index.js'
import { demoWith } from './support/designs.js'

const gaps = (holes: readonly { at: { x: number; y: number } }[]): number[] =>
  holes.slice(1).map((h, i) => pointDistance(h.at, holes[i]!.at))
/** Down a side, round a corner of `radius`, along a foot. */
const ell = (side: number, radius: number, foot: number) =>
  openPath([
    line(point(0, 0), point(0, side)),
    arc(point(0, side), point(radius, side + radius), point(radius, side), -Math.PI / 2),
    line(point(radius, side + radius), point(radius + foot, side + radius)),
  ])

describe('stitches on a side', () => {
  test('187.3 mm at 3.85 takes 49, each 3.822', () => {
    expect(equalisedStitches(187.3, 3.85)).toBe(49)
    expect(187.3 / 49).toBeCloseTo(3.822449, 6)
  })
  test('is the count whose pitch comes nearest, against trying all of them', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 600, noNaN: true }),
        fc.double({ min: 2, max: 6, noNaN: true }),
        (length, pitch) => {
          const best = Array.from({ length: 400 }, (_, i) => i + 1).reduce((a, b) =>
            Math.abs(length / b - pitch) < Math.abs(length / a - pitch) ? b : a,
          )
          expect(Math.abs(length / equalisedStitches(length, pitch) - pitch)).toBeCloseTo(
            Math.abs(length / best - pitch),
            9,
          )
        },
      ),
      { seed: 3, numRuns: 500 },
    ))
})

describe('holes along a run', () => {
  test('a straight 100 mm at 4 mm: 26 holes, first and last on the ends', () => {
    const { holes } = holePlaces(polyline([point(0, 0), point(100, 0)]), { pitch: 4, corners: 'hole' })
    expect(holes).toHaveLength(26)
    expect([holes[0]!.at, holes.at(-1)!.at]).toEqual([point(0, 0), point(100, 0)])
  })
  test('a sharp corner gets a hole, or is straddled evenly', () => {
    const corner = polyline([point(0, 0), point(60, 0), point(60, 40)])
    const on = holePlaces(corner, { pitch: 4, corners: 'hole' })
    expect(on.holes.filter((h) => pointDistance(h.at, point(60, 0)) < 1e-9)).toHaveLength(1)
    const beside = holePlaces(corner, { pitch: 4, corners: 'straddled' })
      .holes.map((h) => Math.abs(h.distance - 60))
      .sort((a, b) => a - b)
    expect(beside[0]).toBeGreaterThan(1.8)
    expect(beside[1]! - beside[0]!).toBeLessThan(0.15)
  })
  test('round a curve neighbours are one pitch apart in a straight line, as dividers step', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 120, noNaN: true }),
        fc.double({ min: 3, max: 40, noNaN: true }),
        fc.double({ min: 20, max: 160, noNaN: true }),
        fc.double({ min: 2.5, max: 4.5, noNaN: true }),
        (side, radius, foot, pitch) => {
          const { holes, sides } = holePlaces(ell(side, radius, foot), { pitch, corners: 'hole' })
          for (const gap of gaps(holes)) expect(gap).toBeCloseTo(sides[0]!.pitch, 5)
          expect(pointDistance(holes.at(-1)!.at, point(radius + foot, side + radius))).toBeLessThan(1e-4)
          expect(Math.abs(sides[0]!.pitch - pitch) / pitch).toBeLessThan(1.2 / (2 * (holes.length - 2)))
        },
      ),
      { seed: 5, numRuns: 80 },
    ))
  test('walked either way the holes are the same places', () => {
    const there = holePlaces(ell(50, 8, 70), { pitch: 3, corners: 'hole' }).holes
    const back = holePlaces(
      {
        segments: [...ell(50, 8, 70).segments]
          .reverse()
          .map((s) => (s.type === 'arc' ? arc(s.to, s.from, s.centre, -s.sweep) : line(s.to, s.from))),
        closed: false,
      },
      { pitch: 3, corners: 'hole' },
    ).holes
    expect(there).toHaveLength(back.length)
    there.forEach((h, i) => expect(pointDistance(h.at, back[back.length - 1 - i]!.at)).toBeLessThan(1e-4))
  })
  test('a run shorter than the pitch still has its two ends', () =>
    expect(
      holePlaces(polyline([point(0, 0), point(2, 0)]), { pitch: 4, corners: 'hole' }).holes,
    ).toHaveLength(2))
})

describe('thread', () => {
  test('agrees with the needle’s path walked stitch by stitch', () => {
    const run = demoWith({}).runs.find((r) => r.join.id === 'outer-left')!
    let walked = run.holes[0]!.stack
    run.holes.slice(1).forEach((h, i) => (walked += 2 * (pointDistance(h.at, run.holes[i]!.at) + h.stack)))
    const mean = run.holes.reduce((sum, h) => sum + h.stack, 0) / run.holes.length
    const pitch = run.sides[0]!.pitch
    expect(run.thread.value).toBeCloseTo((walked + 4 * 2 * (pitch + mean) + 2 * 150) * 1.06, 3)
  })
  test('two lengths take two tails more and start two stitches back', () => {
    const one = {
      stitches: 40,
      pitch: 3,
      stacks: Array.from({ length: 41 }, () => 4),
      backstitches: 0,
      ends: 2,
      tail: 150,
    }
    expect(saddleStitchThread({ ...one, ends: 4, backstitches: 2 }) - saddleStitchThread(one)).toBeCloseTo(
      2 * 150 + 2 * 2 * 7,
      9,
    )
  })
})

describe('steps of the outer seam', () => {
  const run = demoWith({}).runs.find((r) => r.join.id === 'outer-left')!
  test('the three pocket tops lie open; the edges under the laps do not', () => {
    const open = run.steps.filter((s) => s.open)
    expect(open.map((s) => s.name)).toEqual(['card pocket 1', 'card pocket 2', 'foot pocket'])
    expect(open[1]!.distance - open[0]!.distance).toBeCloseTo(12, 6)
  })
  test('no hole comes nearer to them than asked', () => {
    for (const step of run.steps.filter((s) => s.open))
      for (const hole of run.holes) expect(Math.abs(hole.distance - step.distance)).toBeGreaterThan(1)
  })
  test('slots are as long as the iron’s and slant by its angle', () => {
    const [hole] = demoWith({}).pieces[0]!.holes
    expect(hole!.length).toBe(1.7)
    const across = circlePoint(hole!.at, hole!.length / 2, hole!.angle)
    expect(Math.abs(across.x - hole!.at.x)).toBeCloseTo(0.85 * Math.SQRT1_2, 6)
  })
})
