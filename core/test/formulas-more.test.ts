import { describe, expect, test } from 'vitest'
import * as f from '../src/formulas/index.js'

describe('by pencil', () => {
  test('a Z fold: each bend encloses what lies between its own panels', () => {
    const fold = { flat: 90, thickness: 1, neutral: 0.5, contents: [2, 6], runOut: 0 }
    const { widths, gaps, bundle } = f.zFold(fold)
    expect(gaps).toEqual([2, 6])
    // Bends π (2/2 + 0.5) and π (6/2 + 0.5); the last reaches 2/2 + 1 further, to lie flush.
    expect(widths[0]).toBeCloseTo(90 + (Math.PI * 1.5) / 2, 9)
    expect(widths[1]).toBeCloseTo(90 + (Math.PI * 1.5 + Math.PI * 3.5) / 2, 9)
    expect(widths[2]).toBeCloseTo(90 + (Math.PI * 3.5) / 2 + 2, 9)
    expect(bundle).toBe(11)
    // Rolled, the second bend encloses the first panel and all that lies on it.
    expect(f.rollFold(fold).gaps).toEqual([2, 9])
  })
  test('steps of neighbours in a Z fold: π/4 times what the bends beside them differ by', () => {
    const { widths } = f.zFold({ flat: 90, thickness: 1.2, neutral: 0.5, contents: [1, 3, 4, 6], runOut: 0 })
    expect(widths[2]! - widths[1]!).toBeCloseTo((Math.PI / 4) * (4 - 1), 9)
  })
  test('two V grooves 12 apart, 2 deep in 3 mm: close on 8, 14 outside; 4 apart they close flat', () => {
    expect(f.twoGrooves(12, 3, 2)).toEqual({ inside: 8, outside: 14, closesFlatAt: 4 })
    expect(f.twoGrooves(4, 3, 2).inside).toBe(0)
  })
  test('a 3 mm shank in a 3.3 mm hole through 6 mm loses 6 × (1.21 − 1)', () =>
    expect(f.shankInHole(6, 3, 3.3)).toBeCloseTo(1.26, 9))
  test('V cuts that stop 2 mm short of a quarter turn leave π', () =>
    expect(f.excessAtRoot(Math.PI / 2, 2)).toBeCloseTo(2 * Math.PI, 9))
  test('a flange of 3 + 4 mm round 25 mm is stretched by 7/22', () =>
    expect(f.flangeStrain(25, 3, 4)).toBeCloseTo(7 / 22, 12))
  test('a slant on one face takes a little more thread than none, on both less', () => {
    const stitch = { pitch: 3.38, thickness: 3, slit: 1.2, slant: Math.PI / 4 }
    const plain = 2 * (3.38 + 3)
    expect(f.slantedStitch({ ...stitch, faces: 'one' }) / plain).toBeCloseTo(1.017, 2)
    expect(f.slantedStitch({ ...stitch, faces: 'both' }) / plain).toBeCloseTo(0.925, 2)
    expect(f.slantedStitch({ ...stitch, slit: 0, faces: 'both' })).toBeCloseTo(plain, 9)
  })
})
