import type { Field, Sentence } from '../settings/index.js'

/** What a sentence is made of: words, and settings that stand in it. */
export type SentencePart = { readonly words: string } | { readonly field: Field }

/**
 * A sentence taken apart. `{id}` stands for a setting. A phrase in square brackets is left out where a setting in it
 * plays no part in the work as it is: `Top edges {top}[, {topBand} wide]`.
 */
export function sentenceParts(
  sentence: Sentence,
  fields: readonly Field[],
  params: Readonly<Record<string, unknown>>,
): SentencePart[] {
  const known = new Map(fields.map((f) => [f.id, f]))
  const parts = (text: string): SentencePart[] =>
    text
      .split(/(\{[\w-]+\})/)
      .filter(Boolean)
      .map((part): SentencePart => {
        const field = part.startsWith('{') ? known.get(part.slice(1, -1)) : undefined
        return field ? { field } : { words: part }
      })
  return sentence.split(/(\[[^\]]*\])/).flatMap((phrase) => {
    if (!phrase.startsWith('[')) return parts(phrase)
    const inner = parts(phrase.slice(1, -1))
    return inner.every((part) => !('field' in part) || (part.field.when?.(params) ?? true)) ? inner : []
  })
}
