import { describe, expect, test } from 'vitest'
import { findingsOf, fixesOf, sayFinding } from '@drumlin/core/check'
import { derive } from '@drumlin/core/derived'
import { boxHeight, boxWidth, pathBox } from '@drumlin/core/geometry'
import { BARE, bagDesign, bagOf, findingOf, panelOf } from './support/bags.js'

const LINED = { ...BARE, body: 'wrap', lining: 'lined', seam: 'turned', high: 280, wide: 320, deep: 90 }
const runOf = (bag: ReturnType<typeof bagOf>, id: string) => bag.runs.find((r) => r.join.id === id)!

describe('what is sewn before a lining goes in', () => {
  const bag = bagOf('flap-bag', {
    ...LINED,
    flap: 'one',
    flapLength: 150,
    closure: 'strap',
    pocket: 'flat',
    organiser: 'covered',
  })
  test('pockets go on the lining alone, loops on the outside alone, seams through both', () => {
    expect(runOf(bag, 'pocket-seam').join.through).toEqual(['pocket', 'back-lining'])
    expect(runOf(bag, 'places-wall-1').join.through).toEqual(['places', 'front-lining'])
    expect(runOf(bag, 'loop-1').join.through).toEqual(['closing-loop', 'front'])
    expect(runOf(bag, 'front-seam').join.through).toContain('front')
    expect(runOf(bag, 'front-seam').join.through).toContain('front-lining')
  })
  test('the holes of a pocket are in the lining and not in the back', () => {
    const holes = (id: string) => {
      const piece = bag.pieces.find((p) => p.id === id)!
      const box = pathBox(piece.finished)
      return piece.holes.filter(
        (h) =>
          h.at.y > box.top + 60 &&
          h.at.y < box.bottom - 30 &&
          Math.abs(h.at.x - (box.left + box.right) / 2) < 100,
      ).length
    }
    expect(holes('back-lining')).toBeGreaterThan(20)
    expect(holes('back')).toBe(0)
  })
  test('no seam of it is shut off', () => {
    expect(
      findingsOf(bag)
        .filter((f) => f.code === 'covered-before-sewn')
        .map((f) => sayFinding(f, 'mm').what),
    ).toEqual([])
  })
  test('without a lining the places keep clear of the loop where there is room above it', () => {
    const bare = bagOf('flap-bag', {
      ...LINED,
      lining: 'none',
      flap: 'one',
      flapLength: 170,
      closure: 'strap',
      organiser: 'covered',
    })
    const places = bare.works[0]!.sheets.find((s) => s.sheet.id === 'places')!
    const loop = bare.works[0]!.sheets.find((s) => s.sheet.id === 'closing-loop')!
    expect(places.box.bottom).toBeLessThan(loop.box.top)
    expect(findingsOf(bare).filter((f) => f.code === 'covered-before-sewn')).toEqual([])
  })
  test('where there is none it is a stop, and a lining is a way out', () => {
    const design = bagDesign('flap-bag', {
      ...LINED,
      lining: 'none',
      high: 150,
      cards: 2,
      pens: 1,
      flap: 'one',
      flapLength: 60,
      closure: 'strap',
      organiser: 'covered',
    })
    const low = derive(design)
    const found = findingOf(low, 'covered-before-sewn')!
    expect(found.rank).toBe('stop')
    expect(fixesOf(found, low).map((f) => f.label)).toContain('A lining, sewn to before it is glued in')
  })
})

describe('rows of free ends', () => {
  const settings = { ...BARE, body: 'wrap', flap: 'one', strap: 'shoulder', closure: 'none' }
  const bag = bagOf('flap-bag', settings)
  test('step as the iron does, what is left over shared between their ends', () => {
    const row = runOf(bag, 'tab-right-seam-1')
    const { pitch } = bag.design.iron
    expect(row.sides[0]!.pitch).toBeCloseTo(pitch, 9)
    // A tab is sewn down over 28 mm: from 3 mm under its end to 2 mm above where it leaves.
    const room = 28 - 2 - Math.min(bag.design.params.margin as number, 35 / 4)
    expect(row.stitches).toBe(Math.floor(room / pitch))
    expect(row.length).toBeCloseTo(row.stitches * pitch, 9)
  })
  test('go where the maker says all the same', () => {
    const design = bagDesign('flap-bag', settings)
    const own = derive({
      ...design,
      sewing: { ...design.sewing, runs: { 'tab-right-seam-1': { startBy: -2 } } },
    })
    // The 22 mm there are, and 2 mm further out.
    expect(runOf(own, 'tab-right-seam-1').length).toBeCloseTo(24, 6)
  })
})

describe('feet', () => {
  const FEET = { ...BARE, feet: 'feet', wide: 300, high: 240, deep: 100, radius: 30, seam: 'turned' }
  test.each(['wrap', 'wrap-three', 'boxed', 'boxed-folded', 'set-in'])(
    'stand on the flat of the foot of a %s, clear of corners and laps',
    (body) => {
      const bag = bagOf('tote', { ...FEET, body })
      expect(bag.fittings.filter((f) => f.fitting.role === 'foot')).toHaveLength(4)
      expect(
        findingsOf(bag)
          .filter((f) => f.code.startsWith('hardware-'))
          .map((f) => f.key),
      ).toEqual([])
    },
  )
  test('of a gusset in three pieces they keep inside the piece for the foot', () => {
    const bag = bagOf('tote', { ...FEET, body: 'wrap-three' })
    const foot = pathBox(panelOf(bag, 'gusset-foot').outline)
    const xs = bag.fittings.filter((f) => f.fitting.role === 'foot').map((f) => f.fitting.at.x)
    // 300 wide less 30 of each corner, 16 of the side’s lap beyond it: feet lie inside that.
    const flat = 300 - 2 * 30 - 2 * 16
    expect(Math.max(...xs) - Math.min(...xs)).toBeLessThan(flat)
    expect((Math.max(...xs) + Math.min(...xs)) / 2).toBeCloseTo((foot.left + foot.right) / 2, 6)
    expect(boxWidth(foot)).toBeGreaterThan(boxHeight(foot))
  })
  test('a bag whose sides fold has no foot for them', () => {
    const bag = bagOf('flap-bag', { ...BARE, body: 'folded', flap: 'one', feet: 'feet' })
    const found = findingsOf(bag).find((f) => f.key === 'concern:feet-no-foot')!
    expect(fixesOf(found, bag).map((f) => f.label)).toEqual(['No feet'])
  })
})

test('what a kind warns of is said in the maker’s units', () => {
  const bag = bagOf('tote', { ...BARE, body: 'boxed', wide: 420, top: 'single' })
  const found = findingsOf(bag).find((f) => f.key === 'concern:top-sags')!
  expect(sayFinding(found, 'mm').what).toContain('420.0 mm')
  expect(sayFinding(found, 'in').what).toMatch(/16\D.*in/)
  expect(sayFinding(found, 'in').what).not.toContain('mm')
})
