import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { cutterAnswer, heard, readLine } from '@drumlin/core/devices'

const read = (line: string, bare: 'mm' | 'in' | 'g' = 'mm') => {
  const got = readLine(line, bare)
  return got.ok ? [got.reading.what, Math.round(got.reading.value * 1e6) / 1e6, got.reading.held] : got.why
}

describe('what a device sends, read', () => {
  test.each([
    ['+     85.41 mm', ['length', 85.41, false]],
    ['85,41', ['length', 85.41, false]],
    ['H +  2.38mm', ['length', 2.38, true]],
    ['HOLD 2.38 mm', ['length', 2.38, true]],
    ['3.5000 in', ['length', 88.9, false]],
    ['1"', ['length', 25.4, false]],
    ['123.4 g', ['weight', 123.4, false]],
    ['0.25 kg', ['weight', 250, false]],
  ] as const)('%s', (line, told) => expect(read(line)).toEqual(told))
  test('a number without a unit is taken as the device is said to be set', () => {
    expect(read('1.5', 'in')).toEqual(['length', 38.1, false])
    expect(read('214', 'g')).toEqual(['weight', 214, false])
  })
  test.each([
    ['E-- ?? 8#.', 'is no reading'],
    ['', 'is no reading'],
    ['12 furlongs', 'a unit that is not known'],
    ['-0.30 mm', 'less than nothing'],
    ['9999 in', 'more than any such device'],
    ['1e9 mm', 'is no reading'],
  ])('“%s” is refused in words', (line, why) => expect(read(line)).toContain(why))
  test('whatever a device says, it is read or refused, never thrown at', () =>
    fc.assert(
      fc.property(fc.string({ maxLength: 400 }), (line) => {
        const got = readLine(line, 'mm')
        if (got.ok) expect(Number.isFinite(got.reading.value) && got.reading.value >= 0).toBe(true)
        else expect(got.why.length).toBeLessThan(140)
      }),
    ))
})

describe('lines in pieces', () => {
  const line = fc.stringMatching(/^[A-Z0-9+. ]{1,30}$/).filter((l) => l.trim() === l)
  test('however they come, the same lines are heard', () =>
    fc.assert(
      fc.property(
        fc.array(line, { minLength: 1, maxLength: 8 }),
        fc.constantFrom('\r\n', '\n', '\r'),
        fc.array(fc.integer({ min: 1, max: 20 }), { minLength: 1, maxLength: 40 }),
        (lines, end, cuts) => {
          const text = lines.map((l) => l + end).join('')
          const got: string[] = []
          let [rest, at, i] = ['', 0, 0]
          while (at < text.length) {
            const size = cuts[i % cuts.length]!
            const now = heard(rest, text.slice(at, at + size))
            got.push(...now.lines)
            rest = now.rest
            at += size
            i += 1
          }
          expect(got).toEqual(lines)
          expect(rest).toBe('')
        },
      ),
    ))
  test('what has no end is kept until it is longer than any line, then thrown away and told', () => {
    expect(heard('+   8', '5.4')).toEqual({ lines: [], rest: '+   85.4', lost: 0 })
    expect(heard('', 'x'.repeat(500))).toEqual({ lines: [], rest: '', lost: 500 })
  })
})

test('a cutter’s answer: nothing, what it complains of, or no answer', () => {
  expect(cutterAnswer('0\r\n')).toEqual({ fine: true })
  expect(cutterAnswer('6')).toMatchObject({ fine: false, why: expect.stringContaining('beyond its bed') })
  expect(cutterAnswer('99')).toMatchObject({ why: expect.stringContaining('its own manual') })
  expect(cutterAnswer('what?')).toMatchObject({ why: expect.stringContaining('no number of an error') })
})
