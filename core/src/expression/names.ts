import { nth } from '../lists/index.js'
/** Names in braces in the words of a formula, as the compiler reads them; any where it only knows that it is text. */
export type NamesIn<Words extends string> = string extends Words
  ? string
  : Words extends `${string}{${infer Name}}${infer Rest}`
    ? Bare<Name> | NamesIn<Rest>
    : never
type Bare<Name extends string> = Name extends `${infer Own} by name` ? Own : Name

/** An input in the words: its name, and whether its own label is written after its number. */
export const INPUT = /\{(\w+)( by name)?\}/g

const known = new Map<string, readonly string[]>()

/** All names in braces, each once, also those that are only told in a reason. */
export function namesIn(words: string): readonly string[] {
  const before = known.get(words)
  if (before) return before
  const names = [...new Set([...words.matchAll(INPUT)].map((m) => nth(m, 1)))]
  known.set(words, names)
  return names
}
