import { describe, expect, test } from 'vitest'
import { strikesOf } from '../src/stitch/index.js'
import { findingsOf } from '@drumlin/core/check'
import { derive, seamPlan } from '@drumlin/core/derived'
import { measureSentence } from '@drumlin/core/measure'
import { figuresOf } from '@drumlin/core/overview'
import { needleFor, parseThreadSize, storesSchema, suitsPitch, threadSizes } from '@drumlin/core/stores'
import { BOBBIN, evaluate } from '../src/formulas/index.js'
import { STARTER_STORES, readStoresData } from '../src/stores/index.js'
import { demo, demoWith, withValues } from './support/designs.js'

const [linen] = STARTER_STORES.threads

describe('thread sizes', () => {
  test.each([
    ['Tex 135', 135],
    ['135 tex', 135],
    ['ticket 40', 75],
    ['cotton ticket 40', 44.29],
    ['Nm 20/3', 150],
    ['18/3', 275.58],
    ['18/3 linen', 275.58],
    ['630 den', 70],
    ['T138', 138],
    ['V207', 207],
    ['v-69', 69],
  ])('%s is %s tex', (text, tex) => {
    const read = parseThreadSize(text, linen!)
    expect(read.ok && read.value).toBeCloseTo(tex, 2)
  })
  test('a diameter is read for the fibre: twice as thick is four times as heavy', () => {
    const [thin, thick] = ['0.4 mm', '0.8 mm'].map((t) => parseThreadSize(t, linen!))
    expect(thin!.ok && thick!.ok && thick!.value / thin!.value).toBeCloseTo(4, 9)
  })
  test('a diameter in inches is read as one', () => {
    const [metric, inches] = ['2.032 mm', '.08 in'].map((t) => parseThreadSize(t, linen!))
    expect(inches!.ok && metric!.ok && inches!.value).toBeCloseTo(metric!.ok ? metric!.value : 0, 6)
  })
  test.each([
    ['string', /“string” was not understood.*ticket 40/],
    ['', /Nothing is written/],
    ['ticket 1', /finer or heavier than any thread/],
    ['0 tex', /finer or heavier/],
    [
      '632',
      /“632” may be more than one size\. Try tex 632 \(.* mm\), 632 denier \(.* mm\) or 32\/6 linen \(.* mm\)\./,
    ],
    ['432', /tex 432 .*432 denier .*32\/4 linen/],
    ['90', /tex 90 \(.* mm\) or ticket 90/],
  ])('%s is refused in words', (text, words) => {
    const read = parseThreadSize(text, linen!)
    expect(read.ok).toBe(false)
    expect(read.ok ? '' : measureSentence(read.error)).toMatch(words)
  })
  test('there and back through every system', () => {
    const sizes = threadSizes({ ...linen!, tex: 150 })
    for (const text of [
      `ticket ${sizes.ticket}`,
      `Nm ${sizes.nm.toFixed(6)}`,
      `${sizes.denier} den`,
      `${sizes.diameter.toFixed(9)} mm`,
    ]) {
      const read = parseThreadSize(text, linen!)
      expect(read.ok && read.value).toBeCloseTo(150, 3)
    }
  })
  test('0.62 mm suits 3 mm by hand, not 2 mm; a needle for 0.33 mm is a hundred', () => {
    expect(suitsPitch(0.62, 3, false).fits).toBe(true)
    expect(suitsPitch(0.62, 2, false).fits).toBe(false)
    expect(needleFor(0.33)).toBe(100)
  })
})

describe('bobbins', () => {
  // (24² − 8²) × 10 × 0.7 / 0.35² = 29 257 mm.
  test('a bobbin 24 across, core 8, 10 wide holds 29.3 m of 0.35 mm thread', () =>
    expect(evaluate(BOBBIN, { across: 24, core: 8, wide: 10, fill: 0.7, thread: 0.35 }) / 1000).toBeCloseTo(
      29.257,
      3,
    ))
  test('a small one runs out in the middle of a run; it is said at which stitch, before the run', () => {
    const tiny = {
      'sewing.holes': 'machine',
      'machine.bobbinAcross': 9,
      'machine.bobbinCore': 7,
      'machine.bobbinWide': 4,
    }
    const derived = derive(withValues(demo(), tiny))
    const { bobbins } = seamPlan(derived).supplies
    const all = derived.runs.reduce((sum, r) => sum + r.locked!.bobbin.value, 0)
    expect(bobbins!.thread.value).toBeCloseTo(all, 6)
    expect(bobbins!.count).toBe(Math.ceil(all / bobbins!.holds.value))
    expect(bobbins!.runsOut).toHaveLength(bobbins!.count - 1)
    expect(findingsOf(derived).filter((f) => f.code === 'bobbin-runs-out')).toHaveLength(bobbins!.count - 1)
  })
  test('by hand there are none', () => expect(seamPlan(demoWith({})).supplies.bobbins).toBeUndefined())
})

describe('how a run is punched', () => {
  const rows = seamPlan(demoWith({})).rows
  const strikes = (id: string) => rows.find((r) => r.run.join.id === id)!.strikes
  test('26 stitches with an 8-prong iron: 7 at a blow, four blows, the last put back over made holes', () =>
    expect(strikes('foot-1-left')).toEqual([{ prongs: 8, blows: 4 }]))
  test('round a corner of 3 mm no long iron lies: the two-prong goes round', () => {
    const corner = strikes('outer-left').find((s) => s.prongs === 2)!
    expect(corner.blows).toBeGreaterThan(1)
  })
  test('every other hole is opened with the awl, one by one', () => {
    const every = seamPlan(demoWith({ 'sewing.runs': { 'foot-1-left': { every: 2 } } }))
    const row = every.rows.find((r) => r.run.join.id === 'foot-1-left')!
    expect(row.strikes).toEqual([{ prongs: 0, blows: row.run.holes.length - 1 }])
  })
})

describe('how long it takes', () => {
  test('blows at 20 s, stitches at 12 s, three minutes to begin', () => {
    const speed = { 'habits.blowSeconds': 20, 'habits.stitchSeconds': 12, 'habits.runMinutes': 3 }
    const derived = demoWith(speed)
    const row = seamPlan(derived).rows.find((r) => r.run.join.id === 'foot-1-left')!
    const blows = strikesOf(row.run).reduce((sum, s) => sum + s.blows, 0)
    // 27 holes in one straight row: no corner to go round.
    expect(row.minutes.value).toBeCloseTo((blows * 20 + 26 * 12) / 60 + 3, 9)
    const sew = figuresOf(derived).time.parts.find((p) => p.key === 'time.sew')!
    expect(seamPlan(derived).minutes).toBeCloseTo(sew.value, 9)
  })
  test('each side apart is punched twice; by machine nothing is punched', () => {
    const minutes = (holes: string) => seamPlan(demoWith({ 'sewing.holes': holes })).minutes
    expect(minutes('apart')).toBeGreaterThan(minutes('through'))
    expect(minutes('machine')).toBeLessThan(minutes('through') / 2)
    const sew = figuresOf(demoWith({ 'sewing.holes': 'machine' })).time.parts.find(
      (p) => p.key === 'time.sew',
    )!
    expect(minutes('machine')).toBeCloseTo(sew.value, 9)
  })
})

describe('the shelves', () => {
  const message = (stores: unknown): string => storesSchema.safeParse(stores).error?.issues[0]?.message ?? ''
  const [iron] = STARTER_STORES.irons
  const [machine] = STARTER_STORES.machines
  test('an iron of one prong, a bobbin wider inside than outside: refused in words', () => {
    expect(message({ ...STARTER_STORES, irons: [{ ...iron!, prongs: 1 }] })).toContain('counts as an awl')
    expect(message({ ...STARTER_STORES, machines: [{ ...machine!, bobbinCore: 30 }] })).toContain(
      'narrower than the bobbin',
    )
  })
  test('an iron whose slots would run into one another is refused', () =>
    expect(message({ ...STARTER_STORES, irons: [{ ...iron!, slotLength: 4, slant: 20 }] })).toContain(
      'ends before the next begins',
    ))
  test('shelves of version 2 get machines, irons their narrow ones, threads their spools', () => {
    const { machines: _, ...two } = STARTER_STORES
    const old = {
      ...two,
      version: 2,
      irons: two.irons.map(({ narrow: _n, ...i }) => i),
      threads: two.threads.map(({ spool: _s, ...t }) => t),
    }
    const now = readStoresData(old)
    expect(now.machines).toEqual(STARTER_STORES.machines)
    expect(now.irons[0]!.narrow).toEqual([2])
    expect(now.threads[0]!.spool).toBe(100)
  })
})
