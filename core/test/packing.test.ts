import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { type StripLaid, packStrip } from '@drumlin/core/packing'
import {
  overlayRegions,
  pathArea,
  pathBox,
  point,
  polygon,
  regionArea,
  type Point,
} from '../src/geometry/index.js'
import { Board, depthIn } from '../src/packing/board.js'
import { convexParts } from '../src/packing/convex.js'
import { randomFrom } from '../src/packing/random.js'
import { rounds } from './support/rounds.js'

const RIGHT = Math.PI / 2
const QUARTERS = [0, RIGHT, 2 * RIGHT, 3 * RIGHT]
const rectangle = (wide: number, high: number): Point[] => [
  point(0, 0),
  point(wide, 0),
  point(wide, high),
  point(0, high),
]
const area = (outline: readonly Point[]): number => Math.abs(pathArea(polygon([...outline])))

/** A shape round a middle, hollow in places: its corners lie at even angles, each as far out as it likes. */
const stars = fc
  .array(fc.double({ min: 8, max: 40, noNaN: true }), { minLength: 3, maxLength: 12 })
  .map((reaches) =>
    reaches.map((r, i) => {
      const angle = (2 * Math.PI * i) / reaches.length
      return point(50 + r * Math.cos(angle), 50 + r * Math.sin(angle))
    }),
  )
const turned = (outline: readonly Point[], angle: number, x: number, y: number): Point[] =>
  outline.map((p) =>
    point(
      p.x * Math.cos(angle) - p.y * Math.sin(angle) + x,
      p.x * Math.sin(angle) + p.y * Math.cos(angle) + y,
    ),
  )
const shared = (a: readonly Point[], b: readonly Point[]): number =>
  regionArea(overlayRegions(polygon([...a]), polygon([...b])).both)

const laidOutlines = (asked: Parameters<typeof packStrip>[0], { board, layout }: StripLaid): Point[][] =>
  asked.things.map((shape, i) =>
    turned(asked.shapes[shape]!.outline, board.angles[layout.turn[i]!]!, layout.x[i]!, layout.y[i]!),
  )

describe('convex parts', () => {
  test('cover a shape, add next to nothing, and are convex', () =>
    fc.assert(
      fc.property(stars, (outline) => {
        const parts = convexParts(outline)
        const sum = parts.reduce((all, p) => all + area(p), 0)
        expect(sum).toBeGreaterThan(area(outline) * 0.995)
        // A bay of up to a quarter of a millimetre is filled.
        expect(sum).toBeLessThan(area(outline) + 0.25 * 300)
        for (const part of parts)
          part.forEach((p, i) => {
            const [q, r] = [part[(i + 1) % part.length]!, part[(i + 2) % part.length]!]
            expect((q.x - p.x) * (r.y - q.y) - (q.y - p.y) * (r.x - q.x)).toBeGreaterThan(-1e-6)
          })
      }),
      { seed: 31, numRuns: 300 },
    ))
  test('an L is two, a square is itself', () => {
    expect(convexParts(rectangle(10, 10))).toHaveLength(1)
    expect(
      convexParts([point(0, 0), point(20, 0), point(20, 8), point(8, 8), point(8, 20), point(0, 20)]),
    ).toHaveLength(2)
  })
})

describe('how shapes meet', () => {
  test('squares of 10 side by side: as deep as they lie in each other, nothing where they touch', () => {
    const board = new Board([{ outline: rectangle(10, 10), turns: [0] }], 0)
    const pair = board.pair(0, 0, 0, 0)
    expect(depthIn(pair, 7, 1)).toBeCloseTo(3, 9)
    expect(depthIn(pair, 10, 3)).toBe(0)
    const knife = new Board([{ outline: rectangle(10, 10), turns: [0] }], 2)
    expect(depthIn(knife.pair(0, 0, 0, 0), 11, 0)).toBeCloseTo(1, 9)
    expect(depthIn(knife.pair(0, 0, 0, 0), 12, 0)).toBe(0)
    // Corner to corner the knife needs 2 mm too, not 2 each way.
    expect(depthIn(knife.pair(0, 0, 0, 0), 11.6, 11.6)).toBe(0)
  })
  test('is told as it is cut: apart where nothing is shared, not where something is', () =>
    fc.assert(
      fc.property(
        stars,
        stars,
        fc.constantFrom(...QUARTERS),
        fc.constantFrom(...QUARTERS),
        fc.double({ min: -70, max: 70, noNaN: true }),
        fc.double({ min: -70, max: 70, noNaN: true }),
        (a, b, ta, tb, x, y) => {
          const board = new Board(
            [
              { outline: a, turns: QUARTERS },
              { outline: b, turns: QUARTERS },
            ],
            0,
          )
          const turn = (angle: number): number => board.angles.findIndex((t) => Math.abs(t - angle) < 1e-9)
          // In coordinates of the first before it is turned.
          const [c, s] = [Math.cos(ta), Math.sin(ta)]
          const depth = depthIn(board.pair(0, turn(ta), 1, turn(tb)), x * c + y * s, y * c - x * s)
          const both = shared(turned(a, ta, 0, 0), turned(b, tb, x, y))
          if (depth === 0) expect(both).toBeLessThan(0.6)
          // A filled bay may be met where the shapes themselves are apart, no deeper than it was.
          if (both === 0) expect(depth).toBeLessThan(3)
          if (both > 5) expect(depth).toBeGreaterThan(0)
        },
      ),
      { seed: 7, numRuns: 400 },
    ))
})

describe('a strip', () => {
  test('nothing is over another or over the edge, each at a turn it may take, in any random load', () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(stars, fc.integer({ min: 1, max: 3 })), { minLength: 1, maxLength: 6 }),
        fc.constantFrom(0, 2),
        fc.integer({ min: 0, max: 1e6 }),
        (kinds, gap, seed) => {
          const asked = {
            width: 130,
            gap,
            seed,
            shapes: kinds.map(([outline], i) => ({ outline, turns: i % 2 ? QUARTERS : [0, 2 * RIGHT] })),
            things: kinds.flatMap(([, count], i) => new Array<number>(count).fill(i)),
          }
          const laid = packStrip(asked, rounds(12))
          const outlines = laidOutlines(asked, laid)
          outlines.forEach((a, i) => {
            const box = pathBox(polygon(a))
            expect(Math.min(box.left, box.top)).toBeGreaterThan(-1e-6)
            expect(box.bottom).toBeLessThan(130 + 1e-6)
            expect(box.right).toBeLessThan(laid.length + 1e-6)
            expect(laid.board.turnsOf[asked.things[i]!]).toContain(laid.layout.turn[i])
            for (const b of outlines.slice(i + 1)) expect(shared(a, b)).toBeLessThan(0.6)
          })
        },
      ),
      { seed: 5, numRuns: 60 },
    ))
  test('a strap that lies only along is never laid shorter than it is, and no layout is told that is longer', () => {
    const shapes = [
      { outline: rectangle(300, 30), turns: [0] },
      { outline: rectangle(40, 40), turns: QUARTERS },
    ]
    const asked = { width: 80, gap: 0, seed: 2, shapes, things: [0, 1, 1, 1, 1] }
    const lengths: number[] = []
    const laid = packStrip(asked, rounds(60), (better) => lengths.push(better.length))
    expect(laid.length).toBeCloseTo(300, 6)
    expect(lengths).toEqual(lengths.toSorted((a, b) => b - a))
  })
  test('the same seed and rounds come to the same, another seed to something else', () => {
    const asked = (seed: number) => ({
      width: 100,
      gap: 0,
      seed,
      shapes: [17, 23, 31, 38].map((w) => ({ outline: rectangle(w, 60 - w), turns: QUARTERS })),
      things: [0, 0, 1, 1, 2, 2, 3, 3],
    })
    const [one, again, other] = [
      packStrip(asked(4), rounds(80)),
      packStrip(asked(4), rounds(80)),
      packStrip(asked(5), rounds(80)),
    ]
    expect([...again.layout.x]).toEqual([...one.layout.x])
    expect([...again.layout.y]).toEqual([...one.layout.y])
    expect([...other.layout.x]).not.toEqual([...one.layout.x])
  })
  test('a first layout stands at once, and more work never makes it longer', () => {
    const shapes = Array.from({ length: 9 }, (_, i) => ({
      outline: rectangle(20 + 3 * i, 45 - 2 * i),
      turns: QUARTERS,
    }))
    const asked = { width: 120, gap: 2, seed: 1, shapes, things: shapes.map((_, i) => i) }
    const lengths: number[] = []
    const laid = packStrip(asked, rounds(150), (better) => lengths.push(better.length))
    expect(lengths.length).toBeGreaterThan(1)
    expect(lengths).toEqual(lengths.toSorted((a, b) => b - a))
    expect(laid.length).toBe(lengths.at(-1))
    expect(packStrip(asked, () => 1).length).toBe(lengths[0])
    // What was had by shelves alone leaves a quarter empty; this much any maker finds by hand.
    const used = shapes.reduce((sum, s) => sum + area(s.outline), 0) / (120 * laid.length)
    expect(used).toBeGreaterThan(0.75)
  })
})

test('random numbers follow from their seed and are even', () => {
  const random = randomFrom(9)
  const all = Array.from({ length: 20_000 }, random)
  expect(all.slice(0, 5)).toEqual(Array.from({ length: 5 }, randomFrom(9)))
  for (let k = 0; k < 10; k += 1)
    expect(all.filter((v) => Math.floor(v * 10) === k).length).toBeGreaterThan(1800)
})
