import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  type Hardware,
  STARTER_STORES,
  applyEdit,
  derive,
  findingsOf,
  longestRun,
  readStoresData,
  sayFinding,
  setField,
  storesSchema,
  toBuy,
  turningOf,
  withGood,
} from '@drumlin/core'
import { POSTED } from '../src/stores/index.js'
import {
  BARE,
  bagDesign,
  bagOf,
  findingOf,
  hardwareOf,
  panelOf,
  sizeOf,
  withLeather,
} from './support/bags.js'
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
  test('pressed to 0.92 of it and 2.5 mm more: 0.92 × 8.8 + 2.5 = 10.6, so a post of 12', () => {
    expect(set.wanted!.value).toBeCloseTo(0.92 * (BODY + 2 * STRAPS + BAND) + 2.5, 9)
    expect(set.post).toBe(12)
  })
  test('what it is too long is made up by washers of 0.8', () =>
    expect(set.washers).toBe(Math.floor((12 - set.wanted!.value) / 0.8)))
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
      /needs a post of 10\.6 mm; the longest .* has 6\.0 mm/,
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
        for (const { wanted, post, washers, hardware, fitting } of derive(design).fittings) {
          if (!wanted) continue
          const enough = hardware.posts.filter((p) => p >= wanted.value - 1e-9)
          expect([fitting.id, post]).toEqual([fitting.id, enough[0]])
          if (post !== undefined)
            expect(post - washers * hardware.washer).toBeGreaterThanOrEqual(wanted.value - 1e-9)
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

describe('to have ready', () => {
  test('halves of a snap, rings, a buckle, strap leather in all and its longest piece', () => {
    const bag = bagOf('flap-bag', { ...BARE, flap: 'one', closure: 'snap', strap: 'shoulder' })
    const list = toBuy(bag).map((row) => [row.what, row.count, row.note])
    expect(list).toContainEqual(['ring snap, 12.5 mm', 1, 'upper half, post 5 mm'])
    expect(list).toContainEqual(['ring snap, 12.5 mm', 1, 'lower half, post 5 mm'])
    expect(list).toContainEqual(['D-ring, 25 mm', 2, ''])
    expect(list).toContainEqual(['roller buckle, 35 mm', 1, ''])
    const straps = list.find(([what]) => what === 'strap leather in all')!
    expect(straps[1]).toBeCloseTo(sizeOf(bag, 'strap.long') + sizeOf(bag, 'strap.short'), 0)
  })
  test('board and foam by area, a zip by its length from stop to stop', () => {
    const bag = bagOf('tote', {
      ...BARE,
      body: 'wrap',
      base: 'cushioned',
      closure: 'zip',
      wide: 300,
      deep: 100,
    })
    const list = toBuy(bag)
    const board = list.find((row) => row.what === 'board')!
    expect(board.count).toBeCloseTo(
      (sizeOf(bag, 'base.board.wide') * sizeOf(bag, 'base.board.deep')) / 10_000,
      1,
    )
    expect(list.find((row) => row.what.startsWith('metal zip'))!.note).toBe(
      `${Math.round(sizeOf(bag, 'zip.length'))} mm from stop to stop`,
    )
  })
})

describe('straps, by pencil', () => {
  const bag = bagOf('flap-bag', {
    ...BARE,
    flap: 'one',
    strap: 'shoulder',
    carried: 1100,
    strapShort: 300,
    strapHoles: 7,
    strapSpacing: 25,
    strapTip: 60,
    lap: 45,
  })
  const back = Math.PI * (2 + 0.5 * STRAPS) + 45
  test('long part: to the usual hole 800, three holes further 75, the tip 60, and round the ring', () => {
    expect(sizeOf(bag, 'strap.back')).toBeCloseTo(back, 9)
    expect(sizeOf(bag, 'strap.usual')).toBeCloseTo(800, 9)
    expect(sizeOf(bag, 'strap.long')).toBeCloseTo(back + 800 + 75 + 60, 9)
    expect(sizeOf(bag, 'strap.short')).toBeCloseTo(300 + 2 * back, 9)
  })
  test('the usual hole is the middle one, and it can be worn three holes shorter or longer', () => {
    const holes = panelOf(bag, 'strap-long').marks!.filter((m) => m.type === 'hole')
    expect(holes).toHaveLength(7)
    expect(holes[3]!.at.y).toBeCloseTo(back + 800, 9)
    expect(sizeOf(bag, 'strap.least')).toBe(1025)
    expect(sizeOf(bag, 'strap.most')).toBe(1175)
  })
  test('the prong’s slot is the arc it swings over, and the prong', () =>
    expect(sizeOf(bag, 'strap.slot')).toBeCloseTo(Math.PI * (2 + 0.5 * STRAPS) + 3.5, 9))
  test('turn-backs are held by rows along the pull, none across it', () =>
    expect(findingsOf(bag).filter((f) => f.code === 'across-pull')).toEqual([]))
  test('joined of two pieces they lap 70 mm, and come to the same length', () => {
    const joined = bagOf('flap-bag', { ...BARE, flap: 'one', strap: 'shoulder', strapJoin: 'joined' })
    expect(sizeOf(joined, 'strap.first') + sizeOf(joined, 'strap.second') - 70).toBeCloseTo(
      sizeOf(joined, 'strap.long'),
      9,
    )
    expect(panelOf(joined, 'strap-tip').marks!.filter((m) => m.type === 'hole')).toHaveLength(7)
  })
  test('longer than any run on the shelf it is found, and joining it helps', () => {
    const design = withLeather(bagDesign('flap-bag', { ...BARE, flap: 'one', strap: 'shoulder' }), 'straps', {
      parts: [{ part: 'double shoulder', area: 100, price: 0, currency: 'EUR' }],
    })
    // 100 dm² of a double shoulder: 0.85 × 1000 mm along the backbone.
    expect(longestRun(design.leathers.straps!)).toBeCloseTo(850, 9)
    const found = findingOf(derive(design), 'strap-too-long')!
    expect(sayFinding(found, 'mm').what).toMatch(/gives about 850\.0 mm in one run/)
    const joined = applyEdit(design, setField('join', ['params', 'strapJoin'], 'joined'))
    expect(joined.ok && findingOf(derive(joined.design), 'strap-too-long')).toBeUndefined()
  })
  test('of a leather with nothing on the shelf nothing is said', () =>
    expect(findingOf(bag, 'strap-too-long')).toBeUndefined())
})

describe('handles, by pencil', () => {
  const handle = (params: Record<string, unknown>) =>
    bagOf('tote', { ...BARE, body: 'boxed', handleSpan: 130, lap: 45, ...params })
  test('higher than half its span it stands in two legs and half a circle', () => {
    const d = handle({ handle: 'flat', handleRise: 200 })
    expect(sizeOf(d, 'handle.arc')).toBeCloseTo(2 * 135 + Math.PI * (65 + 0.5 * STRAPS), 9)
    expect(sizeOf(d, 'handle.length')).toBeCloseTo(sizeOf(d, 'handle.arc') + 90, 9)
  })
  test('lower it is an arc: a half circle over 110 that rises 55 is π × (55 + half the leather)', () => {
    const d = handle({ handle: 'flat', handleSpan: 110, handleRise: 55 })
    expect(sizeOf(d, 'handle.arc')).toBeCloseTo(Math.PI * (55 + 0.5 * STRAPS), 6)
  })
  test('doubled it is cut twice for each handle', () =>
    expect(panelOf(handle({ handle: 'doubled', handles: 2 }), 'handle').count).toBe(4))
  test('between rings it goes out, round both and back to the middle', () => {
    const d = bagOf('briefcase', { handle: 'ring' })
    const back = Math.PI * (2 + 0.5 * STRAPS)
    expect(sizeOf(d, 'handle.length')).toBeCloseTo(2 * sizeOf(d, 'handle.arc') + 2 * back, 9)
  })
  test('rolled round a cord its cover has a flange on either side', () => {
    const d = handle({ handle: 'rolled', handleCord: 8 })
    const rolled = sizeOf(d, 'handle.cover')
    expect(rolled).toBeGreaterThan(2 * 6 + Math.PI * 8)
    expect(rolled).toBeLessThan(2 * 6 + Math.PI * (8 + 2 * STRAPS) + 2 * 10)
  })
})

describe('turning', () => {
  test('soft leather through an open mouth is easy; firm leather can’t be turned', () => {
    const soft = bagDesign('tote', { ...BARE, body: 'boxed' })
    expect(turningOf(derive(soft))!.rating).toBe('A')
    const firm = derive(withLeather(soft, 'body', { temper: 'firm', thickness: 4 }))
    expect(['C', 'D']).toContain(turningOf(firm)!.rating)
    const found = findingOf(firm, 'hard-to-turn')!
    expect(sayFinding(found, 'mm').what).toMatch(/Turning it is rated [CD]/)
  })
  test('sewn with raw edges out nothing is turned', () =>
    expect(turningOf(bagOf('tote', { ...BARE, body: 'wrap', seam: 'raw' }))).toBeUndefined())
  test('thicker never turns more easily', () =>
    fc.assert(
      fc.property(fc.integer({ min: 15, max: 40 }), fc.integer({ min: 1, max: 10 }), (t, more) => {
        const pull = (tenths: number) =>
          turningOf(
            derive(
              withLeather(bagDesign('tote', { ...BARE, body: 'boxed' }), 'body', { thickness: tenths / 10 }),
            ),
          )!.pull.value
        expect(pull(t + more)).toBeGreaterThan(pull(t))
      }),
      { seed: 2, numRuns: 10 },
    ))
})
