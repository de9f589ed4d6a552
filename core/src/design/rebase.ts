import { type Change, type Edit, applyEdit, valueAt } from './edit.js'
import { merged, nameOf } from '../merge/index.js'
import type { Design } from './schema.js'

/** Edits done again on a state that somebody else changed. */
export interface Rebased {
  /** The state with all of them that fit. */
  readonly design: Design
  /** Those that fit, as they have become, each with what takes it back and the state it makes. */
  readonly steps: readonly { readonly edit: Edit; readonly inverse: Edit; readonly design: Design }[]
  /** Names of edits that stand where the other wrote something else. */
  readonly over: readonly string[]
  /** Names of edits that do not fit, with why. */
  readonly dropped: readonly { readonly name: string; readonly why: string }[]
}

/**
 * Edits made one after the other on `base`, done on `now`, which came from `base` by another hand. Lists are joined item by
 * item and records field by field; where both wrote the same place the edit stands and is named in `over`. `unfit` may say why
 * a state that the schema allows can't be worked with.
 */
export function rebaseEdits(
  base: Design,
  now: Design,
  edits: readonly Edit[],
  unfit: (design: Design) => string | undefined = () => undefined,
): Rebased {
  let [before, after] = [base, now]
  const over: string[] = []
  const dropped: { name: string; why: string }[] = []
  const steps = edits.flatMap((edit) => {
    const mine = applyEdit(before, edit)
    const fitted = mine.ok ? fittedTo(before, mine.design, after, edit) : undefined
    if (mine.ok) before = mine.design
    const edited = fitted && applyEdit(after, fitted.edit)
    if (!fitted || !edited?.ok) {
      const why =
        edited && !edited.ok ? `${edited.where}: ${edited.why}` : 'what it changes was changed there too'
      dropped.push({ name: edit.name, why })
      return []
    }
    const why = unfit(edited.design)
    if (why !== undefined) {
      dropped.push({ name: edit.name, why })
      return []
    }
    after = edited.design
    if (fitted.over) over.push(edit.name)
    return [{ edit: fitted.edit, inverse: edited.inverse, design: edited.design }]
  })
  return { design: after, steps, over, dropped }
}

/** One edit as it has to be to say on `now` what it said on `before`; undefined where it can't be said. */
function fittedTo(
  before: Design,
  mine: Design,
  now: Design,
  edit: Edit,
): { readonly edit: Edit; readonly over: boolean } | undefined {
  let over = false
  const changes: Change[] = []
  for (const { path } of edit.changes) {
    const there = pathIn(before, now, path)
    if (!there) return undefined
    const one = merged(valueAt(before, path), valueAt(mine, path), valueAt(now, there))
    if (!one) return undefined
    over ||= one.over
    changes.push({ path: there, value: one.value })
  }
  return { edit: { name: edit.name, changes }, over }
}

/** A path of one state in another: items of lists are found again by their names, not their places. */
function pathIn(before: unknown, now: unknown, path: Change['path']): Change['path'] | undefined {
  const there: (string | number)[] = []
  let [a, b] = [before, now]
  for (const key of path) {
    let at = key
    if (Array.isArray(a) && Array.isArray(b) && typeof key === 'number') {
      const name = nameOf(a[key])
      const found = name === undefined ? key : b.findIndex((item) => nameOf(item) === name)
      if (found < 0 || (name === undefined && a.length !== b.length)) return undefined
      at = found
    }
    there.push(at)
    a = valueAt(a, [key])
    b = valueAt(b, [at])
  }
  return there
}
