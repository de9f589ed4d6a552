import { describe, expect, test } from 'vitest'
import { BARE, bagOf, edgesOf, panelOf, sizeOf, spanOf } from './support/bags.js'

/** Body 1.8 mm, gusset 1.4 mm, both with half their thickness inside the neutral layer. */
const [BODY, GUSSET] = [1.8, 1.4]
const ROLL_OUT = 2 * (1 + Math.cos(Math.PI / 4) - (((3 * Math.PI) / 4) * 0.5 - Math.sin(Math.PI / 4)))
const ROLL_IN = ROLL_OUT - 2
const FLANGE = 2 - Math.PI / 2
const flapBag = (params: Record<string, unknown>) => bagOf('flap-bag', { ...BARE, flap: 'one', ...params })
const plain = (kind: string, params: Record<string, unknown>) => bagOf(kind, { ...BARE, ...params })

describe('between the stitch lines, by pencil', () => {
  test('a turned seam rolls: 0.47 of the leather more inside, 2.47 outside', () => {
    expect(ROLL_OUT).toBeCloseTo(2.472, 3)
    const d = plain('tote', { body: 'wrap', seam: 'turned', wide: 280, high: 220, deep: 80 })
    expect(sizeOf(d, 'bag.wide')).toBeCloseTo(280 - ROLL_IN * GUSSET, 9)
    expect(sizeOf(d, 'bag.deep')).toBeCloseTo(80 - ROLL_IN * BODY, 9)
    expect(sizeOf(d, 'bag.high')).toBeCloseTo(220 - (ROLL_IN / 2) * GUSSET, 9)
    expect(sizeOf(d, 'bag.out.wide')).toBeCloseTo(280 + 2 * GUSSET, 9)
    expect(sizeOf(d, 'bag.out.deep')).toBeCloseTo(80 + 2 * BODY, 9)
  })
  test('raw edges out: the gusset loses its thickness, the panels stand a bend further out', () => {
    const d = plain('tote', { body: 'wrap', seam: 'raw', margin: 4, wide: 280, high: 220, deep: 80 })
    expect(sizeOf(d, 'bag.wide')).toBeCloseTo(280 + 2 * GUSSET, 9)
    expect(sizeOf(d, 'bag.deep')).toBeCloseTo(80 - FLANGE * GUSSET, 9)
    expect(sizeOf(d, 'bag.out.wide')).toBeCloseTo(280 + 2 * GUSSET + 8, 9)
    expect(sizeOf(d, 'bag.out.deep')).toBeCloseTo(80 + 2 * BODY, 9)
  })
  test('a lining takes its own thickness on either side', () => {
    const [without, lined] = [{}, { lining: 'lined' }].map((p) =>
      plain('tote', { body: 'wrap', seam: 'raw', ...p }),
    )
    expect(sizeOf(lined!, 'bag.deep') - sizeOf(without!, 'bag.deep')).toBeCloseTo(2 * 0.9, 9)
    expect(sizeOf(lined!, 'bag.in.deep')).toBeCloseTo(sizeOf(without!, 'bag.in.deep'), 9)
  })
  test('a board in the foot takes its height, so that as much is left inside', () => {
    const [without, boarded] = [{ base: 'none' }, { base: 'cushioned', board: 1.5, foam: 3 }].map((p) =>
      plain('tote', { body: 'wrap', ...p }),
    )
    expect(sizeOf(boarded!, 'bag.high') - sizeOf(without!, 'bag.high')).toBeCloseTo(4.5, 9)
    expect(sizeOf(boarded!, 'bag.in.high')).toBeCloseTo(sizeOf(without!, 'bag.in.high'), 9)
  })
})

describe('what is put on', () => {
  test('a flap goes over the depth and bends twice; its length over the top has its working', () => {
    const d = flapBag({ body: 'wrap', seam: 'raw', deep: 80, flapLength: 150 })
    const apart = 80 + BODY
    const radius = 3 + 0.5 * BODY
    const bends = 2 * (Math.PI / 2) * radius
    expect(sizeOf(d, 'flap.over')).toBeCloseTo(apart + BODY + 2 - 2 * radius + bends, 9)
    expect(spanOf(d, 'back').high).toBeCloseTo(sizeOf(d, 'bag.high') + 4 + sizeOf(d, 'flap.over') + 150, 6)
  })
  test('sewn on, it laps 25 mm over the back and goes over one leather more', () => {
    const [one, sewn] = ['one', 'sewn'].map((flap) => flapBag({ body: 'wrap', seam: 'raw', flap }))
    expect(sizeOf(sewn!, 'flap.over') - sizeOf(one!, 'flap.over')).toBeCloseTo(BODY, 9)
    expect(spanOf(sewn!, 'flap').high).toBeCloseTo(sizeOf(sewn!, 'flap.over') + 150 + 25, 6)
  })
  test('a pocket with fullness is cut wider; its sides come in to where it is sewn', () => {
    const d = bagOf('flap-bag', { ...BARE, flap: 'one', pocket: 'full', pocketWide: 180, fullness: 24 })
    expect(sizeOf(d, 'pocket.wide')).toBeCloseTo(204, 9)
    const { here, there } = edgesOf(d, 'pocket-right')
    expect(there).toBeCloseTo(here, 6)
    expect(panelOf(d, 'pocket').folds).toHaveLength(2)
  })
  test('a divider has a tab beyond a bend at either side', () => {
    const d = bagOf('flap-bag', { ...BARE, flap: 'one', divider: 'one', wide: 280 })
    const bend = (Math.PI / 2) * 0.5 * 0.9
    expect(sizeOf(d, 'divider.cut')).toBeCloseTo(280 + 2 * (bend + 14), 9)
  })
  test('a pen place is half a pen’s girth and some room; a row stands between any two places', () => {
    const d = bagOf('portfolio', { ...BARE, organiser: 'covered', cards: 2, pens: 2 })
    expect(sizeOf(d, 'organiser.pen')).toBeCloseTo((Math.PI / 2) * 11 + 3, 9)
    expect(d.runs.filter((r) => r.join.id.startsWith('places-wall'))).toHaveLength(3)
  })
  test('the board is smaller by the cover’s leather all round, its cover turned over it', () => {
    const d = bagOf('tote', { ...BARE, body: 'wrap', base: 'board', wide: 280, deep: 80 })
    expect(sizeOf(d, 'base.wide')).toBeCloseTo(278, 9)
    expect(sizeOf(d, 'base.board.wide')).toBeCloseTo(278 - 2 * 0.9, 9)
    expect(panelOf(d, 'base-cover').edges.every((e) => e.fate.type === 'turned')).toBe(true)
    expect(panelOf(d, 'board').stock!.thickness).toBe(1.5)
  })
  test('an overlapping base goes over the foot and up both sides', () => {
    const d = bagOf('rucksack', { baseLap: 60, deep: 120 })
    expect(sizeOf(d, 'base.panel')).toBeCloseTo(sizeOf(d, 'bag.deep') + 120, 9)
  })
  test('a band behind the top is held by two rows, a rolled top by one', () => {
    const rows = (top: string) =>
      bagOf('tote', { ...BARE, body: 'boxed', top })
        .runs.map((r) => r.join.id)
        .filter((id) => /facing|hem/.test(id))
    expect(rows('doubled')).toEqual([
      'facing-front-top',
      'facing-front-foot',
      'facing-back-top',
      'facing-back-foot',
    ])
    expect(rows('rolled')).toEqual(['hem-front', 'hem-back'])
    expect(rows('single')).toEqual([])
  })
  test('a band into the seams is as wide as its panel, and lies in the seams as far as it reaches', () => {
    for (const body of ['boxed', 'boxed-folded'] as const) {
      const d = bagOf('tote', { ...BARE, body, top: 'banded', wide: 300, deep: 100, topBand: 30 })
      const between = sizeOf(d, 'boxed.wide')
      expect(spanOf(d, 'facing-front')).toEqual({ wide: expect.closeTo(between + 2 * 8, 6), high: 30 })
      expect(spanOf(d, 'facing-back').wide).toBeCloseTo(between + 2 * 8, 6)
      const side = d.runs.find((r) => r.join.id === 'side-right')!
      // Two panels and two bands of 1.8 at the mouth, two panels below the bands; from 2 under the top edge.
      const at = (down: number) => side.holes.find((h) => h.distance >= down)!.stack
      expect([at(0), at(35)]).toEqual([expect.closeTo(7.2, 6), expect.closeTo(3.6, 6)])
    }
  })
  test('bands into the seams double every piece with a top edge: gusset ends and sides that are set in too', () => {
    const bands = (kind: string, params: Record<string, unknown>) =>
      bagOf(kind, { ...BARE, top: 'banded', ...params })
        .pieces.map((p) => p.id)
        .filter((id) => id.startsWith('facing'))
    const all = ['facing-front', 'facing-back', 'facing-right', 'facing-left']
    expect(bands('tote', { body: 'wrap' })).toEqual(all)
    expect(bands('tote', { body: 'set-in' })).toEqual(all)
    expect(bands('flap-bag', { body: 'bellows' })).toEqual(all.slice(0, 2))
    expect(bands('flap-bag', { body: 'wrap', flap: 'one' })).toEqual(all.filter((id) => id !== 'facing-back'))
    // A gusset of 120 at the top and 60 at the foot, 220 high: its band narrows by 60 × 30 / 220.
    const tapered = bagOf('tote', {
      ...BARE,
      body: 'tapered',
      top: 'banded',
      topDeep: 120,
      deep: 60,
      high: 220,
      topBand: 30,
    })
    const [a, b, c, e] = panelOf(tapered, 'facing-right').outline.segments.map((s) => s.from)
    const [top, foot] = [b!.x - a!.x, c!.x - e!.x]
    expect(top - foot).toBeGreaterThan(5)
    expect(top - foot).toBeLessThan(10)
  })
  test('where the back is sewn raw, bands have its margin and its trim on that side', () => {
    const d = bagOf('tote', {
      ...BARE,
      body: 'wrap',
      seam: 'turned',
      backSeam: 'raw',
      trim: 2,
      top: 'banded',
    })
    const fateOf = (id: string, edge: string) => panelOf(d, id).edges.find((e) => e.id === edge)!.fate
    const back = { type: 'sewn', margin: 4, trim: 2 }
    const front = { type: 'sewn', margin: 8, trim: 0 }
    expect([fateOf('facing-back', 'left'), fateOf('facing-front', 'left')]).toMatchObject([back, front])
    // Seen from inside, the band of the right side has the back on its left.
    expect([fateOf('facing-right', 'left'), fateOf('facing-right', 'right')]).toMatchObject([back, front])
    expect([fateOf('facing-left', 'left'), fateOf('facing-left', 'right')]).toMatchObject([front, back])
  })
  test('bands into the seams: each hole of a seam stands on them where they lie', () => {
    const d = bagOf('tote', { ...BARE, body: 'boxed-folded', top: 'banded', topBand: 30 })
    for (const id of ['facing-front', 'facing-back']) {
      const holes = d.pieces.find((p) => p.id === id)!.holes
      const span = spanOf(d, id).wide
      const left = holes.filter((h) => Math.abs(h.at.x - 8) < 0.01).length
      const right = holes.filter((h) => Math.abs(h.at.x - (span - 8)) < 0.01).length
      expect([left, right].every((n) => n >= 8 && n <= 12)).toBe(true)
    }
  })
  test('bands of a zip share the depth, and the zip stops short of the sides', () => {
    const d = bagOf('tote', { ...BARE, body: 'wrap', closure: 'zip', wide: 280, deep: 80 })
    expect(sizeOf(d, 'zip.band')).toBeCloseTo((sizeOf(d, 'bag.deep') - 6) / 2 + 12, 9)
    expect(sizeOf(d, 'zip.length')).toBeCloseTo(sizeOf(d, 'bag.wide') - 24, 9)
  })
})
