import type { Field } from '@drumlin/core/kinds'

/** Settings that a note can name: numbers and choices; leather and hardware are chosen with more than a word. */
export const noteSettings = (fields: readonly Field[]): Field[] =>
  fields
    .filter((f) => ['length', 'count', 'share', 'percent', 'pace', 'choice'].includes(f.type))
    .toSorted((a, b) => a.label.localeCompare(b.label))
