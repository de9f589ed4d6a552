import { describe, expect, test } from 'vitest'
import { printMeasure, readWithin } from '../src/sentence/measures.js'

const half = (text: string) => readWithin(text, 'half', 'mm', 'backstitches at the start', 0, 6)
const long = (text: string, unit: 'mm' | 'in') => readWithin(text, 'long', unit, 'thread', 0, 500_000)

describe('backstitches go by halves', () => {
  test.each([
    ['2', 2],
    ['1½', 1.5],
    ['1 1/2', 1.5],
    ['1,5', 1.5],
    ['½', 0.5],
  ])('%s is %d, and is printed so that it is read again', (text, value) => {
    expect(half(text)).toEqual({ ok: true, value })
    expect(half(printMeasure(value, 'half', 'mm'))).toEqual({ ok: true, value })
  })
  test.each(['1.3', 'two', ''])('“%s” is refused in words', (text) =>
    expect(half(text)).toMatchObject({ ok: false, why: expect.stringContaining('does not go by halves') }),
  )
  test('more than there can be is refused with the range', () =>
    expect(half('7')).toEqual({
      ok: false,
      why: 'Backstitches at the start goes from 0 to 6; 7 is too much.',
    }))
})

describe('thread is told in metres or yards', () => {
  test('a bare number is read in what was printed', () => {
    expect(printMeasure(1088.3, 'long', 'mm')).toBe('1.09 m')
    expect(long('1.2', 'mm')).toEqual({ ok: true, value: 1200 })
    expect(long('1.2', 'in')).toMatchObject({ ok: true, value: expect.closeTo(1.2 * 914.4, 6) })
    expect(long('80 cm', 'in')).toMatchObject({ ok: true, value: expect.closeTo(800, 6) })
  })
})
