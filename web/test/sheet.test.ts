import { describe, expect, test } from 'vitest'
import { derive } from '@drumlin/core/derived'
import { gathered, pieceDrawing } from '@drumlin/core/drawing'
import { pathBox } from '@drumlin/core/geometry'
import { transect, laidUpOf } from '@drumlin/core/layup'
import { firstCut, keptCut } from '../src/draft/cut.js'
import { ROOM, largestRows } from '../src/draft/arrange.js'
import { printMeasure, printOther, readWithin } from '../src/sentence/measures.js'
import { newBifold } from './support.js'

const derived = derive(newBifold())
const inside = derived.pieces.find((p) => p.id === 'inside')!

describe('a drawing gathered for the screen', () => {
  const { strokes, texts } = gathered(pieceDrawing(inside, derived.design, 'mm'))
  test('hundreds of holes are one element, every one still in it', () => {
    const holes = strokes.filter((s) => s.layer === 'holes')
    expect(holes).toHaveLength(1)
    expect(holes[0]!.d.match(/M/g)).toHaveLength(inside.holes.length)
  })
  test('solid and dashed lines of one layer stay apart, dots are round', () => {
    expect(new Set(strokes.filter((s) => s.layer === 'fold').map((s) => s.dash))).toEqual(
      new Set(['7 2.2', undefined]),
    )
    expect(strokes.find((s) => s.layer === 'glue')!.round).toBe(true)
    expect(new Set(strokes.map((s) => s.key)).size).toBe(strokes.length)
  })
  test('words are kept as words', () => expect(texts.map((t) => t.text)).toContain('Inside'))
})

describe('the pieces on the sheet', () => {
  const shown = (screen: { width: number; height: number }) => {
    const rows = largestRows(derived.pieces, derived.design, screen)
    return Math.min(
      screen.width / (rows.width + ROOM.left + ROOM.right),
      screen.height / (rows.height + ROOM.top + ROOM.bottom),
    )
  }
  test('a wide screen gets wide rows, a tall one tall rows', () => {
    const [wide, tall] = [
      largestRows(derived.pieces, derived.design, { width: 1600, height: 300 }),
      largestRows(derived.pieces, derived.design, { width: 400, height: 900 }),
    ]
    expect(wide.width / wide.height).toBeGreaterThan(tall.width / tall.height)
  })
  test('a larger screen never shows them smaller', () => {
    expect(shown({ width: 1200, height: 600 })).toBeGreaterThanOrEqual(shown({ width: 868, height: 592 }))
    expect(shown({ width: 868, height: 800 })).toBeGreaterThanOrEqual(shown({ width: 868, height: 592 }))
  })
})

describe('a first cut', () => {
  test('runs down the right side of the open work, from above its piece to below', () => {
    const cut = firstCut(derived, 'open')
    const box = pathBox(inside.finished)
    expect(cut.from.x).toBeCloseTo(box.right - 4, 9)
    expect([cut.from.y, cut.to.y]).toEqual([box.top - 4, box.bottom + 4])
  })
  test('meets the closed work where that lies, at its thickest', () => {
    const cut = firstCut(derived, 'closed')
    expect(transect(laidUpOf(derived.works, 'closed'), cut.from, cut.to).thickest).toBeGreaterThan(5)
  })
  test('a cut that meets the work is kept, one that does not is moved', () => {
    const left = { from: { x: 20, y: -4 }, to: { x: 20, y: 90 } }
    expect(keptCut(derived, 'closed', left)).toBe(left)
    expect(keptCut(derived, 'closed', firstCut(derived, 'open'))).not.toEqual(firstCut(derived, 'open'))
  })
})

describe('a number in a sentence', () => {
  test.each([
    ['length', 12, 'mm', '12.0 mm', '15/32 in'],
    ['fine', 3.008, 'mm', '3.008 mm', '1/8 in'],
    ['thickness', 1.4, 'mm', '1.4 mm', '3.5 oz'],
    ['pitch', 3.008, 'in', '8.4 spi', ''],
    ['count', 3, 'mm', '3', ''],
    ['share', 0.6, 'in', '0.6', ''],
  ] as const)('%s %f prints in %s as %s, the other way as %s', (sort, value, unit, text, other) => {
    expect(printMeasure(value, sort, unit)).toBe(text)
    expect(printOther(value, sort, unit)).toBe(other)
  })
  test('what is printed reads back as what it was, within what is shown', () => {
    for (const [sort, value] of [
      ['length', 12.3],
      ['fine', 3.008],
      ['thickness', 1.35],
      ['pitch', 3.38],
      ['count', 4],
      ['share', 0.015],
    ] as const) {
      const read = readWithin(printMeasure(value, sort, 'mm'), sort, 'mm', 'it', 0, 100)
      expect(read.ok && read.value).toBeCloseTo(value, 2)
    }
  })
  test.each([
    ['', 'count', /“” is not a number/],
    ['some', 'share', /“some” is not a number/],
    ['-3', 'length', /too little/],
    ['No.', 'pitch', /not understood/],
  ] as const)('“%s” as %s is refused in words', (text, sort, why) => {
    const read = readWithin(text, sort, 'mm', 'it', 0, 100)
    expect(read.ok ? 'read' : read.why).toMatch(why)
  })
})
