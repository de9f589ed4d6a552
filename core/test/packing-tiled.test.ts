import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { type Point, regionArea, regionBoth, regionGrown } from '@drumlin/core/geometry'
import { type StripAsked, packStrip } from '@drumlin/core/packing'
import { rounds } from './support/rounds.js'

const QUARTERS = [0, 1, 2, 3].map((k) => (k * Math.PI) / 2)
const hundredth = (v: number): number => Math.round(v * 100) / 100

/** One of two parts of a convex outline, on one side of a line through it. */
function side(outline: readonly Point[], at: Point, angle: number, way: 1 | -1): Point[] {
  const off = (p: Point): number => way * ((p.x - at.x) * Math.sin(angle) - (p.y - at.y) * Math.cos(angle))
  return outline.flatMap((p, i) => {
    const q = outline[(i + 1) % outline.length]!
    const [a, b] = [off(p), off(q)]
    const meets =
      a * b < 0 ? [{ x: p.x + ((q.x - p.x) * a) / (a - b), y: p.y + ((q.y - p.y) * a) / (a - b) }] : []
    return [...(a >= 0 ? [p] : []), ...meets]
  })
}

interface Cut {
  readonly angle: number
  readonly along: number
  readonly turn: number
}

/** A sheet cut again and again: each time the largest part, across through near its middle. */
function parted(width: number, length: number, cuts: readonly Cut[]): Point[][] {
  let parts: Point[][] = [
    [
      { x: 0, y: 0 },
      { x: length, y: 0 },
      { x: length, y: width },
      { x: 0, y: width },
    ],
  ]
  for (const { angle, along } of cuts) {
    const largest = parts.reduce((a, b) => (regionArea([b]) > regionArea([a]) ? b : a))
    const middle = {
      x: largest.reduce((s, p) => s + p.x, 0) / largest.length,
      y: largest.reduce((s, p) => s + p.y, 0) / largest.length,
    }
    const at = { x: middle.x + along, y: middle.y }
    const two = [side(largest, at, angle, 1), side(largest, at, angle, -1)]
    if (two.some((p) => p.length < 3 || regionArea([p]) < 400)) continue
    parts = [...parts.filter((p) => p !== largest), ...two]
  }
  return parts
}

/** Each part turned by quarters, its corner near nothing, to a hundredth of a millimetre, as files have them. */
const written = (part: readonly Point[], turn: number): Point[] => {
  const [c, s] = [Math.cos((turn * Math.PI) / 2), Math.sin((turn * Math.PI) / 2)]
  const all = part.map(({ x, y }) => ({ x: x * c - y * s, y: x * s + y * c }))
  const [left, top] = [Math.min(...all.map((p) => p.x)), Math.min(...all.map((p) => p.y))]
  return all.map((p) => ({ x: hundredth(p.x - left), y: hundredth(p.y - top) }))
}

const cuts = fc.array(
  fc.record({
    angle: fc.double({ min: 0, max: Math.PI, noNaN: true }),
    along: fc.integer({ min: -30, max: 30 }),
    turn: fc.nat(3),
  }),
  { minLength: 4, maxLength: 22 },
)

describe('a sheet that was cut up', () => {
  test('is put together again: as long as it was, and nothing overlaps, counted by other means', () => {
    let found = 0
    const runs = 60
    fc.assert(
      fc.property(cuts, (all) => {
        const parts = parted(400, 600, all).map((p, i) => written(p, all[i % all.length]!.turn))
        const asked: StripAsked = {
          width: 400,
          gap: 0,
          shapes: parts.map((outline) => ({ outline, turns: QUARTERS })),
          things: parts.map((_, i) => i),
          seed: 1,
        }
        const { board, layout, length } = packStrip(asked, rounds(400))
        if (length < 601) found += 1
        const laid = parts.map((outline, i) => {
          const angle = board.angles[layout.turn[i]!]!
          const [c, s] = [Math.cos(angle), Math.sin(angle)]
          return outline.map(({ x, y }) => ({
            x: x * c - y * s + layout.x[i]!,
            y: x * s + y * c + layout.y[i]!,
          }))
        })
        laid.forEach((a, i) => {
          for (const p of a) {
            expect(p.x).toBeGreaterThan(-0.02)
            expect(p.y).toBeGreaterThan(-0.02)
            expect(p.y).toBeLessThan(400.02)
          }
          for (const b of laid.slice(i + 1))
            expect(regionArea(regionBoth(regionGrown([a], -0.02), regionGrown([b], -0.02)))).toBeLessThan(
              0.05,
            )
        })
      }),
      { numRuns: runs, seed: 11 },
    )
    expect(found).toBeGreaterThan(0.9 * runs)
  })
})
