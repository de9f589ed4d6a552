import { describe, expect, test } from 'vitest'
import { explainLine } from '@drumlin/core/working'
import { basicsOf, counted, notesMaybe, sizeBy } from '../src/kinds/parts/basics.js'
import { aboveSeam, betweenSeams, needed, present } from '../src/kinds/parts/fits.js'
import { STARTER_STORES } from '../src/stores/index.js'
import { given, reckoner } from '../src/working/index.js'

const reckon = reckoner({})
const materials = { leathers: {}, iron: STARTER_STORES.irons[1]!, hardware: {}, skives: {} }

describe('what every kind begins with', () => {
  test('half a hole across the seam: half of a 1.7 mm slot at 45° is 0.60', () => {
    const { hole, margin, pitch } = basicsOf(3.2, materials, reckon)
    expect(hole.value).toBeCloseTo(0.601, 3)
    expect([margin.value, pitch.value]).toEqual([3.2, STARTER_STORES.irons[1]!.pitch])
  })
  test('no currency, no notes; eight euro notes are 153 by 77 and 0.88 thick', () => {
    expect(notesMaybe({ currency: 'none', notes: 8 })).toBeUndefined()
    expect(notesMaybe({ currency: 'eur', notes: 8 })).toEqual({
      long: 153,
      short: 77,
      count: 8,
      thickness: expect.closeTo(0.88, 9),
    })
    expect(() => notesMaybe({ currency: 'shells', notes: 1 })).toThrow(/no currency “shells”/)
  })
  test('what is carried is counted as it is said', () =>
    expect([counted(0, 'card'), counted(1, 'card'), counted(6, 'card')]).toEqual([
      [],
      ['1 card'],
      ['6 cards'],
    ]))
  test('a size keeps its working beside it', () => {
    const sum = sizeBy(reckon)('k', 'width', '{a} + 2 × {b}', '§9', { a: given('a', 80), b: given('b', 3) })
    expect([sum.value, explainLine(sum, 'mm')]).toEqual([86, 'width 86.0 = 80.0 + 2 × 3.0'])
  })
  test('and a number written over it wins', () => {
    const own = sizeBy(reckoner({ k: 90 }))('k', 'width', '{a}', '§9', { a: given('a', 80) })
    expect([own.value, own.figured, own.overridden]).toEqual([90, 80, true])
  })
})

describe('what fits', () => {
  const basics = basicsOf(3, materials, reckon)
  const hundred = present(reckon, 'width', 'width', given('width', 100), '§9')
  test('between the seams 100 leave 100 − 2 × 3.6; above the foot 100 − 3.6', () => {
    expect(betweenSeams(reckon, 'fit.a', hundred, basics, '§9').value).toBeCloseTo(100 - 2 * 3.60104, 4)
    expect(aboveSeam(reckon, 'fit.b', hundred, basics, '§9').value).toBeCloseTo(100 - 3.60104, 4)
  })
  test('what is needed says what it is', () => {
    expect(explainLine(needed(reckon, 'fit.c', 'note', 77, '§2'), 'mm')).toBe('needs 77.0: note')
    expect(explainLine(hundred, 'mm')).toBe('width 100.0: as it is set')
  })
})
