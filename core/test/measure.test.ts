import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  inchFraction,
  measureSentence,
  parseLength,
  parsePitch,
  parseWeight,
  lengthSaid,
  printBoth,
  printFine,
  printLength,
  printPitch,
  printWeight,
  thicknessSaid,
  withLengths,
} from '../src/measure/index.js'

const mm = (text: string, unit: 'mm' | 'in' = 'mm'): number => {
  const read = parseLength(text, unit)
  if (!read.ok) throw new Error(measureSentence(read.error))
  return read.value
}
const why = (text: string): string => {
  const read = parseLength(text)
  return read.ok ? 'understood' : measureSentence(read.error)
}

describe('two lengths that are compared', () => {
  test('are told as any length where that tells them apart, finer where it does not', () => {
    expect(printBoth(0.9, 1.2, 'mm')).toEqual(['0.9 mm', '1.2 mm'])
    expect(printBoth(1.18, 1.2, 'mm')).toEqual(['1.18 mm', '1.2 mm'])
    expect(printBoth(1.1, 1.2, 'in')).toEqual(['0.043 in', '0.047 in'])
    expect(printBoth(3, 25.4, 'in')).toEqual(['1/8 in', '1 in'])
  })
  test('are never the same figure where they differ by a thousandth of a millimetre', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 500, noNaN: true }),
        fc.double({ min: 0.001, max: 3, noNaN: true }),
        fc.constantFrom<'mm' | 'in'>('mm', 'in'),
        (mm, more, unit) => {
          const [one, other] = printBoth(mm, mm + more, unit)
          expect(one).not.toBe(other)
        },
      ),
    ))
})

describe('lengths as makers write them', () => {
  test.each([
    ['85.6', 85.6],
    ['85,6', 85.6],
    ['85.6 mm', 85.6],
    ['8.5 cm', 85],
    ['2 7/16 in', 61.9125],
    ['2-7/16"', 61.9125],
    ['7/16 in', 11.1125],
    ['0.5in', 12.7],
    ['.5"', 12.7],
    ['2½ in', 63.5],
    ['97 + 2*3', 103],
    ['97 + 2 × 3', 103],
    ['(97 + 3) * 2', 200],
    ['100 / 3', 100 / 3],
    ['2 in + 3 mm', 53.8],
    ['97 + 1 in', 122.4],
    ['3 * 1/2 in', 38.1],
    ['-4', -4],
    ['10 − 2', 8],
  ])('%s is %f mm', (text, expected) => expect(mm(text)).toBeCloseTo(expected, 9))

  test('a bare number follows the unit of the person', () => {
    expect(mm('2 7/16', 'in')).toBeCloseTo(61.9125, 9)
    expect(mm('3 mm', 'in')).toBe(3)
    expect(mm('2 + 1/4', 'in')).toBeCloseTo(57.15, 9)
  })

  test.each([
    ['', 'Nothing is written here.'],
    ['wide', '“wide” was not understood.'],
    ['12 furlong', '“furlong” is not a unit known here.'],
    ['12 mm 5', '“5” was not understood.'],
    ['5 mm * 2 mm', 'mixes units'],
    ['5 / 0', 'divides by nothing'],
    ['1/0 in', 'divides by nothing'],
    ['(97 + 2', 'was not understood'],
    ['97 ~ 2', '“~ 2” was not understood.'],
    ['constructor', 'was not understood'],
    ['1.234,5', 'is it 1234.5, or 1.2345? Write it without the sign between thousands'],
    ['2 + 1,234.5 mm', 'is it 1234.5, or 1.2345?'],
    ['1.234.567,8', 'is it 1234567.8, or 1.2345678?'],
    ['5 constructor', '“constructor” is not a unit known here.'],
  ])('“%s” is refused in words, with an example', (text, words) => {
    expect(why(text)).toContain(words)
    expect(why(text)).toMatch(/ Try .+ or .+\./)
  })

  test('whatever is typed is read or refused, never thrown at the maker', () =>
    fc.assert(
      fc.property(fc.string(), (text) => typeof parseLength(text).ok === 'boolean'),
      { seed: 7, numRuns: 500 },
    ))
})

describe('printing back', () => {
  test('inches are fractions in lowest terms to 1/64', () => {
    expect(inchFraction(61.9125)).toBe('2 7/16')
    expect(inchFraction(25.4)).toBe('1')
    expect(inchFraction(0.3)).toBe('1/64')
    expect(inchFraction(25.39)).toBe('1')
    expect(inchFraction(-12.7)).toBe('−1/2')
    expect(printLength(203.9, 'in')).toBe('8 1/32 in')
  })
  test('what is printed in inches reads back within half of 1/64', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.4, max: 2000, noNaN: true }),
        (length) => Math.abs(mm(printLength(length, 'in')) - length) <= 25.4 / 128 + 1e-9,
      ),
      { seed: 11 },
    ))
  test('millimetres round halves away from nothing and never say −0', () => {
    expect(printLength(1.05, 'mm')).toBe('1.1 mm')
    expect(printLength(-0.001, 'mm')).toBe('0.0 mm')
  })
  test('thickness and pitch in the other tradition', () => {
    expect(printWeight(1.5875, 'in')).toBe('4.0 oz')
    expect(printPitch(25.4 / 7, 'in')).toBe('7.0 spi')
  })
})

describe('leather weight', () => {
  test.each([
    ['4 oz', 1.5875, 1.5875],
    ['4/5 oz', 1.5875, 1.984375],
    ['4-5 oz', 1.5875, 1.984375],
    ['1.6-2.0 mm', 1.6, 2],
    ['2.0 to 1.6 mm', 1.6, 2],
    ['1.6', 1.6, 1.6],
    ['3 irons', 1.5875, 1.5875],
  ])('%s is %f to %f mm', (text, low, high) => {
    const read = parseWeight(text)
    expect(read.ok && read.value.low).toBeCloseTo(low, 9)
    expect(read.ok && read.value.high).toBeCloseTo(high, 9)
  })
  test.each(['', 'thick', '0 mm', '4 stone', '4//5 oz'])('“%s” is refused', (text) =>
    expect(parseWeight(text).ok).toBe(false),
  )
})

describe('pitch', () => {
  test.each([
    ['3.0 mm', 3],
    ['7 spi', 25.4 / 7],
    ['No. 9', 27.07 / 9],
    ['no 9', 27.07 / 9],
  ])('%s is %f mm', (text, pitch) => {
    const read = parsePitch(text)
    expect(read.ok && read.value).toBeCloseTo(pitch, 9)
  })
  test.each(['0 spi', '-3', 'No.', ''])('“%s” is refused', (text) => expect(parsePitch(text).ok).toBe(false))
})

test('a distance less than a rule shows is told to hundredths of a millimetre, or thousandths of an inch', () => {
  expect([printFine(0.17, 'mm'), printFine(0.9676, 'mm,'), printFine(1, 'mm')]).toEqual([
    '0.17 mm',
    '0,97 mm',
    '1.0 mm',
  ])
  expect([printFine(0.17, 'in'), printFine(1, 'in')]).toEqual(['0.007 in', '0.039 in'])
})

test('lengths in the middle of words are told as the maker reads them', () => {
  const words = `cut ${lengthSaid(12)} long, split to ${thicknessSaid(1.2)}, washers ${lengthSaid(0.75)} thick`
  expect(withLengths(words, 'mm')).toBe('cut 12.0 mm long, split to 1.2 mm, washers 0.75 mm thick')
  expect(withLengths(words, 'in')).toBe('cut 15/32 in long, split to 3.0 oz, washers 1/32 in thick')
  expect(withLengths('its {name} stays', 'in')).toBe('its {name} stays')
})
