import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { GENERAL, inputsOf, namesIn, parse, phrase, valueOf } from '../src/expression/index.js'

const read = (words: string) => parse(words, GENERAL)
const worth = (words: string, values: Record<string, number> = {}): number => valueOf(read(words), values)

describe('words come to what they say', () => {
  test.each([
    ['2 × {a} + {b} round the fold', 2 * 3 + 5],
    ['{a} − {b} − {b}', 3 - 5 - 5],
    ['{b} / {a} / 2', 5 / 3 / 2],
    ['−{a} + {b}', 2],
    ['2/π × {a}', (2 / Math.PI) * 3],
    ['({a} + {b})² / 4', 16],
    ['{a}³', 27],
    ['√({a}² + 4²)', 5],
    ['half of {b} note + {a} ease', 5.5],
    ['a third of {a}', 1],
    ['a quarter of ({a} + {b})', 2],
    ['half of {b} slot × sine of {a} slant', 2.5 * Math.sin(3)],
    ['1 − cosine of {a}', 1 - Math.cos(3)],
    ['tangent of half of {a}', Math.tan(1.5)],
    ['2 × the angle whose tangent is ({a} / {b})', 2 * Math.atan2(3, 5)],
    ['the angle whose sine is 1 and a word', Math.PI / 2],
    ['the angle whose cosine is 0', Math.PI / 2],
    ['the largest of {a} for the cards, {b} for the notes and 4 at least', 5],
    ['the smaller of {a} as asked and {b} that shows', 3],
    ['the larger of {a} and the smaller of {b} and 4', 4],
    ['2 + (the larger of {a} and {b})', 7],
    ['{b} / {a}, rounded up', 2],
    ['{b} / {a}, rounded down to whole layers', 1],
    ['{b} / {a} + 0, rounded', 2],
    ['{a}, at least {b}', 5],
    ['{a}, no nearer than {b} + 1', 6],
    ['{a} − {b}, at least 0, at most {a}', 0],
    ['{a} / {b}, rounded up, at least 1', 1],
    ['{a}: of the {b}-prong iron', 3],
    ['{a} + {b}; deep ones counted longer', 8],
    ['{a} − {b}, so that it can be gripped', -2],
    ['0: there is none', 0],
  ])('%s', (words, value) => expect(worth(words, { a: 3, b: 5 })).toBeCloseTo(value, 12))
  test('sums that come to a whole number but for their last bits are not rounded up past it', () =>
    expect(worth('(0.1 + 0.2) / 0.1, rounded up')).toBe(3))
  test('functions of the craft are called by a phrase', () => {
    const known = [...GENERAL, phrase('the arc over _ and _', (a, b) => a! * b!)]
    expect(valueOf(parse('1 + the arc over {a} and {b} twice', known), { a: 3, b: 5 })).toBe(16)
  })
})

describe('words that say no number are refused, with the words', () => {
  test.each([
    ['', 'wants a number'],
    ['{a} +', 'wants a number before “”'],
    ['{a} {b}', 'wants the end of the sum before “{b}”'],
    ['{a} lap {b}', 'wants the end of the sum'],
    ['({a} + {b}', 'wants the end of the brackets'],
    ['the larger of {a}', 'wants another member of the list'],
    ['2 × room', 'wants a number before “room”'],
    ['{a}, rounded up, {b}', 'wants the end of the sum'],
    ['{a} % 2', '“% 2” says nothing'],
    ['{a} = {b}', '“= {b}” says nothing'],
  ])('%s', (words, why) => expect(() => read(words)).toThrow(why))
  test('a number that is named and not given is missed by name', () =>
    expect(() => worth('{a} + {b}', { a: 1 })).toThrow('{b}'))
})

describe('over random sums', () => {
  /** A sum as words and as what it comes to. */
  const sums = fc.letrec<{ sum: { words: string; value: number } }>((tie) => ({
    sum: fc.oneof(
      { maxDepth: 4 },
      fc.integer({ min: 0, max: 99 }).map((n) => ({ words: `${n} mm`, value: n })),
      fc.tuple(tie('sum'), fc.constantFrom('+', '−', '×', '/'), tie('sum')).map(([a, sign, b]) => ({
        words: `(${a.words}) ${sign} (${b.words})`,
        value: {
          '+': a.value + b.value,
          '−': a.value - b.value,
          '×': a.value * b.value,
          '/': a.value / b.value,
        }[sign]!,
      })),
      fc.tuple(tie('sum'), tie('sum')).map(([a, b]) => ({
        words: `the larger of (${a.words}) and (${b.words})`,
        value: Math.max(a.value, b.value),
      })),
      tie('sum').map((a) => ({ words: `half of (${a.words})`, value: a.value / 2 })),
    ),
  })).sum
  test('the words come to the number', () =>
    fc.assert(
      fc.property(sums, ({ words, value }) => {
        const got = worth(words)
        if (Number.isFinite(value)) expect(got).toBeCloseTo(value, 6)
        else expect(Number.isFinite(got)).toBe(false)
      }),
      { seed: 7, numRuns: 500 },
    ))
})

test('inputs are those that are reckoned with; names are also those that are only told', () => {
  const words = '2 × {a} + the larger of {b by name} and √{c} − {a}; its edges are {d}'
  expect(inputsOf(read(words))).toEqual(['a', 'b', 'c'])
  expect(namesIn(words)).toEqual(['a', 'b', 'c', 'd'])
})
