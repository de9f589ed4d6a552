import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { findingsOf, fixesOf, sayFinding } from '@drumlin/core/check'
import { derive, packingOf } from '@drumlin/core/derived'
import { type Design, applyEdit, setField } from '@drumlin/core/design'
import { readDesign, writeDesign } from '@drumlin/core/exchange/json'
import { smallestRoom } from '@drumlin/core/whole'
import { type Box3, type Carried, packInto } from '../src/whole/index.js'
import { BARE, bagDesign, bagOf, findingOf, thingOf } from './support/bags.js'
import { demoText } from './support/designs.js'

const one = (id: string, count = 1): Carried => ({ thing: thingOf(id), count })
const box = (wide: number, high: number, deep: number, upright = false): Carried => ({
  count: 1,
  thing: { id: `${wide}x${high}x${deep}`, name: 'box', wide, high, deep, grams: 100, upright },
})
const HUGE: Box3 = { wide: 900, high: 900, deep: 900 }
const carrying = (design: Design, contents: readonly Carried[]): Design => {
  const edited = applyEdit(design, setField('put in', ['contents'], [...contents]))
  if (!edited.ok) throw new Error(`${edited.where}: ${edited.why}`)
  return edited.design
}

describe('the smallest room that takes things', () => {
  test('of one thing is the thing with room round it', () =>
    expect(smallestRoom([one('notebook-a5')], 6, HUGE)).toEqual({ wide: 154, high: 216, deep: 22 }))
  test('of several of one thing is one bundle as thick as all of them', () =>
    expect(smallestRoom([one('folder-a4', 3)], 10, HUGE)).toEqual({ wide: 230, high: 320, deep: 55 }))
  test('flat things of one size stand behind each other rather than side by side, where that is smaller', () =>
    expect(smallestRoom([box(200, 300, 10), box(200, 300, 20)], 0, HUGE)).toEqual({
      wide: 200,
      high: 300,
      deep: 30,
    }))
  test('small things of one depth stand side by side', () =>
    expect(
      smallestRoom([box(70, 200, 70, true), box(70, 200, 70, true), box(140, 200, 10)], 0, HUGE),
    ).toEqual({
      wide: 140,
      high: 200,
      deep: 80,
    }))
  test('a sheet is laid on its side where it is too tall, a bottle never', () => {
    expect(smallestRoom([box(200, 300, 10)], 0, { wide: 400, high: 250, deep: 90 })).toEqual({
      wide: 300,
      high: 200,
      deep: 10,
    })
    expect(smallestRoom([one('bottle')], 0, { wide: 400, high: 200, deep: 90 })).toBeUndefined()
  })
  test('nothing is large enough for what is too large', () =>
    expect(smallestRoom([box(500, 600, 10)], 0, { wide: 400, high: 400, deep: 400 })).toBeUndefined())
  test('of nothing there is none larger than nothing', () =>
    expect(smallestRoom([], 0, HUGE)).toEqual({ wide: 0, high: 0, deep: 0 }))

  const anyThings = fc.array(
    fc.record({
      wide: fc.integer({ min: 20, max: 300 }),
      high: fc.integer({ min: 20, max: 300 }),
      deep: fc.integer({ min: 2, max: 80 }),
      upright: fc.boolean(),
    }),
    { minLength: 1, maxLength: 5 },
  )
  test('everything fits into it, and nothing into less of any side of it as packed', () =>
    fc.assert(
      fc.property(anyThings, fc.integer({ min: 0, max: 20 }), (all, ease) => {
        const contents = all.map((t) => box(t.wide, t.high, t.deep, t.upright))
        const room = smallestRoom(contents, ease, { wide: 5000, high: 5000, deep: 5000 })!
        const packing = packInto(contents, room, ease)
        expect(packing.fits).toBe(true)
        for (const side of ['wide', 'high', 'deep'] as const) {
          expect(packing.needs[side]).toBeLessThanOrEqual(room[side] + 1e-6)
        }
        const volume = room.wide * room.high * room.deep
        const filled = contents.reduce((sum, { thing }) => sum + thing.wide * thing.high * thing.deep, 0)
        expect(volume).toBeGreaterThanOrEqual(filled - 1e-6)
      }),
      { seed: 7, numRuns: 60 },
    ))
  test('no two things stand in one place, and none sticks out', () =>
    fc.assert(
      fc.property(anyThings, (all) => {
        const contents = all.map((t) => box(t.wide, t.high, t.deep, t.upright))
        const room = smallestRoom(contents, 4, { wide: 5000, high: 5000, deep: 5000 })!
        const { packed } = packInto(contents, room, 4)
        packed.forEach((a, i) => {
          expect(a.x).toBeGreaterThanOrEqual(-1e-6)
          expect(a.x + a.wide).toBeLessThanOrEqual(room.wide + 1e-6)
          expect(a.z + a.deep).toBeLessThanOrEqual(room.deep + 1e-6)
          for (const b of packed.slice(i + 1)) {
            const apart =
              a.x + a.wide <= b.x + 1e-6 ||
              b.x + b.wide <= a.x + 1e-6 ||
              a.z + a.deep <= b.z + 1e-6 ||
              b.z + b.deep <= a.z + 1e-6
            expect(apart).toBe(true)
          }
        })
      }),
      { seed: 9, numRuns: 60 },
    ))
})

describe('put into a bag', () => {
  const tote = bagDesign('tote', {
    ...BARE,
    body: 'wrap',
    wide: 200,
    high: 250,
    deep: 100,
    ease: 6,
    handle: 'flat',
  })

  test('what fits is said to, with what it needs and what there is', () => {
    const packing = packingOf(derive(carrying(tote, [one('notebook-a5'), one('bottle')])))!
    expect(packing.fits).toBe(true)
    // Notebook behind the bottle: 16 + 70 deep, 148 wide, as high as the bottle; 6 of room with each.
    expect(packing.needs).toEqual({ wide: 154, high: 236, deep: 92 })
  })
  test('what does not is a stop for each side that is too small, and a larger bag is the way out', () => {
    const derived = derive(carrying(tote, [one('folder-a4')]))
    const found = findingsOf(derived).filter((f) => f.code === 'contents-fit')
    expect(found.length).toBeGreaterThan(0)
    for (const finding of found) {
      const [fix] = fixesOf(finding, derived)
      const edited = applyEdit(derived.design, fix!.edit)
      const after = edited.ok && findingsOf(derive(edited.design)).find((f) => f.key === finding.key)
      expect(after).toBeUndefined()
    }
  })
  test('what does not go through a mouth with a zip is found, though it fits inside', () => {
    const zipped = bagDesign('tote', {
      ...BARE,
      body: 'wrap',
      wide: 250,
      high: 260,
      deep: 60,
      ease: 0,
      closure: 'zip',
    })
    const derived = derive(carrying(zipped, [box(245, 180, 20)]))
    const found = findingOf(derived, 'contents-fit')!
    expect(sayFinding(found, 'mm').what).toMatch(/does not go through the mouth/)
  })
  test('a taper is as deep as its slimmer end lets a thing stand', () => {
    const tapered = bagOf('tote', { ...BARE, body: 'tapered', deep: 60, topDeep: 120 })
    expect(tapered.master.room!.deep.value).toBeCloseTo(60, 9)
    const folding = bagOf('portfolio', { ...BARE, body: 'folded', deep: 30 })
    expect(folding.master.room!.deep.value).toBeCloseTo(15, 9)
  })
  test('what it carries is kept in the design, and comes back from its file', () => {
    const design = carrying(tote, [one('bottle', 2)])
    const read = readDesign(writeDesign(design))
    expect(read.ok && read.design.contents).toEqual([{ thing: thingOf('bottle'), count: 2 }])
  })
  test('an older design carries nothing of the kind and has the hardware its kind asks for', () => {
    const text = JSON.parse(demoText('mates-case')) as Record<string, unknown>
    const { hardware: _, contents: __, ...older } = text
    const read = readDesign(JSON.stringify({ ...older, version: 5 }))
    if (!read.ok) throw new Error('not read')
    expect(read.design.contents).toEqual([])
    expect(read.design.hardware.snap!.sort).toBe('snap')
  })
})
