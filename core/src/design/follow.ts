import { kindOf } from '../kinds/index.js'
import { type Change, type Edit, applyEdit } from './edit.js'
import type { Design } from './schema.js'

/**
 * An edit with what follows from it: settings that stand at what their kind proposes for its sizes go on standing there.
 * What the maker wrote stays as it is. An edit that the design won't have comes back as it was.
 */
export function withFollowing(design: Design, edit: Edit): Edit {
  const { proposes } = kindOf(design.kind)
  if (!proposes || !edit.changes.some((c) => c.path[0] === 'params')) return edit
  const edited = applyEdit(design, edit)
  if (!edited.ok) return edit
  const [before, after] = [design.params, edited.design.params]
  const [was, is] = [proposes(before), proposes(after)]
  const changes = Object.entries(is).flatMap(([field, value]): Change[] =>
    before[field] === was[field] && after[field] === before[field] && value !== before[field]
      ? [{ path: ['params', field], value }]
      : [],
  )
  return changes.length > 0 ? { name: edit.name, changes: [...edit.changes, ...changes] } : edit
}
