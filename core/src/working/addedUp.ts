import type { Term } from './reckoned.js'

/** Terms added up, each by its own name and as often as it is there; nothing where there are none. */
export function addedUp(of: readonly { readonly term: Term; readonly times?: number }[]): {
  readonly formula: string
  readonly inputs: Readonly<Record<string, Term>>
} {
  const words = of.map(({ times = 1 }, i) => `${times === 1 ? '' : `${times} × `}{a${i} by name}`)
  return {
    formula: words.join(' + ') || '0: there is none',
    inputs: Object.fromEntries(of.map(({ term }, i) => [`a${i}`, term])),
  }
}
