import { describe, expect, test } from 'vitest'
import { book } from './support/book.js'

const PANELS = { panels: 3, flat: 90, thickness: 1, k: 0.5, c1: 2, c2: 6, c3: 0, runOut: 0 }

describe('by pencil', () => {
  test('a Z fold: each bend encloses what lies between its own panels', () => {
    const made = book('z-fold', PANELS)
    expect([made['gap in fold 1'], made['gap in fold 2']]).toEqual([2, 6])
    // Bends π (2/2 + 0.5) and π (6/2 + 0.5); the last reaches 2/2 + 1 further, to lie flush.
    expect(made['panel 1']).toBeCloseTo(90 + (Math.PI * 1.5) / 2, 9)
    expect(made['panel 2']).toBeCloseTo(90 + (Math.PI * 1.5 + Math.PI * 3.5) / 2, 9)
    expect(made['panel 3']).toBeCloseTo(90 + (Math.PI * 3.5) / 2 + 2, 9)
    expect(made.bundle).toBe(11)
    // Rolled, the second bend encloses the first panel and all that lies on it.
    const rolled = book('roll-fold', PANELS)
    expect([rolled['gap in fold 1'], rolled['gap in fold 2']]).toEqual([2, 9])
  })
  test('steps of neighbours in a Z fold: π/4 times what the bends beside them differ by', () => {
    const made = book('z-fold', { ...PANELS, panels: 5, thickness: 1.2, c1: 1, c2: 3, c3: 4, c4: 6 })
    expect(made['panel 3']! - made['panel 2']!).toBeCloseTo((Math.PI / 4) * (4 - 1), 9)
  })
  test('two V grooves 12 apart, 2 deep in 3 mm: close on 8, 14 outside; 4 apart they close flat', () => {
    expect(book('two-grooves', { apart: 12, thickness: 3, depth: 2 })).toEqual({
      'closes on': 8,
      outside: 14,
      'closes flat at': 4,
    })
    expect(book('two-grooves', { apart: 4, thickness: 3, depth: 2 })['closes on']).toBe(0)
  })
  test('a 3 mm shank in a 3.3 mm hole through 6 mm loses 6 × (1.21 − 1)', () =>
    expect(book('shank-in-hole', { stack: 6, shank: 3, hole: 3.3 }).lost).toBeCloseTo(1.26, 9))
  test('V cuts that stop 2 mm short of a quarter turn leave 2π', () =>
    expect(book('round-corner', { angle: 90, root: 2 })['left where V cuts stop']).toBeCloseTo(
      2 * Math.PI,
      9,
    ))
  test('a flange of 3 + 4 mm round 25 mm is stretched by 7/22', () =>
    expect(book('flange-strain', { radius: 25, seam: 3, beyond: 4 })['stretched by']).toBeCloseTo(7 / 22, 12))
  test('a slant on one face takes a little more thread than none, on both less', () => {
    const stitch = { pitch: 3.38, thickness: 3, slit: 1.2, slant: 45 }
    const plain = 2 * (3.38 + 3)
    const made = book('slanted-stitch', stitch)
    expect(made['slanting on one face']! / plain).toBeCloseTo(1.017, 2)
    expect(made['slanting on both']! / plain).toBeCloseTo(0.925, 2)
    expect(book('slanted-stitch', { ...stitch, slit: 0 })['slanting on both']).toBeCloseTo(plain, 9)
  })
})
