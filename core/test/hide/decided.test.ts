import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { cutWay, judgeOf, layOut } from '@drumlin/core/hide'
import { askedOf, demandOf, hideOf, outlineOf, rectangle, wantedFrom } from '../support/hides.js'

describe('what the maker decides stays', () => {
  const wanted = wantedFrom([demandOf(rectangle(120, 80), { count: 8 })])
  test('locked pieces stay where they lie, and the rest is laid round them', () => {
    const at = { id: 'job/piece#3', hide: 'hide', turn: 0, x: 400, y: 200 }
    const laid = layOut(askedOf({ wanted, lying: [at], locked: [at.id] }), 60)
    expect(laid.lying.find((l) => l.id === at.id)).toEqual(at)
    expect(laid.left).toEqual([])
    expect(judgeOf(askedOf({ wanted, lying: laid.lying })).all()).toEqual([])
  })
  test('what is put aside is not laid and not missed', () => {
    const laid = layOut(askedOf({ wanted, aside: ['job/piece#1'] }), 20)
    expect(laid.lying).toHaveLength(7)
    expect(laid.left).toEqual([])
  })
  test('what is larger than the hide is told, and the others are laid', () => {
    const large = wantedFrom([
      demandOf(rectangle(1200, 300), { key: 'large' }),
      demandOf(rectangle(100, 80), { key: 'b', count: 3 }),
    ])
    const laid = layOut(askedOf({ wanted: large }), 60)
    expect(laid.left).toEqual(['job/large#1'])
    expect(laid.lying).toHaveLength(3)
  })
  test('flaws that cover everything leave nothing to lay on, and nothing hangs', () => {
    const hide = hideOf({
      flaws: [{ sort: 'hole', shape: { type: 'outline', outline: rectangle(1000, 500) } }],
    })
    const laid = layOut(askedOf({ hides: [hide], wanted }), 40)
    expect(laid.lying).toEqual([])
    expect(laid.left).toHaveLength(8)
  })
  test('without hides everything waits', () =>
    expect(layOut(askedOf({ hides: [], wanted }), 10).left).toHaveLength(8))
  test('straps lie along the straight edge, the longest nearest to it', () => {
    const strap = (key: string, long: number) =>
      demandOf(rectangle(long, 30), { key, lies: 'along', bears: true, strap: { long, wide: 30 } })
    const hide = hideOf({ backbone: 0 })
    const all = wantedFrom([
      strap('short', 400),
      strap('long', 800),
      demandOf(rectangle(200, 150), { key: 'c', count: 2 }),
    ])
    const laid = layOut(askedOf({ hides: [hide], wanted: all }), 80)
    const depth = (id: string) =>
      Math.max(
        ...outlineOf(
          all,
          laid.lying.find((l) => l.id === id)!,
        ).map((p) => p.y),
      )
    expect(depth('job/long#1')).toBeLessThan(40)
    expect(depth('job/short#1')).toBeLessThan(80)
  })
  test('whatever else is cut, a longer strap lies no farther from the straight edge than a shorter one', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 30, max: 90 }), { minLength: 2, maxLength: 4 }),
        fc.integer({ min: 0, max: 6 }),
        (lengths, others) => {
          const straps = lengths.map((l) =>
            demandOf(rectangle(10 * l, 30), {
              key: `s${l}`,
              lies: 'along',
              bears: true,
              strap: { long: 10 * l, wide: 30 },
            }),
          )
          const rest = others > 0 ? [demandOf(rectangle(150, 90), { key: 'c', count: others })] : []
          const all = wantedFrom([...straps, ...rest])
          const laid = layOut(askedOf({ hides: [hideOf({ backbone: 0 })], wanted: all }), 60)
          expect(laid.left).toEqual([])
          const off = lengths
            .toSorted((a, b) => b - a)
            .map((l) => {
              const one = laid.lying.find((x) => x.id === `job/s${l}#1`)!
              return Math.min(...outlineOf(all, one).map((p) => p.y))
            })
          // Each lies below no more than the longer ones, with 3 mm for the knife.
          off.forEach((y, i) => expect(y).toBeLessThan(33 * i + 5))
        },
      ),
      { numRuns: 40, seed: 5 },
    )
  })
  test('turned over, a piece is mirrored', () =>
    expect(cutWay([{ x: 3, y: 4 }], true)).toEqual([{ x: -3, y: 4 }]))
})
