import type { Term } from './reckoned.js'

/** A longer sum is told by its numbers alone. */
const MOST_NAMED = 4

/** Terms added up, each as often as it is there, and by its own name unless there are too many to read; nothing where there are none. */
export function addedUp(of: readonly { readonly term: Term; readonly times?: number }[]): {
  readonly formula: string
  readonly inputs: Readonly<Record<string, Term>>
} {
  const name = of.length > MOST_NAMED ? '' : ' by name'
  const words = of.map(({ times = 1 }, i) => `${times === 1 ? '' : `${times} × `}{a${i}${name}}`)
  return {
    formula: words.join(' + ') || '0: there is none',
    inputs: Object.fromEntries(of.map(({ term }, i) => [`a${i}`, term])),
  }
}
