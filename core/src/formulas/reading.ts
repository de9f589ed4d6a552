import { type Expression, GENERAL, type NamesIn, parse, valueOf } from '../expression/index.js'
import { NAMED } from './named.js'

const known = new Map<string, Expression>()

/** The formula that these words are. Throws a SyntaxError, with the words, where they are none. */
export function formulaOf(words: string): Expression {
  const before = known.get(words)
  if (before) return before
  const read = parse(words, [...NAMED, ...GENERAL])
  known.set(words, read)
  return read
}

/** What the formula in these words comes to with those numbers; angles in radians. */
export const evaluate = <const Words extends string>(
  words: Words,
  values: Readonly<Record<NamesIn<Words>, number>>,
): number => valueOf(formulaOf(words), values)
