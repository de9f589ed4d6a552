import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { findingsOf, sayFinding } from '@drumlin/core/check'
import { type Derived, toBuy } from '@drumlin/core/derived'
import {
  type Units,
  hasComma,
  isUnits,
  parseLength,
  printArea,
  printLength,
  printLong,
  printPitch,
  printWeight,
  systemOf,
  withComma,
  withLengths,
  withSystem,
} from '@drumlin/core/measure'
import { explain } from '@drumlin/core/working'
import { pieceLabel } from '../src/reckon/index.js'
import { everyDesign, derivedOf } from './support/all.js'

describe('decimals with a comma', () => {
  test('1.4 mm is 1,4 mm; fractions of an inch stay', () => {
    expect([printLength(203.9, 'mm,'), printWeight(1.4, 'mm,'), printPitch(3.005, 'mm,')]).toEqual([
      '203,9 mm',
      '1,4 mm',
      '3,01 mm',
    ])
    expect([printArea(246_000, 'mm,'), printLong(8600, 'mm,'), printLength(61.9125, 'in,')]).toEqual([
      '24,6 dm²',
      '8,6 m',
      '2 7/16 in',
    ])
    expect(printWeight(1.4, 'mm in mm mm,')).toBe('3,5 oz')
  })
  test('what is told apart keeps its comma, and what has none stays without', () => {
    expect(withSystem('mm,', 'thickness', 'in')).toBe('mm in mm mm,')
    expect(withSystem('mm in mm mm,', 'thickness', 'mm')).toBe('mm,')
    expect([withComma('in', true), withComma('in,', false)]).toEqual(['in,', 'in'])
    expect([systemOf('mm in mm mm,', 'thread'), systemOf('mm in mm mm,', 'thickness')]).toEqual(['mm', 'in'])
    expect(['mm,', 'in', 'mm in mm mm,', 'mm,in', ',', 'mm in,', 'mm,,'].map(isUnits)).toEqual([
      true,
      true,
      true,
      false,
      false,
      false,
      false,
    ])
  })
  test('any length that is printed with it is read back the same', () =>
    fc.assert(
      fc.property(fc.double({ min: 0, max: 5000, noNaN: true }), fc.boolean(), (mm, comma) => {
        const unit = withComma('mm', comma)
        const read = parseLength(printLength(mm, unit))
        expect(read.ok && Math.abs(read.value - mm)).toBeLessThan(0.0501)
        expect(hasComma(unit)).toBe(comma)
      }),
    ))
  test('no working and no finding of any demo or kind says a number with a point', () => {
    const unit: Units = 'mm,'
    for (const { name, design } of everyDesign()) {
      const derived = derivedOf(design)
      const lines = [
        ...derived.master.sizes.flatMap(({ size }) => explain(size, unit)),
        ...findingsOf(derived).flatMap((f) =>
          Object.values(sayFinding(f, unit)).filter((w) => typeof w === 'string'),
        ),
      ]
      // The names a maker gave, an iron’s or a leather’s, stay as they are.
      const named = [
        design.iron.name,
        design.thread.name,
        ...Object.values(design.leathers).map((l) => l.name),
      ]
      for (const line of lines)
        expect(
          named.reduce((l, n) => l.replaceAll(n, ''), line),
          name,
        ).not.toMatch(/\d\.\d/)
    }
  })
})

describe('in inches', () => {
  /** What a piece, its hardware and its figures say, that no working is behind. */
  const saidOf = (derived: Derived): string[] => [
    ...derived.pieces.flatMap((p) => pieceLabel(p, { name: '', draft: '' }, 'in').slice(4)),
    ...toBuy(derived, 'in').map((b) => b.note),
    ...derived.master.carries.map((c) => withLengths(c, 'in')),
    ...derived.panels.flatMap((p) => p.folds.map((f) => withLengths(f.note ?? '', 'in'))),
  ]
  test('nothing that is printed or to be bought is told in millimetres, and no length is left out', () => {
    let lengths = 0
    for (const { name, design } of everyDesign())
      for (const words of saidOf(derivedOf(design))) {
        expect(words, name).not.toMatch(/\d mm\b|[{}]/)
        if (/\d in\b/.test(words)) lengths += 1
      }
    expect(lengths).toBeGreaterThan(20)
  })
})
