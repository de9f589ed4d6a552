import { describe, expect, test } from 'vitest'
import { findingsOf } from '@drumlin/core/check'
import { type Derived, derive } from '@drumlin/core/derived'
import { pointDistance } from '@drumlin/core/geometry'
import { stepsOf } from '@drumlin/core/steps'
import { freshOf } from './support/designs.js'

const runOf = (derived: Derived, id: string) => derived.runs.find((r) => r.join.id === id)!
const sizeOf = ({ master }: Derived, key: string): number =>
  master.sizes.find(({ size }) => size.key === key)!.size.value
const stops = (derived: Derived): string[] =>
  findingsOf(derived).flatMap((f) => (f.rank === 'stop' ? [f.code] : []))
const sewn = (derived: Derived): string[] =>
  stepsOf(derived).steps.flatMap((s) =>
    s.rows.flatMap((r) => (r.task.startsWith('sew:') ? [r.task.slice(4)] : [])),
  )
const places = (derived: Derived, id: string) => runOf(derived, id).holes.map((h) => h.at)

describe('a sleeve whose compartment is open on more sides', () => {
  const ways = ['side', 'three'].flatMap((centre) =>
    ['none', 'lined'].flatMap((lining) =>
      ['both', 'one'].flatMap((sides) =>
        [0, 8].map((corner) => ({ centre, lining, sides, corner }) as const),
      ),
    ),
  )
  test.each(ways)('$centre, $lining, pockets on $sides, corners $corner', (params) => {
    const derived = derive(freshOf('card-sleeve', params))
    expect(stops(derived)).toEqual([])
    const { pitch } = derived.design.iron
    const halves = derived.runs.filter((r) => r.join.id.startsWith('half-'))
    expect(halves.length).toBeGreaterThan(0)
    // Both halves are holed alike, apart from each other.
    for (const half of halves.filter((r) => r.join.twin))
      expect(half.holes).toHaveLength(runOf(derived, half.join.twin!).holes.length)
    // No hole of a half comes nearer to the joining seam than three quarters of a pitch, nor leaves a gap of two.
    for (const half of halves) {
      const near = Math.min(
        ...half.holes.flatMap((h) => places(derived, 'outer').map((at) => pointDistance(at, h.at))),
      )
      expect(near).toBeGreaterThan(0.75 * pitch)
      expect(near).toBeLessThan(2 * pitch + 8)
    }
    const order = sewn(derived)
    for (const { join } of halves) expect(order.indexOf(join.id)).toBeLessThan(order.indexOf('outer'))
  })
  test('by pencil: lined and open at the side, the joining seam goes along foot and one side', () => {
    const closed = derive(freshOf('card-sleeve', { centre: 'open', lining: 'lined' }))
    const open = derive(freshOf('card-sleeve', { centre: 'side', lining: 'lined' }))
    const [all, joined, half] = [
      runOf(closed, 'outer').holes.length,
      runOf(open, 'outer').holes.length,
      runOf(open, 'half-near').holes.length,
    ]
    // What one side has less, each half has by itself, and the top besides.
    const top = Math.round(sizeOf(open, 'pocket.width') / open.design.iron.pitch)
    expect(Math.abs(joined + half - top - all)).toBeLessThanOrEqual(5)
  })
})

describe('a strap-bound wallet as it is wanted', () => {
  test('of its own size it is as wide and high as was written', () => {
    const own = derive(freshOf('strap-wallet', { sized: 'own', ownWide: 190, ownHigh: 100 }))
    expect([sizeOf(own, 'width'), own.panels.find((p) => p.id === 'body')!.id]).toEqual([190, 'body'])
    // 50 flap + 15.3 + 100 + 12.5 + 88
    expect(sizeOf(own, 'length')).toBeCloseTo(265.8, 1)
    const small = derive(freshOf('strap-wallet', { sized: 'own', ownWide: 90 }))
    expect(stops(small)).toContain('fit')
  })
  test('a second pocket is sewn on three sides before the front is folded up, beside the side seams', () => {
    const laid = derive(freshOf('strap-wallet', { inner: 'laid' }))
    expect(stops(laid)).toEqual([])
    const order = sewn(laid)
    expect(order.indexOf('inner-seam')).toBeLessThan(order.indexOf('side-left'))
    const apart = Math.min(
      ...places(laid, 'inner-seam').flatMap((a) => places(laid, 'side-left').map((b) => pointDistance(a, b))),
    )
    // Half a hole, the clearance, half a hole and the margin lie between both rows.
    expect(apart).toBeGreaterThan(5)
    expect(runOf(laid, 'side-left').join.through).not.toContain('inner')
  })
  test('a strap sewn to its tab has no slots there, and is put on before what would cover the seam', () => {
    const sewnOn = derive(freshOf('strap-wallet', { strapFix: 'sewn', inner: 'laid' }))
    expect(stops(sewnOn)).toEqual([])
    expect(sewnOn.panels.map((p) => [p.id, p.count])).toContainEqual(['back-tab', 1])
    expect(sewnOn.pieces.find((p) => p.panel.id === 'back-tab')!.marks.map((m) => m.type)).not.toContain(
      'slot',
    )
    const order = sewn(sewnOn)
    expect(order.indexOf('tab-back')).toBeLessThan(order.indexOf('strap-end'))
    expect(order.indexOf('strap-end')).toBeLessThan(order.indexOf('inner-seam'))
  })
  test('cut longer, the strap overlaps as much as without', () => {
    const [plain, long] = [0, 20].map((strapLong) => derive(freshOf('strap-wallet', { strapLong })))
    expect(sizeOf(long!, 'strap.length') - sizeOf(plain!, 'strap.length')).toBeCloseTo(20, 6)
    expect(sizeOf(long!, 'strap.tail')).toBeCloseTo(sizeOf(plain!, 'strap.tail'), 6)
  })
})

describe('a wrap wallet whose first turn is a pocket', () => {
  const pocket = derive(freshOf('wrap-wallet', { noteFlaps: 'sewn', folds: 5, cards: 8 }))
  test('is wider by what its seams take, and both sides are sewn alike', () => {
    expect(stops(pocket)).toEqual([])
    const plain = derive(freshOf('wrap-wallet', { noteFlaps: 'none', folds: 5, cards: 8 }))
    // 2 × (3 margin + 0.6 half a hole)
    expect(sizeOf(pocket, 'across') - sizeOf(plain, 'across')).toBeCloseTo(7.2, 1)
    expect(runOf(pocket, 'turn-left').holes).toHaveLength(runOf(pocket, 'turn-right').holes.length)
  })
  test('its holes come on both panels, as far from the fold', () => {
    const { holes } = pocket.pieces.find((p) => p.panel.id === 'body')!
    expect(holes).toHaveLength(4 * runOf(pocket, 'turn-left').holes.length)
  })
})

describe('a wrap wallet with a pocket and note flaps', () => {
  const both = derive(freshOf('wrap-wallet', { noteFlaps: 'both', folds: 5, cards: 8, notes: 10 }))
  const body = both.panels.find((p) => p.id === 'body')!
  test('its flaps are on the third panel, their folds round the notes', () => {
    expect(stops(both)).toEqual([])
    const flaps = body.folds.filter((f) => f.id.startsWith('note'))
    const bends = [1, 2].map((i) => sizeOf(both, `bend.${i}`))
    const third = 2 * sizeOf(both, 'flat') + bends[0]! + bends[1]!
    for (const { from, to } of flaps) {
      expect(Math.min(from.y, to.y)).toBeCloseTo(third + 1, 6)
      expect(Math.max(from.y, to.y)).toBeCloseTo(third + sizeOf(both, 'flat') - 1, 6)
    }
    // π × (0.3 × 10 notes of 0.11 folded once / 2 + half of 1.1)
    expect(flaps[0]!.width).toBeCloseTo(Math.PI * ((0.3 * 20 * 0.11) / 2 + 0.45), 6)
  })
  test('the sides of the first turn are sewn through two layers, the flaps’ turned edges through their own', () => {
    expect(both.runs.map((r) => r.join.id)).toEqual(['turn-left', 'turn-right', 'note-left', 'note-right'])
    const stacks = both.runs.map((r) => new Set(r.holes.map((h) => h.stack.toFixed(2))).size)
    expect(stacks).toEqual([1, 1, 1, 1])
  })
  test('glue of the pocket ends above the flaps', () => {
    for (const { glue } of both.runs.map((r) => r.join).filter((j) => j.id.startsWith('turn')))
      for (const { chain } of glue) expect(['right', 'left-after']).toContain(chain[0])
  })
  test('wrapped, the flaps lie over the first panel, the notes between them and the third', () => {
    const order = both.works[1]!.sheets.filter((s) => s.part === 'whole').map((s) => s.sheet.id)
    const at = (id: string) => order.indexOf(id)
    expect(at('body.1')).toBeLessThan(at('body.left'))
    expect(at('body.left')).toBeLessThan(at('notes'))
    expect(at('notes')).toBeLessThan(at('body.3'))
  })
})
