import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { findingsOf, sayFinding } from '@drumlin/core/check'
import { derive, toBuy, turningOf } from '@drumlin/core/derived'
import { applyEdit, setField } from '@drumlin/core/design'
import { type Hide, sheetGround } from '@drumlin/core/stores'
import { longestRun } from '@drumlin/core/whole'
import { BARE, bagDesign, bagOf, findingOf, panelOf, sizeOf, withLeather } from './support/bags.js'

const STRAPS = 2.6

describe('to have ready', () => {
  test('halves of a snap, rings, a buckle, strap leather in all and its longest piece', () => {
    const bag = bagOf('flap-bag', { ...BARE, flap: 'one', closure: 'snap', strap: 'shoulder' })
    const list = toBuy(bag).map((row) => [row.what, row.count, row.note])
    expect(list).toContainEqual(['ring snap, 12.5 mm', 1, 'upper half, post 5.0 mm'])
    expect(list).toContainEqual(['ring snap, 12.5 mm', 1, 'lower half, post 5.0 mm'])
    expect(list).toContainEqual(['D-ring, 35 mm', 2, ''])
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
      `${Math.round(sizeOf(bag, 'zip.length'))}.0 mm from stop to stop`,
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
  test('joined of two pieces they lap 50 mm, and come to the same length', () => {
    const joined = bagOf('flap-bag', { ...BARE, flap: 'one', strap: 'shoulder', strapJoin: 'joined' })
    expect(sizeOf(joined, 'strap.first') + sizeOf(joined, 'strap.second') - 50).toBeCloseTo(
      sizeOf(joined, 'strap.long'),
      9,
    )
    expect(panelOf(joined, 'strap-tip').marks!.filter((m) => m.type === 'hole')).toHaveLength(7)
    // Every hole of the lap goes through leather that bears it: no skived end is sewn through.
    const found = findingsOf(joined).filter((f) => f.run?.startsWith('strap-lap') || /lap/.test(f.key))
    expect(found.map((f) => f.code)).not.toContain('thin-under-stitch')
    expect(found.map((f) => f.code)).not.toContain('skive-too-steep')
  })
  test('longer than any run of its hides it is found, and joining it helps', () => {
    const plain = bagDesign('flap-bag', { ...BARE, flap: 'one', strap: 'shoulder' })
    const hide: Hide = {
      id: 'double-shoulder',
      name: 'Double shoulder',
      of: plain.leathers.straps!.id,
      part: 'double shoulder',
      batch: '',
      price: 0,
      currency: 'EUR',
      // 20 mm of either end are edge.
      ...sheetGround(890, 1100),
      band: 20,
      flaws: [],
      spots: [],
    }
    const design = { ...plain, cutting: { ...plain.cutting, hides: [hide] } }
    expect(longestRun(design.cutting.hides)).toBeCloseTo(850, 9)
    const found = findingOf(derive(design), 'strap-too-long')!
    expect(sayFinding(found, 'mm').what).toMatch(/give one run of about 850\.0 mm/)
    const joined = applyEdit(design, setField('join', ['params', 'strapJoin'], 'joined'))
    expect(joined.ok && findingOf(derive(joined.design), 'strap-too-long')).toBeUndefined()
  })
  test('of a leather without hides nothing is said', () =>
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
