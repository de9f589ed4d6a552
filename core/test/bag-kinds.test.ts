import { describe, expect, test } from 'vitest'
import { findingsOf } from '@drumlin/core/check'
import { derive } from '@drumlin/core/derived'
import { kindOf } from '@drumlin/core/kinds'
import { bagOf, panelOf, sizeOf, spanOf } from './support/bags.js'
import { freshOf } from './support/designs.js'

/** Body 1.8, gusset 1.4, inside 0.9, straps 2.6 mm; neutral-axis factor 0.5. */
const [BODY, GUSSET, INNER, STRAPS] = [1.8, 1.4, 0.9, 2.6]
const BEND = (Math.PI / 2) * 0.5 * BODY
const FLANGE = (2 - Math.PI / 2) * GUSSET

const ids = (kind: string): string[] => derive(freshOf(kind)).panels.map((p) => p.id)
const runsOf = (kind: string): string[] => derive(freshOf(kind)).runs.map((r) => r.join.id)

describe('a tote as it first comes: 320 × 300 × 110, boxed, doubled top, two doubled handles', () => {
  const d = bagOf('tote')
  test('two panels, a pocket, a band for each, a handle', () =>
    expect(ids('tote')).toEqual(['front', 'back', 'facing-front', 'facing-back', 'pocket', 'handle']))
  test('panel: 320 + 110 + two bends, and two allowances of 8', () => {
    expect(sizeOf(d, 'boxed.wide')).toBeCloseTo(320 + BEND + 110 + BEND, 9)
    expect(spanOf(d, 'front').wide).toBeCloseTo(430 + 2 * BEND + 16, 6)
    expect(spanOf(d, 'front').high).toBeCloseTo(300 + BEND / 2 + (110 + BEND) / 2 + 8, 6)
  })
  test('outside it is larger by the leather on either side', () => {
    expect(sizeOf(d, 'bag.out.wide')).toBeCloseTo(320 + 2 * BODY, 9)
    expect(sizeOf(d, 'bag.out.high')).toBeCloseTo(300 + BODY, 9)
  })
  test('handles: two legs of 135, half a circle over 130 round twice the leather, ends of 45', () =>
    expect(sizeOf(d, 'handle.length')).toBeCloseTo(2 * 135 + Math.PI * (65 + 0.5 * 2 * STRAPS) + 90, 9))
  test('the same in gift size', () => {
    const gift = bagOf('tote', {
      wide: 100,
      high: 90,
      deep: 40,
      topBand: 20,
      handleSpan: 60,
      handleRise: 80,
      pocket: 'none',
      lap: 25,
    })
    expect(spanOf(gift, 'front').wide).toBeCloseTo(140 + 2 * BEND + 16, 6)
    expect(findingsOf(gift).filter((f) => f.rank === 'stop')).toEqual([])
  })
  test('sewn from the inside out: pocket and bands first, the body last', () => {
    const order = runsOf('tote')
    expect(order.indexOf('pocket-seam')).toBeLessThan(order.indexOf('side-right'))
    expect(order.indexOf('facing-front-top')).toBeLessThan(order.indexOf('foot-seam'))
  })
})

describe('a flap bag as it first comes: 280 × 210 × 80, raw edges, a flap of 150', () => {
  const d = bagOf('flap-bag')
  test('its gusset is as wide as 80 less the flange, and as long as the line round', () => {
    expect(sizeOf(d, 'bag.deep')).toBeCloseTo(80 - FLANGE, 9)
    const [w, h] = [280 + 2 * GUSSET, 210 + GUSSET]
    expect(sizeOf(d, 'gusset.length')).toBeCloseTo(2 * h + w - (4 - Math.PI) * 30, 9)
    expect(spanOf(d, 'gusset').high).toBeCloseTo(80 - FLANGE + 8, 6)
  })
  test('front: 282.8 and two margins of 4; the back has its flap beside', () => {
    expect(spanOf(d, 'front').wide).toBeCloseTo(280 + 2 * GUSSET + 8, 6)
    expect(spanOf(d, 'back').high - spanOf(d, 'front').high).toBeCloseTo(sizeOf(d, 'flap.over') + 150, 6)
  })
  test('closed by a strap through a loop as wide as the strap and twice the leather on either side', () => {
    expect(sizeOf(d, 'closing.length')).toBeCloseTo(45 + 70, 9)
    expect(sizeOf(d, 'closing.loop')).toBeCloseTo(24 + 4 * BODY + 28, 9)
  })
  test('handle between rings on the flap; the strap’s rings on the gusset’s ends', () => {
    const on = (id: string) => d.fittings.find((f) => f.fitting.id === id)!.fitting.sheet
    expect(on('ring-tab-flap-1-ring')).toBe('back')
    expect(on('tab-right-ring')).toBe('gusset')
  })
  test('it takes no more pieces than it says', () =>
    expect(ids('flap-bag')).toEqual([
      'front',
      'back',
      'gusset',
      'pocket',
      'divider',
      'ring-tab',
      'handle',
      'tab',
      'strap-long',
      'strap-short',
      'keeper',
      'closing-strap',
      'closing-loop',
    ]))
})

describe('a portfolio as it first comes: 330 × 240, 30 deep at the top, folding sides', () => {
  const d = bagOf('portfolio')
  test('a leaf of 30 / (2 sin 60°) = 17.3 along the top, two of them', () => {
    expect(sizeOf(d, 'fan.leaf')).toBeCloseTo(30 / (2 * Math.sin(Math.PI / 3)), 9)
    expect(spanOf(d, 'side').wide).toBeLessThan(2 * 17.4 + 2 * 4 + 1)
    expect(sizeOf(d, 'fan.closed')).toBeCloseTo(2 * GUSSET + 0.5, 9)
  })
  test('front 330 wide and a margin on either side; front and back meet at the foot', () => {
    expect(spanOf(d, 'front').wide).toBeCloseTo(338, 6)
    expect(runsOf('portfolio')).toContain('foot-seam')
  })
  test('a slip for a pad on the back; two card and two pen places under a cover on the front', () => {
    expect(spanOf(d, 'slip').wide).toBeCloseTo(330 - 8, 6)
    const places = 2 * sizeOf(d, 'organiser.card') + 2 * sizeOf(d, 'organiser.pen') + 8
    expect(spanOf(d, 'places').wide).toBeCloseTo(places, 6)
    expect(panelOf(d, 'cover').role).toBe('inner')
  })
  test('in pleats it is twice as many leaves, half as wide', () => {
    const two = bagOf('portfolio', { body: 'bellows', pleats: 2 })
    expect(sizeOf(two, 'fan.leaf')).toBeCloseTo(sizeOf(d, 'fan.leaf') / 2, 9)
    expect(panelOf(two, 'side').folds).toHaveLength(3)
  })
})

describe('a briefcase as it first comes: 380 × 270 × 90, grooved folds, sides set in', () => {
  const d = bagOf('briefcase')
  const groove = 0.55 * BODY
  test('one piece for front, foot, back and flap', () => {
    const around =
      2 * sizeOf(d, 'bag.high') + sizeOf(d, 'bag.deep') + 4 * groove + Math.PI * 0.5 * (BODY - groove)
    expect(sizeOf(d, 'gusset.length')).toBeCloseTo(around, 9)
    expect(spanOf(d, 'body').high).toBeCloseTo(around + sizeOf(d, 'flap.over') + 180, 6)
  })
  test('the board takes 1.5 of the height, so 270 are left', () => {
    expect(sizeOf(d, 'bag.in.high')).toBeCloseTo(270, 9)
    expect(sizeOf(d, 'bag.high')).toBeCloseTo(270 + 1.5 - FLANGE / 2, 9)
  })
  test('the corner squares of the sides’ flanges are cut away', () => {
    const cuts = panelOf(d, 'side').marks!.filter((m) => m.type === 'cuts')
    expect(cuts.flatMap((m) => (m.type === 'cuts' ? m.paths : []))).toHaveLength(2)
  })
  test('plate and post of the lock, four feet, two rings', () => {
    const sorts = d.fittings.map((f) => f.hardware.sort)
    expect(sorts.filter((s) => s === 'lock')).toHaveLength(2)
    expect(sorts.filter((s) => s === 'foot')).toHaveLength(4)
    expect(sorts.filter((s) => s === 'ring')).toHaveLength(2)
  })
  test('a foot goes through body and board', () => {
    const foot = d.fittings.find((f) => f.fitting.role === 'foot')!
    expect(foot.stack!.value).toBeCloseTo(BODY + 1.5, 9)
    expect(foot.wanted!.value).toBeCloseTo(0.92 * (BODY + 1.5) + 1.5, 9)
  })
})

describe('a rucksack as it first comes: 280 × 420 × 120, rolled top, overlapping base', () => {
  const d = bagOf('rucksack')
  test('one piece folded at the foot: twice the panel and no seam there', () => {
    expect(sizeOf(d, 'boxed.high')).toBeCloseTo(420 + BEND / 2 + (120 + BEND) / 2, 9)
    expect(spanOf(d, 'body').high).toBeCloseTo(2 * sizeOf(d, 'boxed.high'), 6)
    expect(runsOf('rucksack')).not.toContain('foot-seam')
  })
  test('the base panel goes over the foot and 60 up either side', () =>
    expect(sizeOf(d, 'base.panel')).toBeCloseTo(120 + BEND + 120, 9))
  test('two straps, each of two parts, from a panel on the back to its lower corners', () => {
    expect(panelOf(d, 'strap-long').count).toBe(2)
    expect(panelOf(d, 'keeper').count).toBe(4)
    expect(sizeOf(d, 'strap.total')).toBeCloseTo(2 * (sizeOf(d, 'strap.long') + sizeOf(d, 'strap.short')), 9)
    expect(d.fittings.filter((f) => f.fitting.role === 'buckle').map((f) => f.fitting.count)).toEqual([2])
  })
  test('the rolled top is cut as much longer as it is turned, and held by a hem on either side', () => {
    const cut = d.pieces.find((p) => p.id === 'body')!.cut
    const ys = cut.segments.map((s) => s.from.y)
    expect(Math.max(...ys) - Math.min(...ys)).toBeGreaterThan(spanOf(d, 'body').high + 2 * 39)
    expect(runsOf('rucksack').filter((id) => id.startsWith('hem'))).toEqual(['hem-front', 'hem-back'])
  })
})

describe('what all bags share', () => {
  const KINDS = ['tote', 'flap-bag', 'portfolio', 'briefcase', 'rucksack'] as const
  test.each(KINDS)('%s says its finished sizes inside and outside', (kind) => {
    const d = bagOf(kind)
    for (const side of ['wide', 'high', 'deep']) {
      expect(sizeOf(d, `bag.in.${side}`)).toBeCloseTo(d.design.params[side] as number, 6)
      expect(sizeOf(d, `bag.out.${side}`)).toBeGreaterThanOrEqual(sizeOf(d, `bag.in.${side}`))
    }
  })
  test.each(KINDS)('%s offers only choices that suit it, and starts with one of them', (kind) => {
    const { fields, defaults } = kindOf(kind)
    for (const field of fields)
      if (field.type === 'choice')
        expect(field.choices.map((c) => c.value)).toContain(
          (defaults as Record<string, unknown>)[field.path[1]!],
        )
  })
  test.each(KINDS)('%s asks hardware only for what it has', (kind) => {
    const d = bagOf(kind)
    const asked = (kindOf(kind).hardware ?? [])
      .filter((r) => r.when?.(d.design.params) ?? true)
      .map((r) => r.id)
    for (const { fitting } of d.fittings) expect(asked).toContain(fitting.role)
  })
  test('pockets and dividers are of the light leather, straps of the firm one', () => {
    const d = bagOf('flap-bag')
    const thickness = (id: string) => d.pieces.find((p) => p.id === id)!.thickness
    expect(thickness('divider')).toBeCloseTo(INNER, 9)
    expect(thickness('strap-long')).toBeCloseTo(STRAPS, 9)
    expect(thickness('gusset')).toBeCloseTo(GUSSET, 9)
  })
})
