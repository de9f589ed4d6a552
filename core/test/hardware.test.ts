import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { findingsOf, sayFinding } from '@drumlin/core/check'
import { derive } from '@drumlin/core/derived'
import { alikeFittings } from '@drumlin/core/fittings'
import { applyEdit, setField } from '@drumlin/core/design'
import { type Hardware, STARTER_STORES, readStoresData, storesSchema, withGood } from '@drumlin/core/stores'
import { POSTED } from '../src/stores/index.js'
import { demoDesign, everyDesign, derivedOf } from './support/all.js'
import { BARE, bagDesign, bagOf, findingOf, hardwareOf, sizeOf, withLeather } from './support/bags.js'
import { freshOf, withValues } from './support/designs.js'

const STRAPS = 2.6
const [BODY, BAND] = [1.8, 1.8]
const riveted = {
  ...BARE,
  body: 'boxed',
  top: 'doubled',
  topBand: 60,
  handle: 'doubled',
  handleFix: 'riveted',
}

describe('hardware on the shelf', () => {
  test('what is set has posts to choose from, what is held has a bar', () => {
    for (const ware of STARTER_STORES.hardware) {
      if (POSTED.includes(ware.sort)) expect(ware.posts.length, ware.name).toBeGreaterThan(0)
      else expect(ware.bar, ware.name).toBeGreaterThan(0)
    }
  })
  test.each([
    ['posts out of order', { posts: [8, 6] }, /from the shortest to the longest/],
    ['nothing across', { across: 0 }, /across/],
    ['pressed to nothing', { pressed: 0.2 }, /pressed/],
    ['half a prong', { prongs: 1.5 }, /prongs/],
  ])('%s is refused, saying where', (_, change, where) => {
    const stores = withGood(STARTER_STORES, 'hardware', { ...hardwareOf('rivet-9'), ...change } as Hardware)
    const read = storesSchema.safeParse(stores)
    expect(read.success).toBe(false)
    const [issue] = read.error!.issues
    expect(`${issue!.path.join('.')}: ${issue!.message}`).toMatch(where)
  })
  test('stores that knew none are given common ones when they are read', () => {
    const { hardware: _, things: __, ...older } = STARTER_STORES
    const read = readStoresData({ ...older, version: 3 })
    expect(read.hardware).toEqual(STARTER_STORES.hardware)
    expect(read.things).toEqual(STARTER_STORES.things)
  })
})

describe('a post for what really lies there', () => {
  const bag = bagOf('tote', riveted)
  const set = bag.fittings.find((f) => f.fitting.id.startsWith('handle-front-rivet'))!

  test('the stack is body, both layers of the handle and the band', () =>
    expect(set.stack!.value).toBeCloseTo(BODY + 2 * STRAPS + BAND, 9))
  test('pressed to 0.92 of it and 2 to 3 mm more: 0.92 × 8.8 + 2 = 10.1 at least, so a post of 12', () => {
    expect(set.wanted!.value).toBeCloseTo(0.92 * (BODY + 2 * STRAPS + BAND) + 2, 9)
    expect(set.post).toBe(12)
  })
  test('what it is longer than 0.92 × 8.8 + 3 = 11.1 is made up by washers of 0.8', () =>
    expect(set.washers).toBe(2))
  test('the shortest that serves: 4 mm of leather take a post of 6, set low, and not one of 8', () => {
    const thin = withLeather(withLeather(bag.design, 'straps', { thickness: 1 }), 'body', { thickness: 1.1 })
    const one = derive(thin).fittings.find((f) => f.fitting.id.startsWith('handle-front-rivet'))!
    // 0.92 × (1.1 + 2 × 1 + 1.1) = 3.9; with 2.5 for setting 6.4, with 2 it is 5.9.
    expect([one.post, one.washers]).toEqual([6, 0])
  })
  test('the same hole is marked on everything it goes through, at one place', () => {
    const marks = (id: string) =>
      bag.pieces
        .find((p) => p.id === id)!
        .marks.flatMap((m) => (m.type === 'set' && m.mark.type === 'hardware' ? [m.mark] : []))
    expect(marks('front')).toHaveLength(4)
    expect(marks('handle')).toHaveLength(4)
    for (const mark of marks('front')) expect(mark.holes).toEqual([{ along: 0, aside: 0, punch: 3 }])
  })
  test('no post long enough: a stop that says what is needed', () => {
    const short = { ...hardwareOf('rivet-9'), posts: [6] }
    const edited = applyEdit(bag.design, setField('short', ['hardware', 'rivet'], short))
    const found = edited.ok && findingOf(derive(edited.design), 'post-too-short')
    expect(found && sayFinding(found, 'mm').what).toMatch(
      /needs a post of 10\.1 mm; the longest .* has 6\.0 mm/,
    )
  })
  test('a copper rivet is cut to the pressed stack, its burr and the dome', () => {
    const edited = applyEdit(bag.design, setField('burr', ['hardware', 'rivet'], hardwareOf('burr-3')))
    const [one] = derive(edited.ok ? edited.design : bag.design).fittings
    // Dome of 1.5 × and 0.5 × the shank by volume: 0.646 of it.
    expect(one!.wanted!.value).toBeCloseTo(0.92 * 8.8 + 1 + 0.6458333 * 3, 3)
    expect(one!.washers).toBe(0)
  })
  test('the shortest post that is long enough, whatever the leather', () =>
    fc.assert(
      fc.property(fc.integer({ min: 8, max: 40 }), (tenths) => {
        const design = withLeather(bagDesign('tote', { ...riveted, handle: 'flat' }), 'straps', {
          thickness: tenths / 10,
        })
        for (const { wanted, post, washers, hardware, fitting } of derivedOf(design).fittings) {
          if (!wanted) continue
          const enough = hardware.posts.filter((p) => p >= wanted.value - 1e-9)
          expect([fitting.id, post]).toEqual([fitting.id, enough[0]])
          if (post !== undefined) {
            const left = post - washers * hardware.washer
            expect(left).toBeGreaterThanOrEqual(wanted.value - 1e-9)
            // A rivet or snap takes up a millimetre; a washer is the least it can be shortened by.
            if (hardware.washer > 0 && hardware.sort !== 'burr')
              expect(left - wanted.value).toBeLessThan(1.1 + hardware.washer)
          }
        }
      }),
      { seed: 3, numRuns: 20 },
    ))
})

describe('where it goes', () => {
  test('both halves of a closure lie on each other when the flap is shut', () => {
    const bag = bagOf('flap-bag', { ...BARE, flap: 'one', closure: 'magnet', flapLength: 150 })
    const upper = bag.fittings.find((f) => f.fitting.half === 'upper')!
    const lower = bag.fittings.find((f) => f.fitting.half === 'lower')!
    // On the flap so far from its tip as on the front less than the flap comes down.
    const tip = -(sizeOf(bag, 'flap.over') + 150)
    expect(upper.fitting.at.y - tip).toBeCloseTo(22, 6)
    expect(lower.fitting.at.y).toBeCloseTo(150 - 22, 6)
    expect(lower.fitting.at.x).toBeCloseTo(upper.fitting.at.x, 6)
  })
  test('prongs are slots as far apart as the thing says, not a hole', () => {
    const bag = bagOf('flap-bag', { ...BARE, flap: 'one', closure: 'lock' })
    const mark = bag.pieces
      .find((p) => p.id === 'front')!
      .marks.flatMap((m) => (m.type === 'set' && m.mark.type === 'hardware' ? [m.mark] : []))[0]!
    expect(mark.holes).toEqual([])
    expect(mark.slots.map((s) => s.aside)).toEqual([-9, 9])
  })
  test('each says before which seam it has to be set', () => {
    const bag = bagOf('flap-bag', { ...BARE, flap: 'one', closure: 'snap' })
    for (const f of bag.fittings) expect(f.before).toBe('seam of the front and the gusset')
  })
  test('a closure that would come to lie on the foot is a stop, with a shorter flap as the way out', () => {
    const bag = bagOf('flap-bag', { ...BARE, flap: 'one', closure: 'snap', high: 150, flapLength: 190 })
    const found = findingsOf(bag).find((f) => f.key === 'fit:closure-on-front')!
    expect(found.rank).toBe('stop')
  })
  test('hardware at the very edge is found', () => {
    const bag = bagOf('tote', { ...BARE, body: 'wrap', closure: 'magnet', top: 'single' })
    const moved = derive({
      ...bag.design,
      hardware: { ...bag.design.hardware, magnet: { ...hardwareOf('magnet-18'), across: 40 } },
    })
    const found = findingOf(moved, 'hardware-close')
    expect(found && sayFinding(found, 'mm').what).toMatch(/reaches .* past the edge/)
  })
  test('four feet stand alike about the middle of the foot', () => {
    const bag = bagOf('briefcase', { feet: 'feet' })
    const at = bag.fittings.filter((f) => f.fitting.role === 'foot').map((f) => f.fitting.at)
    const middle = at.reduce((m, p) => ({ x: m.x + p.x / 4, y: m.y + p.y / 4 }), { x: 0, y: 0 })
    for (const p of at) {
      const mirror = { x: 2 * middle.x - p.x, y: 2 * middle.y - p.y }
      expect(at.some((q) => Math.hypot(q.x - mirror.x, q.y - mirror.y) < 1e-6)).toBe(true)
    }
  })
  test('the snap of a coin pocket and of a spectacle case is hardware too', () => {
    for (const [kind, values] of [
      ['bifold', { 'params.coins': 'right' }],
      ['gusseted-case', {}],
    ] as const) {
      const { fittings } = derive(withValues(freshOf(kind), values))
      expect(fittings.map((f) => [f.fitting.half, f.post])).toEqual([
        ['upper', 5],
        ['lower', 5],
      ])
    }
  })
})

test('two caps where there is room for them on the end of a handle, one where there is not', () => {
  const rivets = (lap: number) =>
    bagOf('tote', { ...riveted, lap }).fittings.filter((f) =>
      f.fitting.id.startsWith('handle-front-rivet-left'),
    )
  expect(rivets(45)).toHaveLength(2)
  // 0.45 × 15 is 6.8, less than a cap of 9.
  expect(rivets(15)).toHaveLength(1)
})

describe('fittings set alike', () => {
  test.each(everyDesign())('$name: every fitting stands once, and only with its like', ({ design }) => {
    const { fittings } = derivedOf(design)
    const groups = alikeFittings(fittings)
    expect(groups.flatMap((g) => g.places).toSorted()).toEqual(fittings.map((f) => f.fitting.name).toSorted())
    expect(groups.reduce((sum, g) => sum + g.count, 0)).toBe(
      fittings.reduce((sum, f) => sum + f.fitting.count, 0),
    )
    for (const { one, places } of groups)
      for (const other of fittings.filter((f) => places.includes(f.fitting.name))) {
        expect([other.hardware.id, other.post, other.before]).toEqual([one.hardware.id, one.post, one.before])
        expect(Math.abs((other.stack?.value ?? 0) - (one.stack?.value ?? 0))).toBeLessThan(0.11)
      }
  })
  test('four feet are one row', () => {
    const { fittings } = derive(demoDesign('harbour-office-case'))
    const feet = alikeFittings(fittings).filter((g) => g.places.some((p) => p.startsWith('foot')))
    expect(feet.map((g) => [g.places.length, g.count])).toEqual([[4, 4]])
  })
})
