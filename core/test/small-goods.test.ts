import { describe, expect, test } from 'vitest'
import { findingsOf } from '@drumlin/core/check'
import { derive } from '@drumlin/core/derived'
import { takenOver } from '@drumlin/core/drawn'
import { MOULDING, evaluate } from '../src/formulas/index.js'
import { boxHeight, boxWidth, pathBox, pathLength, pathPart, point } from '../src/geometry/index.js'
import { thicknessAt, withSkives } from '../src/layup/index.js'
import { kindIds } from '../src/kinds/index.js'
import { edgeChain } from '../src/master/index.js'
import { makeDrawn } from '../src/drawn/panel.js'
import { reckoner } from '../src/working/index.js'
import { book } from './support/book.js'
import { freshOf, sizeOf } from './support/designs.js'
import { HALF_HOLE as HOLE, finishedBox as box, pieceOf as piece, plain } from './support/plain.js'

describe('the card sleeve', () => {
  const d = plain('card-sleeve', { pockets: 2, reveal: 12, shown: 8, corner: 4 })
  test('71.6 high for two cards: 3 + 0.6 + 45.98 + 12 + 8 + 2; both faces alike', () => {
    expect(sizeOf(d, 'height')).toBeCloseTo(3 + HOLE + 45.98 + 12 + 8 + 2, 6)
    expect(piece(d, 'back').count).toBe(2)
    expect(d.master.carries).toEqual(['4 cards', 'folded notes'])
  })
  test('its edge: two backs and on each face a pocket and half a lap', () =>
    expect(d.runs.find((r) => r.join.id === 'outer')!.thickest).toBeCloseTo(2 + 2 * 1.5, 9))
  test('one back, one face, lined: three leaves at the top', () => {
    const one = plain('card-sleeve', { pockets: 1, sides: 'one', centre: 'none', lining: 'lined' })
    expect(one.pieces.filter((p) => p.panel.role !== 'guide').map((p) => [p.id, p.count])).toEqual([
      ['back', 1],
      ['lining', 1],
      ['foot-pocket', 1],
    ])
    expect(thicknessAt(one.works[0]!, point(20, 2))).toBeCloseTo(2, 9)
  })
})

describe('the strap-bound wallet', () => {
  const d = plain('strap-wallet', { currency: 'eur', notes: 20, cards: 4, inner: 'pocket' })
  test('between front and back lie 20 notes, 4 cards and the inner pocket: 2.2 + 3.04 + 1 = 6.24', () => {
    expect(sizeOf(d, 'foot.bend')).toBeCloseTo(Math.PI * (6.24 / 2 + 0.5), 9)
    expect(sizeOf(d, 'flap.bend')).toBeCloseTo(Math.PI * (7.24 / 2 + 0.5), 9)
    expect(sizeOf(d, 'closed.full')).toBeCloseTo(9.24, 9)
  })
  test('the strap goes round it full and overlaps; empty more of it hangs over', () => {
    const high = sizeOf(d, 'closed.height')
    expect(sizeOf(d, 'strap.full')).toBeCloseTo(2 * high + 2 * 9.24 + Math.PI, 9)
    expect(sizeOf(d, 'strap.empty')).toBeCloseTo(2 * high + 2 * 4 + Math.PI, 9)
    expect(sizeOf(d, 'strap.tail') - 60).toBeCloseTo(2 * 5.24, 9)
  })
  test('closed and full the map is as thick as the working says, beside the strap and its tabs', () => {
    const closed = d.works.find((w) => w.layup.id === 'closed')!
    const [flap, back] = [50, 50 + sizeOf(d, 'flap.bend')]
    expect(flap).toBeLessThan(back)
    expect(thicknessAt(closed, point(45, back + 48), true)).toBeCloseTo(9.24, 9)
  })
  test('its sides end where the front ends, and hold back, inner pocket and front', () => {
    const side = d.runs.find((r) => r.join.id === 'side-left')!
    // It starts a margin above the fold and ends a margin under the end of the front.
    expect(side.length).toBeCloseTo(85 - 12 - 2 * 3, 9)
    for (const hole of side.holes.slice(1, -1)) expect(hole.stack).toBeCloseTo(3, 9)
  })
})

describe('the wrap wallet', () => {
  const d = plain('wrap-wallet', { folds: 3, cards: 4, notes: 6, currency: 'eur', ease: 3, fill: 0.3 })
  test('each panel grows by what lies inside it, as the roll fold says', () => {
    const cards = 4 * 0.76 * 0.3
    const notes = 12 * 0.11 * 0.3
    const rolled = book('roll-fold', {
      panels: 4,
      flat: 91.6,
      thickness: 1,
      c1: cards,
      c2: notes,
      c3: 0,
      k: 0.5,
    })
    const total = [1, 2, 3, 4].reduce((sum, n) => sum + rolled[`panel ${n}`]!, 0)
    expect(sizeOf(d, 'length')).toBeCloseTo(total, 9)
    expect(sizeOf(d, 'growth.3')).toBeCloseTo(rolled['panel 3']! - rolled['panel 2']!, 9)
  })
  test('wrapped it is four leaves thick, and no panel stands out beyond the last', () => {
    const closed = d.works[1]!
    expect(thicknessAt(closed, point(41, 140))).toBeCloseTo(4, 9)
    expect(sizeOf(d, 'closed')).toBeCloseTo(4 + 4 * 0.76 + 12 * 0.11, 9)
  })
  test('the ears of the note flaps are cut off, their edges turned', () => {
    const body = d.panels[0]!
    expect(
      body.edges.filter((e) => e.id.includes('ear-cut')).map((e) => pathLength(edgeChain(body, [e.id]))),
    ).toEqual(Array.from({ length: 4 }, () => expect.closeTo(10 * Math.SQRT2, 6)))
    expect(body.edges.filter((e) => e.fate.type === 'turned').map((e) => e.id)).toEqual([
      'note-right',
      'note-left',
    ])
  })
})

describe('the moulded holder', () => {
  const d = plain(
    'moulded-holder',
    { wide: 60, high: 100, deep: 20, edge: 5, shown: 20, shrink: 0, rough: 10 },
    2,
  )
  test('both walls take 40 − 2 × 0.43 × 7 = 34.0; the blank is 60 + 34.0 + two flanges and two margins to trim', () => {
    const extra = evaluate(MOULDING, {
      height: 20,
      slope: Math.PI / 2,
      topRadius: 5,
      footRadius: 0,
      thickness: 2,
      k: 0.5,
    })
    expect(extra).toBeCloseTo(33.99, 2)
    const flange = 4 + HOLE + 2
    expect(boxWidth(box(d, 'front'))).toBeCloseTo(60 + extra + 2 * flange + 20, 6)
    expect(boxHeight(box(d, 'front'))).toBeCloseTo(80 + extra / 2 + flange + 20, 6)
  })
  test('shrinking 3 % asks for 3 % more', () => {
    const more = plain(
      'moulded-holder',
      { wide: 60, high: 100, deep: 20, edge: 5, shown: 20, shrink: 0.03, rough: 10 },
      2,
    )
    expect(boxWidth(box(more, 'front'))).toBeCloseTo(1.03 * boxWidth(box(d, 'front')), 9)
  })
  test('the plate goes over block and leather: 60 + 2 × 2.3 between its legs', () => {
    const plate = d.panels.find((p) => p.id === 'plate')!
    const inner = edgeChain(plate, ['inner-foot']).segments[0]!
    expect(Math.abs(inner.from.x - inner.to.x) + 10).toBeCloseTo(64.6, 6)
    expect(boxWidth(box(d, 'block'))).toBe(60)
  })
  test('formed, the front lies flush on the back all round, and no hole is marked on the blank', () => {
    const [open] = d.works
    const [front, back] = ['front', 'back'].map((id) => open!.sheets.find((s) => s.sheet.id === id)!)
    expect(pathBox(front!.placed)).toEqual(pathBox(back!.placed))
    expect(piece(d, 'front').holes).toEqual([])
    expect(piece(d, 'back').holes.length).toBeGreaterThan(60)
  })
})

describe('the gusseted case', () => {
  const d = plain('gusseted-case', { high: 62, deep: 36, ease: 4, pockets: 0 })
  test('the sides of the gusset are as long as those of the front, whatever its depth', () => {
    const length = (id: string, edge: string): number =>
      pathLength(
        edgeChain(
          d.panels.find((p) => p.id === id)!,
          [edge],
        ),
      )
    expect(length('gusset', 'left')).toBeCloseTo(length('front', 'left'), 9)
    expect(length('gusset', 'right')).toBeCloseTo(length('front', 'right'), 9)
    // √(69.6² − 20²)
    expect(sizeOf(d, 'gusset.high')).toBeCloseTo(Math.sqrt((66 + 3 + HOLE) ** 2 - 400), 6)
  })
  test('each gusset has as many holes along the back as along the front', () => {
    const holes = d.runs.filter((r) => /^(back|front)-/.test(r.join.id)).map((r) => r.holes.length)
    expect(new Set(holes).size).toBe(1)
  })
  test('folded flat, half a gusset lies with its edge on the side of the front', () => {
    const work = d.works[0]!
    const half = work.sheets.find((s) => s.sheet.id === 'gusset-left-back')!
    const { left } = pathBox(pathPart(half.placed, 0, 1))
    expect(left).toBeGreaterThan(-1e-9)
    expect(thicknessAt(work, point(3, 150))).toBeCloseTo(4, 9)
    expect(thicknessAt(work, point(80, 150))).toBeCloseTo(2, 9)
  })
  test('a gusset deeper than the case is high can’t fold: a stop', () =>
    expect(
      findingsOf(plain('gusseted-case', { high: 30, deep: 60, pockets: 0 })).map((f) => f.key),
    ).toContain('concern:gusset-too-deep'))
})

describe('the narrow strap', () => {
  const d = plain('narrow-strap', { edges: 'raw', lining: 'lined' })
  test('round 172 with 6 of ease on 2 mm of strap: 178 + 2π × 0.5 × 2 = 184.28 in all', () => {
    expect(sizeOf(d, 'around')).toBeCloseTo(178 + 2 * Math.PI, 9)
    expect(sizeOf(d, 'usual')).toBeCloseTo(178 + 2 * Math.PI - 46 - 72, 9)
    expect(sizeOf(d, 'long')).toBeCloseTo(60 + 2 * Math.PI + 18 + 22, 9)
  })
  test('worn on the usual hole it goes round what it was made for', () => {
    const usual = d.panels[0]!.marks!.filter((m) => m.type === 'hole')[3]!
    const bar = sizeOf(d, 'long.cut') - sizeOf(d, 'long')
    const flat = ('at' in usual ? usual.at.y - bar : 0) + 46 + 72
    expect(flat - 2 * Math.PI * 0.5 * 2 - 6).toBeCloseTo(172, 9)
  })
  test('the slot for the prong lies where the bar of the buckle does, in the middle of the bend', () => {
    const buckle = d.panels.find((p) => p.id === 'buckle')!
    const slot = buckle.marks!.find((m) => m.id === 'prong')!
    const fold = buckle.folds[1]!
    expect('at' in slot && slot.at.y).toBeCloseTo(fold.from.y, 9)
    expect('length' in slot && slot.length).toBeCloseTo(Math.PI * (1 + 0.5) + 2, 9)
  })
  test('three leaves at a turn-back: strap, lap and lining', () => {
    const lap = d.runs.find((r) => r.join.id === 'tongue-edge')!
    expect(lap.thickest).toBeCloseTo(3, 9)
    expect(lap.holes.some((h) => Math.abs(h.stack - 2) < 1e-9)).toBe(true)
  })
})

describe('taking over by hand', () => {
  test.each(kindIds().filter((id) => id !== 'by-hand'))(
    'every panel of the %s can be drawn on by hand',
    (id) => {
      const d = derive(freshOf(id))
      for (const panel of d.panels.filter((p) => p.role !== 'guide' && !p.stock)) {
        const drawn = takenOver(panel, d.design.leathers[panel.role]!.thickness)
        const { panel: again, faults } = makeDrawn(drawn, d.design.leathers, reckoner({}))
        expect(faults).toEqual([])
        const [was, is] = [pathBox(panel.outline), pathBox(again.outline)]
        for (const side of ['left', 'right', 'top', 'bottom'] as const)
          expect(is[side], `${panel.id} ${side}`).toBeCloseTo(was[side], 2)
      }
    },
  )
  test('a skive wished on any kind’s band reaches its panel', () => {
    const d = derive(freshOf('card-sleeve'))
    const [back] = withSkives(d.panels, { 'back.rim': 0.5 })
    expect(back!.bands.find((b) => b.key === 'back.rim')).toMatchObject({
      start: 0.5,
      end: 0.5,
      planned: true,
    })
  })
})
