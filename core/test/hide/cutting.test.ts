import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { regionArea } from '@drumlin/core/geometry'
import {
  type Lying,
  cuttingOrder,
  figuresOf,
  hideArea,
  howMany,
  layOut,
  leastHide,
  leftovers,
  outlinesOn,
  withStrapJoined,
} from '@drumlin/core/hide'
import { demandOf, demands, hideOf, hides, rectangle, wantedFrom } from '../support/hides.js'
import { many } from '../support/long.js'

const GROUND = { gap: 3, anyAngle: false, seed: 1 } as const
const at = (id: string, x: number, y: number): Lying => ({ id: `job/${id}`, hide: 'hide', turn: 0, x, y })

describe('what is cut from a hide, in figures', () => {
  const wanted = wantedFrom([demandOf(rectangle(400, 300), { count: 2 })])
  const one = [at('piece#1', 0, 0)]
  test('a sheet of 1000 × 500 with one piece of 400 × 300 in its corner, by hand', () => {
    const figures = figuresOf(hideOf(), one, wanted, 0)
    expect(figures.area).toBe(500_000)
    expect(figures.pieces).toBe(120_000)
    expect(figures.kept).toBeCloseTo(380_000, 0)
    expect(figures.waste).toBeCloseTo(0, 6)
    // Beside it 600 × 500 is left, and a strip of the whole length under it.
    const size = (e: { left: number; right: number; top: number; bottom: number } | undefined) =>
      e && [e.right - e.left, e.bottom - e.top]
    expect(size(figures.rectangle)).toEqual([600, 500])
    expect(size(figures.strip)![0]).toBe(1000)
    expect(figures.cost).toBeCloseTo(100 * (120_000 / 500_000), 6)
  })
  test('two alike share the price of what is used up in two', () => {
    const { shares, cost } = figuresOf(hideOf(), [...one, at('piece#2', 500, 0)], wanted, 3)
    expect(shares['job/piece#1']).toBeCloseTo(cost / 2, 9)
    expect(shares['job/piece#2']).toBeCloseTo(cost / 2, 9)
  })
  test('the rectangle and the strip that are told are free, and no larger ones are, counted cell by cell', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ x: fc.integer({ min: 0, max: 11 }), y: fc.integer({ min: 0, max: 7 }) }), {
          maxLength: 8,
        }),
        (places) => {
          // Pieces of 20 × 20 on a board of 12 × 8 such squares, as the cells fall.
          const all = wantedFrom([demandOf(rectangle(20, 20), { count: Math.max(1, places.length) })])
          const lying = places.map((p, i) => at(`piece#${i + 1}`, p.x * 20, p.y * 20))
          const hide = hideOf({ outline: rectangle(240, 160) })
          const { rectangle: best } = figuresOf(hide, lying, all, 0)
          const taken = (x: number, y: number) => places.some((p) => p.x === x && p.y === y)
          let most = 0
          for (let l = 0; l < 12; l += 1)
            for (let t = 0; t < 8; t += 1)
              for (let r = l + 1; r <= 12; r += 1)
                for (let b = t + 1; b <= 8; b += 1) {
                  let free = true
                  for (let x = l; x < r && free; x += 1)
                    for (let y = t; y < b; y += 1) if (taken(x, y)) free = false
                  if (free) most = Math.max(most, (r - l) * (b - t) * 400)
                }
          expect(best && (best.right - best.left) * (best.bottom - best.top)).toBe(most)
        },
      ),
      { numRuns: many(25, 60) },
    )
  })
  test('pieces, what is kept and what is wasted make up the hide; what is kept lies clear of every piece', () => {
    fc.assert(
      fc.property(hides, demands, (hide, asks) => {
        const all = wantedFrom(asks)
        const { lying } = layOut(
          { ...GROUND, hides: [hide], wanted: all, lying: [], locked: [], aside: [] },
          4,
        )
        if (lying.length === 0) return
        const cut = outlinesOn(hide, lying, all)
        const left = leftovers(hide, cut, 3)
        const sum = left.reduce((a, h) => a + hideArea(h), 0)
        const pieces = cut.reduce((a, o) => a + regionArea([o]), 0)
        const holes = left
          .flatMap((h) => h.flaws)
          .filter((f) => f.sort === 'hole' && f.shape.type === 'outline')
          .reduce((a, f) => a + (f.shape.type === 'outline' ? regionArea([f.shape.outline]) : 0), 0)
        expect(sum - holes).toBeLessThanOrEqual(hideArea(hide) - pieces + 1)
        for (const h of left) expect(h.of).toBe(hide.of)
        expect(new Set(left.map((h) => h.id)).size).toBe(left.length)
      }),
      { numRuns: many(25, 60), seed: 3 },
    )
  })
  test('a piece out of the middle leaves a hide with a hole in it', () => {
    const [left, ...more] = leftovers(hideOf(), [rectangle(200, 100, 400, 200)], 5)
    expect(more).toEqual([])
    expect(left!.flaws).toHaveLength(1)
    const [{ shape }] = left!.flaws as [(typeof left & object)['flaws'][number]]
    // The piece and 5 mm round it, the corners round.
    expect(shape.type === 'outline' && regionArea([shape.outline])).toBeCloseTo(
      210 * 110 - (4 - Math.PI) * 25,
      -1,
    )
  })
})

describe('order of cutting', () => {
  test('straps by length, what shows by size, the rest, small things last', () => {
    const all = wantedFrom([
      demandOf(rectangle(30, 30), { key: 'tab' }),
      demandOf(rectangle(200, 200), { key: 'pocket', shows: false }),
      demandOf(rectangle(300, 200), { key: 'front' }),
      demandOf(rectangle(500, 20), { key: 'short', strap: { long: 500, wide: 20 } }),
      demandOf(rectangle(900, 20), { key: 'long', strap: { long: 900, wide: 20 } }),
    ])
    const order = cuttingOrder(
      all.map((w) => ({ id: w.id, hide: 'hide', turn: 0, x: 0, y: 0 })),
      all,
    )
    expect(order.map((s) => [s.id.replace(/^job\/|#1$/g, ''), s.why])).toEqual([
      ['long', 'strap'],
      ['short', 'strap'],
      ['front', 'large'],
      ['pocket', 'rest'],
      ['tab', 'small'],
    ])
  })
})

describe('questions before one buys or cuts', () => {
  const square = [demandOf(rectangle(240, 240))]
  test('eight squares of 240 come out of 1000 × 500 with 3 mm between them: 4 × 2', () =>
    expect(howMany([hideOf()], square, GROUND)).toBe(8))
  test('of a hide smaller than one, none', () =>
    expect(howMany([hideOf({ outline: rectangle(200, 200) })], square, GROUND)).toBe(0))
  test('to buy: what is told is enough, and a tenth less is not', () => {
    const asked = [
      demandOf(rectangle(400, 300), { key: 'a', count: 2 }),
      demandOf(rectangle(300, 100), { key: 'b', count: 2 }),
    ]
    const { area } = leastHide('bend', asked, 1, GROUND)
    expect(area).toBeGreaterThan(30)
    expect(area).toBeLessThan(70)
    expect(leastHide('bend', asked, 3, GROUND).area!).toBeGreaterThan(area!)
  })
  test('what no usual part is large enough for', () =>
    expect(leastHide('belly', [demandOf(rectangle(900, 900))], 1, GROUND).area).toBeUndefined())
  test('a strap joined of two: half of it and the lap each', () => {
    const strap = demandOf(rectangle(1400, 30), { lies: 'along', strap: { long: 1400, wide: 30 } })
    const [joined] = withStrapJoined([strap])!
    expect(joined).toMatchObject({ count: 2, strap: { long: 725, wide: 30 } })
    expect(howMany([hideOf()], [strap], GROUND)).toBe(0)
    expect(howMany([hideOf()], [joined!], GROUND)).toBeGreaterThan(0)
  })
})
