import type { NamedFunction } from './tree.js'

/** A number for each blank in the words. */
type Blanks<Words extends string> = Words extends `${string}_${infer Rest}` ? [number, ...Blanks<Rest>] : []

/** A function that words call: `_` stands for each of its numbers. `, rounded up` is said after its number. */
export const phrase = <Words extends string>(
  words: Words,
  value: (...numbers: Blanks<Words>) => number,
): NamedFunction => ({
  phrase: words
    .split('_')
    .slice(0, words.trimEnd().endsWith('_') ? -1 : undefined)
    .map((between) => between.replace(',', '').split(' ').filter(Boolean)),
  value: (...numbers) => value(...(numbers as Blanks<Words>)),
})

/** What rounding up forgives: sums that come to a whole number but for the last bits of it. */
const HAIR = 1e-9

/** Functions that everybody knows. */
export const GENERAL: readonly NamedFunction[] = [
  phrase('√ _', Math.sqrt),
  phrase('half of _', (one) => one / 2),
  phrase('a third of _', (one) => one / 3),
  phrase('a quarter of _', (one) => one / 4),
  phrase('sine of _', Math.sin),
  phrase('cosine of _', Math.cos),
  phrase('tangent of _', Math.tan),
  phrase('the angle whose sine is _', Math.asin),
  phrase('the angle whose cosine is _', Math.acos),
  phrase('the angle whose tangent is _', Math.atan),
  phrase('_, rounded up', (one) => Math.ceil(one - HAIR)),
  phrase('_, rounded down', (one) => Math.floor(one + HAIR)),
  phrase('_, rounded', Math.round),
  phrase('_, to the coin', (one) => Math.round(100 * one + HAIR) / 100),
]
