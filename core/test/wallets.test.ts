import { describe, expect, test } from 'vitest'
import { findingsOf, fixesOf, sayFinding } from '@drumlin/core/check'
import { boxHeight, boxWidth, pathBox, pathLength } from '../src/geometry/index.js'
import { edgeChain } from '../src/master/index.js'
import { sizeOf } from './support/designs.js'
import { HALF_HOLE as HOLE, finishedBox as box, pieceOf as piece, plain } from './support/plain.js'

describe('the bifold with everything in it', () => {
  const d = plain('bifold', {
    lining: 'lined',
    divider: 'plain',
    cutAway: 'foot',
    hidden: 'behind',
    notes: 10,
    foldShare: 1,
  })
  test('divider: π × (0.5 + 0.55 of the notes + 0.5) = 4.87 longer; lining and outside by what lies under them', () => {
    expect(sizeOf(d, 'divider.taken')).toBeCloseTo(Math.PI * (0.5 + 0.55 + 0.5), 9)
    expect(sizeOf(d, 'lining.taken')).toBeCloseTo(Math.PI * (0.5 + 1.1 + 1 + 0.5), 9)
    expect(sizeOf(d, 'fold.taken')).toBeCloseTo(Math.PI * (0.5 + 1.1 + 2 + 0.5), 9)
    expect(boxWidth(box(d, 'outside')) - boxWidth(box(d, 'lining'))).toBeCloseTo(Math.PI, 9)
  })
  test('the inside is cut away between the ends of the outer seams', () => {
    const cut = sizeOf(d, 'inside.cutAway')
    const reach = sizeOf(d, 'pocket.width') - 3
    expect(cut).toBeCloseTo(sizeOf(d, 'inside.width') - 2 * (reach + 3 + HOLE), 6)
    const inside = d.panels.find((p) => p.id === 'inside')!
    const bite = edgeChain(inside, ['cut-away'])
    expect(Math.abs(bite.segments[0]!.from.x - bite.segments[0]!.to.x)).toBeCloseTo(cut, 9)
    const outer = d.runs.find((r) => r.join.id === 'outer-right')!
    expect(outer.holes.at(-1)!.at.x).toBeCloseTo(sizeOf(d, 'inside.width') - reach, 6)
  })
  test('a hidden pocket opens to the fold: the seam beside it goes through the backing, not the inside', () => {
    const inner = d.runs.find((r) => r.join.id === 'inner-left')!
    for (const hole of inner.holes) expect(hole.sheets).not.toContain('inside-left')
    expect(inner.holes[5]!.sheets).toContain('backing-left')
  })
  test('with a coin pocket the right half has no cards, and cap and stud of the snap lie on one place', () => {
    const coins = plain('bifold', { coins: 'right' })
    expect(coins.master.carries).toEqual(['3 cards', '8 notes', 'coins'])
    expect(piece(coins, 'foot-pocket').count).toBe(1)
    const [open] = coins.works
    const at = (half: 'upper' | 'lower') => {
      const { fitting } = coins.fittings.find((f) => f.fitting.half === half)!
      const laid = open!.sheets.find((s) => s.sheet.id === fitting.sheet)!
      const { a, c, e, b, d, f } = laid.sheet.move
      return [a * fitting.at.x + c * fitting.at.y + e, b * fitting.at.x + d * fitting.at.y + f]
    }
    const [cap, stud] = [at('upper'), at('lower')]
    expect(cap[0]).toBeCloseTo(stud[0]!, 9)
    expect(cap[1]).toBeCloseTo(stud[1]!, 9)
  })
})

describe('schools of pockets, four of them, leather 1 mm', () => {
  const edge = (school: string): number =>
    plain('bifold', { pockets: 4, school, currency: 'none' }).runs.find((r) => r.join.id === 'outer-left')!
      .thickest
  test('at the edge: butted 2 + 1, lapped 2 + 1.5, full width 2 + 4, slits 2 + 1', () => {
    expect(edge('butted')).toBeCloseTo(3, 9)
    expect(edge('lapped')).toBeCloseTo(3.5, 9)
    expect(edge('overlap')).toBeCloseTo(6, 9)
    expect(edge('slits')).toBeCloseTo(3, 9)
  })
  test('the arm of a full-width pocket alone is cut over size; the side under it is not', () => {
    const d = plain('bifold', { pockets: 3, school: 'overlap', trim: 2 })
    const pocket = d.panels.find((p) => p.id === 'pocket')!
    const trim = (id: string) => {
      const fate = pocket.edges.find((e) => e.id === id)!.fate
      return fate.type === 'raw' ? fate.trim : -1
    }
    expect([trim('left-arm'), trim('left'), trim('right-arm')]).toEqual([2, 0, 0])
    expect(boxWidth(pathBox(piece(d, 'pocket').cut)) - boxWidth(box(d, 'pocket'))).toBeCloseTo(2, 6)
  })
  test('a slit lets its card through, with round ends, and stands in cloth as deep as the card goes', () => {
    const d = plain('bifold', { pockets: 2, school: 'slits', shown: 10 })
    expect(sizeOf(d, 'pocket.slit')).toBeCloseTo(85.6 + 0.76 + 3, 9)
    const slits = d.panels.find((p) => p.id === 'slit-panel')!.marks!.filter((m) => m.type === 'slot')
    expect(slits.map((m) => m.type === 'slot' && [m.length, m.punch])).toEqual([
      [85.6 + 0.76 + 3, 2],
      [85.6 + 0.76 + 3, 2],
    ])
    expect(boxHeight(box(d, 'pouch'))).toBeCloseTo(2 * 43.98 + 6, 9)
    expect(piece(d, 'pouch').count).toBe(4)
  })
  test('slits with nothing behind them are a stop, and the pocket of cloth is the way out', () => {
    const d = plain('bifold', { school: 'slits', pouch: 'none' })
    const stop = findingsOf(d).find((f) => f.key === 'concern:slit-without-pouch')!
    expect(stop.rank).toBe('stop')
    expect(sayFinding(stop, 'mm').what).toBe('The slits have nothing behind them.')
    expect(fixesOf(stop, d).map((f) => f.label)).toEqual(['A pocket of thin cloth behind each slit'])
  })
  test('glued feet have no stitches but still their glue; sewn ones no glue', () => {
    const runs = (feet: string): number =>
      plain('bifold', { feet }).runs.filter((r) => r.join.id.startsWith('foot')).length
    expect([runs('glued'), runs('sewn'), runs('both')]).toEqual([0, 4, 4])
    const glue = (feet: string): number =>
      piece(plain('bifold', { feet }), 'pocket').marks.filter((m) => m.type === 'glue').length
    expect(glue('glued')).toBe(glue('both'))
    expect(glue('sewn')).toBe(glue('both') - 1)
  })
  test('a thumb notch is a bite out of the top; then little of the card has to show', () => {
    const notched = plain('bifold', { grip: 'notch', shown: 3 })
    expect(findingsOf(notched).filter((f) => f.key === 'fit:card-grip')).toEqual([])
    expect(findingsOf(plain('bifold', { shown: 3 })).some((f) => f.key === 'fit:card-grip')).toBe(true)
    const top = notched.panels.find((p) => p.id === 'pocket')!
    expect(pathLength(edgeChain(top, ['top']))).toBeGreaterThan(boxWidth(pathBox(top.outline)) + 3)
  })
  test('turned tops are cut 7.9 over size, hold a tape, and are sewn before they are laid on', () => {
    const d = plain('bifold', { tops: 'turned' })
    // 8 wide, π × 0.5 × 1 − 2 × 1 = −0.43 round the bend.
    expect(boxHeight(pathBox(piece(d, 'pocket').cut)) - boxHeight(box(d, 'pocket'))).toBeCloseTo(
      8 + Math.PI / 2 - 2,
      6,
    )
    expect(piece(d, 'stay').count).toBe(6)
    expect(d.runs.filter((r) => r.join.id.startsWith('pocket-top-row')).length).toBe(6)
  })
})
