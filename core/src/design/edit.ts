import { firstOf } from '../lists/index.js'
import { shared } from '../merge/index.js'
import { problemWords } from '../stores/index.js'
import { type Design, designSchema } from './schema.js'

/** One value put somewhere in the design; `undefined` takes the entry away. */
export interface Change {
  readonly path: readonly (string | number)[]
  readonly value: unknown
}

/** A named thing the maker did: what undo will call it, and what it changes. */
export interface Edit {
  readonly name: string
  readonly changes: readonly Change[]
}

export type Edited =
  | { readonly ok: true; readonly design: Design; readonly inverse: Edit }
  | { readonly ok: false; readonly where: string; readonly why: string }

type Plain = Readonly<Record<string | number, unknown>>

const isContainer = (value: unknown): value is Plain => typeof value === 'object' && value !== null

/** A copy with the value at the path; only what lies along the path is copied. */
function put(target: unknown, path: Change['path'], value: unknown): unknown {
  const [key, ...rest] = path
  if (key === undefined) return value
  const source = isContainer(target) ? target : {}
  const inner = rest.length === 0 ? value : put(source[key], rest, value)
  if (Array.isArray(source))
    return inner === undefined
      ? source.filter((_, i) => i !== key)
      : Object.assign([...source], { [key]: inner })
  const copy = { ...source, [key]: inner }
  if (inner === undefined) delete copy[key]
  return copy
}

/** What stands at a path of a design; undefined where nothing does. */
export const valueAt = (target: unknown, path: Change['path']): unknown =>
  path.reduce<unknown>(
    (inner, key) => (isContainer(inner) && Object.hasOwn(inner, key) ? inner[key] : undefined),
    target,
  )

/** Does an edit: the new design and the edit that takes it back, or the field that won't have it. */
export function applyEdit(design: Design, edit: Edit): Edited {
  const before: Change[] = []
  let next: unknown = design
  for (const { path, value } of edit.changes) {
    before.unshift({ path, value: valueAt(next, path) })
    next = put(next, path, value)
  }
  const checked = designSchema.safeParse(next)
  if (!checked.success) {
    const issue = firstOf(checked.error.issues)
    return {
      ok: false,
      where: issue.path.join('.'),
      why: problemWords(issue),
    }
  }
  return { ok: true, design: shared(checked.data, design), inverse: { name: edit.name, changes: before } }
}

const keyOf = (change: Change): string => change.path.join('\u0000')

/** Two edits done one after the other as one: of changes to the same place, the later counts. */
export function mergedEdits(first: Edit, then: Edit): Edit {
  const later = new Set(then.changes.map(keyOf))
  return { name: then.name, changes: [...first.changes.filter((c) => !later.has(keyOf(c))), ...then.changes] }
}

/** What takes both back: of places both changed, what stood there before the first. */
export function mergedInverses(first: Edit, then: Edit): Edit {
  const earlier = new Set(first.changes.map(keyOf))
  return {
    name: then.name,
    changes: [...then.changes.filter((c) => !earlier.has(keyOf(c))), ...first.changes],
  }
}
