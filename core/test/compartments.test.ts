import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { findingsOf, fixesOf } from '@drumlin/core/check'
import { derive, makeRoom, packingOf, smallestFor } from '@drumlin/core/derived'
import { applyEdit, setField } from '@drumlin/core/design'
import { figuresOf } from '@drumlin/core/overview'
import { smallestRoom } from '@drumlin/core/whole'
import { type Carried, packInto, sharedOut } from '../src/whole/index.js'
import { BARE, bagDesign, thingOf } from './support/bags.js'

const HUGE = { wide: 900, high: 900, deep: 900 }
const slab = (deep: number, count = 1): Carried => ({
  count,
  thing: { id: `slab-${deep}`, name: 'slab', wide: 200, high: 150, deep, grams: 10 * deep, upright: true },
})

describe('rows shared out to compartments', () => {
  test('by pencil: 30, 20, 20 and 10 into two come to 40 in each', () =>
    expect(sharedOut([30, 20, 20, 10], 2).max).toBe(40))
  test('one compartment takes them all', () =>
    expect(sharedOut([30, 20], 1)).toEqual({ into: [0, 0], max: 50 }))
  test('no sharing is better than the best found, and none deeper than it says', () =>
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 60 }), { minLength: 1, maxLength: 6 }),
        fc.integer({ min: 1, max: 3 }),
        (depths, count) => {
          const { into, max } = sharedOut(depths, count)
          const sums = Array.from({ length: count }, (_, k) =>
            depths.reduce((sum, d, i) => (into[i] === k ? sum + d : sum), 0),
          )
          expect(Math.max(...sums)).toBe(max)
          // Every other way, one after the other.
          for (let code = 0; code < count ** depths.length; code += 1) {
            const other = Array.from({ length: count }, () => 0)
            depths.forEach((d, i) => (other[Math.floor(code / count ** i) % count]! += d))
            expect(Math.max(...other)).toBeGreaterThanOrEqual(max)
          }
        },
      ),
      { seed: 5, numRuns: 60 },
    ))
})

describe('many things', () => {
  /** Steps are counted by the clock of the test alone: what took minutes takes a blink, or the test runs out of time. */
  const many = (count: number) =>
    Array.from({ length: count }, (_, i): Carried => ({
      count: 1,
      thing: {
        id: `thing-${i}`,
        name: `thing ${i}`,
        wide: 60 + ((i * 37) % 90),
        high: 50 + ((i * 53) % 110),
        deep: 5 + ((i * 7.3) % 19),
        grams: 100,
        upright: false,
      },
    }))
  test('of twenty-four rows none is left out, and the fullest is near what can’t be beaten', () =>
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 1, max: 60, noNaN: true }), { minLength: 9, maxLength: 24 }),
        fc.integer({ min: 2, max: 4 }),
        (depths, count) => {
          const { into, max } = sharedOut(depths, count)
          const full = Array.from({ length: count }, () => 0)
          depths.forEach((d, i) => (full[into[i]!]! += d))
          expect(Math.max(...full)).toBeCloseTo(max, 9)
          const min = Math.max(...depths, depths.reduce((sum, d) => sum + d, 0) / count)
          expect(max).toBeLessThanOrEqual(min * (4 / 3) + 1e-9)
        },
      ),
      { seed: 71, numRuns: 60 },
    ))
  test('twenty in a briefcase with a divider are packed, found and made room for', () => {
    const contents = many(20)
    const bag = bagDesign('briefcase', { divider: 'one' })
    const design = { ...bag, contents }
    const derived = derive(design)
    expect(packingOf(derived)!.packed).toHaveLength(20)
    expect(findingsOf(derived).map((f) => f.code)).toContain('contents-fit')
    expect(smallestRoom(contents, 6, HUGE, { count: 1, thickness: 2 })).toBeDefined()
  })
  test('of many no packing is lower for its width than the best', () => {
    const things = many(9)
    const room = smallestRoom(things, 0, HUGE)!
    const deep = things.reduce((sum, { thing }) => sum + thing.deep, 0)
    let best = Infinity
    for (let code = 0; code < 2 ** 9; code += 1) {
      const turned = things.map(({ thing }, i) =>
        Math.floor(code / 2 ** i) % 2 === 0 ? thing : { wide: thing.high, high: thing.wide },
      )
      best = Math.min(
        best,
        Math.max(...turned.map((t) => t.wide)) * Math.max(...turned.map((t) => t.high)) * deep,
      )
    }
    expect(room.wide * room.high * room.deep).toBeCloseTo(best, 3)
  })
})

describe('a room parted by a divider', () => {
  const wall = { count: 1, thickness: 2 }
  test('takes as much on either side as its deeper half needs', () => {
    // 40 and 30 thick with 6 mm of room: 46 on either side of a wall of 2 mm.
    expect(smallestRoom([slab(40), slab(30)], 6, HUGE, wall)).toEqual({ wide: 206, high: 156, deep: 94 })
    expect(smallestRoom([slab(40), slab(30)], 6, HUGE)).toEqual({ wide: 206, high: 156, deep: 76 })
  })
  test('several of one thing are shared out', () =>
    expect(smallestRoom([slab(10, 4)], 0, HUGE, wall)!.deep).toBe(2 * 20 + 2))
  test('what is thicker than a compartment does not fit, though the whole is deep enough', () => {
    const room = { wide: 260, high: 220, deep: 80 }
    expect(packInto([slab(50)], room, 4).fits).toBe(true)
    expect(packInto([slab(50)], room, 4, wall).fits).toBe(false)
    expect(packInto([slab(35)], room, 4, wall).fits).toBe(true)
  })
  test('nothing stands in the wall, and the heavier side lies at the back', () => {
    const { packed, walls } = packInto([slab(20), slab(30)], { wide: 260, high: 220, deep: 90 }, 4, wall)
    const [{ z, deep }] = walls as [(typeof walls)[number]]
    expect([z, deep]).toEqual([44, 2])
    for (const p of packed) expect(p.z + p.deep <= z || p.z >= z + deep).toBe(true)
    expect(packed.toSorted((a, b) => a.z - b.z)[0]!.thing.id).toBe('slab-30')
  })
})

describe('a bag with a divider', () => {
  const design = bagDesign('flap-bag', {
    ...BARE,
    body: 'wrap',
    flap: 'one',
    divider: 'one',
    ease: 6,
    deep: 60,
  })
  const edited = applyEdit(
    design,
    setField('put in', ['contents'], [{ thing: thingOf('spectacles'), count: 1 }]),
  )
  if (!edited.ok) throw new Error(edited.why)
  test('has no room for a case of spectacles in half of 60 mm; without it it has', () => {
    expect(packingOf(derive(edited.design))!.fits).toBe(false)
    const bag = derive(edited.design)
    const found = findingsOf(bag).find((f) => f.key === 'contents-fit:deep')!
    expect(fixesOf(found, bag).map((f) => f.label)).toContain('Leave the divider out')
    const without = applyEdit(edited.design, setField('no divider', ['params', 'divider'], 'none'))
    expect(without.ok && packingOf(derive(without.design))!.fits).toBe(true)
  })
  test('says what it carries where its figures stand beside another’s', () =>
    expect(figuresOf(derive(edited.design)).carries).toEqual(['spectacles in their case']))
  test('the smallest that takes it has a compartment that does', () => {
    const bag = derive(edited.design)
    const made = applyEdit(edited.design, makeRoom(bag, smallestFor(bag)!))
    expect(made.ok).toBe(true)
    if (!made.ok) return
    const packing = packingOf(derive(made.design))!
    expect(packing.fits).toBe(true)
    // 45 mm of case and 6 of room on either side of the divider.
    const { deep } = derive(made.design).master.room!
    expect(deep.value).toBeGreaterThan(2 * 51)
    expect(deep.value).toBeLessThan(2 * 51 + 4)
  })
})
