import type { Derived } from '@drumlin/core/derived'
import { applyEdit, type Change, type Design, type Edit, mergedEdits } from '@drumlin/core/design'
import { type Field, fieldsOf } from '@drumlin/core/kinds'

/** One way the work could be made: what is changed of the design as it stands. */
export interface Variant {
  readonly name: string
  readonly edit: Edit
}

export const NOTHING_CHANGED: Edit = { name: 'as it is', changes: [] }

/** The design with a variant's changes; as it is where they no longer fit it. */
export function variantOf(design: Design, { edit }: Variant): Design {
  const done = edit.changes.length > 0 ? applyEdit(design, edit) : undefined
  return done?.ok ? done.design : design
}

/** The variant with one more change; the later of two at the same place counts. */
export const withChange = (variant: Variant, edit: Edit): Variant => ({
  ...variant,
  edit: { ...mergedEdits(variant.edit, edit), name: variant.edit.name },
})

const samePath = (a: Change['path'], b: Change['path']): boolean => a.join('\u0000') === b.join('\u0000')

export const withoutField = (variant: Variant, field: Field): Variant => ({
  ...variant,
  edit: { ...variant.edit, changes: variant.edit.changes.filter((c) => !samePath(c.path, field.path)) },
})

/** The settings a variant changes, in the order of the kind. */
export const changedFields = (derived: Pick<Derived, 'kind'>, variant: Variant): readonly Field[] =>
  fieldsOf(derived.kind).filter((f) => variant.edit.changes.some((c) => samePath(c.path, f.path)))
