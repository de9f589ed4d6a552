import type { DrawnFate, DrawnPanel } from '../drawn/index.js'
import { type Units, printLength } from '../measure/index.js'

/** One decision that differs: what it is about, and how it stands in each draft, in words. */
export interface DecisionChange {
  readonly label: string
  readonly before: string
  readonly now: string
}

type Named = { readonly id: string; readonly name?: string; readonly text?: string; readonly type?: string }

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b)

/** What becomes of an edge, in few words. */
export function sayFate(fate: DrawnFate, unit: Units): string {
  const mm = (v: number): string => printLength(v, unit)
  switch (fate.type) {
    case 'raw':
      return fate.finish === 'left' ? 'left raw' : `raw, ${fate.finish}`
    case 'turned':
    case 'rolled':
      return `${fate.type} ${mm(fate.width)}${fate.lines === 0 ? '' : `, ${fate.lines} row${fate.lines === 1 ? '' : 's'} ${mm(fate.margin)} in`}`
    case 'bound':
      return `bound ${mm(fate.width)}`
    case 'sewn':
      return `sewn ${mm(fate.margin)} in`
    case 'trimmed':
      return `sewn ${mm(fate.margin)} in, trimmed ${mm(fate.trim)}`
    case 'doubled':
      return 'on a fold'
    case 'long':
      return `left ${mm(fate.by)} long`
  }
}

/** Things told apart by id: which came, which went, which were changed. */
function listChanges(label: string, before: readonly Named[], now: readonly Named[]): DecisionChange[] {
  const nameOf = (one: Named): string => one.name ?? one.text ?? one.type ?? one.id
  return [
    ...now.flatMap((one): DecisionChange[] => {
      const old = before.find((b) => b.id === one.id)
      if (!old) return [{ label: `${label} ${nameOf(one)}`, before: 'none', now: 'added' }]
      return same(old, one) ? [] : [{ label: `${label} ${nameOf(one)}`, before: 'as it was', now: 'changed' }]
    }),
    ...before
      .filter((b) => !now.some((one) => one.id === b.id))
      .map((b) => ({ label: `${label} ${nameOf(b)}`, before: 'there', now: 'taken away' })),
  ]
}

function panelChanges(before: DrawnPanel, now: DrawnPanel, unit: Units): DecisionChange[] {
  const label = now.name
  const moved = now.nodes.filter((n, i) => !same(n, before.nodes[i])).length
  const outline: DecisionChange[] =
    same(before.nodes, now.nodes) && same(before.mirror, now.mirror)
      ? []
      : [
          {
            label: `${label}, outline`,
            before: `${before.nodes.length} points`,
            now: `${now.nodes.length} points, ${moved} of them changed`,
          },
        ]
  const fates = now.edges.flatMap((edge): DecisionChange[] => {
    const old = before.edges.find((e) => e.id === edge.id)
    return !old || same(old.fate, edge.fate)
      ? []
      : [{ label: `${label}, ${edge.name}`, before: sayFate(old.fate, unit), now: sayFate(edge.fate, unit) }]
  })
  const rest = (['name', 'role', 'count', 'flipped', 'grain', 'pull', 'split', 'block'] as const).flatMap(
    (key): DecisionChange[] =>
      before[key] === now[key]
        ? []
        : [
            {
              label: `${label}, ${key}`,
              before: String(before[key] ?? 'none'),
              now: String(now[key] ?? 'none'),
            },
          ],
  )
  return [
    ...outline,
    ...fates,
    ...listChanges(`${label}, fold`, before.folds, now.folds),
    ...listChanges(`${label}, skive`, before.skives, now.skives),
    ...listChanges(`${label}, layer`, before.layers, now.layers),
    ...listChanges(`${label}, mark`, before.marks, now.marks),
    ...rest,
  ]
}

/** What was decided differently about the panels drawn by hand. */
export function drawnDecisions(
  before: readonly DrawnPanel[],
  now: readonly DrawnPanel[],
  unit: Units,
): DecisionChange[] {
  return [
    ...now.flatMap((panel) => {
      const old = before.find((p) => p.id === panel.id)
      return old
        ? panelChanges(old, panel, unit)
        : [{ label: `${panel.name}, drawn by hand`, before: 'not there', now: 'drawn' }]
    }),
    ...before
      .filter((p) => !now.some((n) => n.id === p.id))
      .map((p) => ({ label: `${p.name}, drawn by hand`, before: 'drawn', now: 'not there' })),
  ]
}
