import { type LaidUp, sheetThickness, laidUpOf } from '../layup/index.js'
import type { Run } from './run.js'

/** What has to come after a run, because it covers the run's holes. */
export interface Covered {
  readonly run: Run
  /** Names of the sheets that then lie over it. */
  readonly by: readonly string[]
  /** Runs that hold those sheets, by id. */
  readonly before: readonly string[]
}

/** Holes covered by fewer than these are a crossing, not a cover. */
const FEW = 2

/** Sheets of leather, not sewn by the run, that lie over its holes on either side. */
function coversOf(run: Run, work: LaidUp): readonly { id: string; name: string }[] {
  if (run.join.away) return []
  return work.sheets
    .filter(
      ({ part, sheet }) =>
        part === 'whole' && sheet.type === 'panel' && !sheet.loose && !run.join.through.includes(sheet.id),
    )
    .filter((s) => {
      let over = 0
      for (const hole of run.holes) {
        if (sheetThickness(s, hole.at) > 0) over += 1
        if (over > FEW) return true
      }
      return false
    })
    .map(({ sheet }) => ({ id: sheet.id, name: sheet.name }))
}

/** What is sewn onto a piece by itself comes before the piece is sewn into the work. */
function withAlone(all: readonly Covered[], works: readonly LaidUp[]): readonly Covered[] {
  const alone = works.filter(({ layup }) => layup.alone)
  if (alone.length === 0) return all
  const panels = new Map(
    works.flatMap(({ sheets }) =>
      sheets.flatMap(({ sheet }) => (sheet.type === 'panel' ? [[sheet.id, sheet.panelId] as const] : [])),
    ),
  )
  const apart = ({ run }: Covered): boolean => alone.some(({ layup }) => layup.id === run.join.layup)
  const later = all.filter((one) => !apart(one))
  return all.map((one): Covered => {
    if (!apart(one)) return one
    const own = new Set(one.run.join.through.map((id) => panels.get(id)))
    const before = later.flatMap(({ run: { join } }) =>
      join.through.some((id) => own.has(panels.get(id))) ? [join.id] : [],
    )
    return { ...one, before: [...new Set([...one.before, ...before])] }
  })
}

/**
 * Which runs must be sewn before which: one whose holes are covered by a sheet that is later held to the same work. What
 * covers it and is held to something else altogether can still be folded away.
 */
export function coverings(runs: readonly Run[], works: readonly LaidUp[]): readonly Covered[] {
  const covered = runs.map((run): Covered => {
    const work = laidUpOf(works, run.join.layup)
    const covers = coversOf(run, work).flatMap((cover) => {
      const holding = runs.filter(
        (r) =>
          r !== run &&
          r.join.through.includes(cover.id) &&
          [...r.join.through, ...(r.join.round ?? [])].some((id) => run.join.through.includes(id)),
      )
      return holding.length > 0 ? [{ ...cover, before: holding.map((r) => r.join.id) }] : []
    })
    return {
      run,
      by: [...new Set(covers.map((c) => c.name))],
      before: [...new Set(covers.flatMap((c) => c.before))],
    }
  })
  return withAlone(covered, works)
}

/** An order to sew in: each run before those that cover it, else as they stand. */
export interface SewingOrder {
  readonly order: readonly Covered[]
  /** Runs that can't be reached in any order: each would have to come before itself. */
  readonly stuck: readonly Covered[]
}

/** Whether a run has to come before itself, by way of others among these. */
function inCircle(start: Covered, among: readonly Covered[]): boolean {
  const seen = new Set<string>()
  const next = [...start.before]
  for (let id = next.pop(); id !== undefined; id = next.pop()) {
    if (id === start.run.join.id) return true
    if (seen.has(id)) continue
    seen.add(id)
    next.push(...(among.find((c) => c.run.join.id === id)?.before ?? []))
  }
  return false
}

/**
 * Where a body is turned between its seams, those inside come before those outside, and what is sewn onto it before either:
 * with them what would otherwise seem to have an order can have none.
 */
function withTurning(all: readonly Covered[]): readonly Covered[] {
  const closing = all.filter(({ run }) => run.join.closes)
  const ids = (hidden: boolean): string[] =>
    closing.flatMap(({ run }) => ((run.join.hidden ?? false) === hidden ? [run.join.id] : []))
  const [inside, outside] = [ids(true), ids(false)]
  if (inside.length === 0 || outside.length === 0) return all
  const body = new Set(closing.flatMap(({ run }) => run.join.through))
  return all.map((one): Covered => {
    const { id, closes, through } = one.run.join
    const later = inside.includes(id) ? outside : closes || !through.some((s) => body.has(s)) ? [] : inside
    return later.length === 0 ? one : { ...one, before: [...new Set([...one.before, ...later])] }
  })
}

/** Each run in the order they stand, but first whatever it would cover. */
export function sewingOrder(runs: readonly Run[], works: readonly LaidUp[]): SewingOrder {
  const all = withTurning(coverings(runs, works))
  const stuck = all.filter((c) => inCircle(c, all))
  const ready = all.filter((c) => !stuck.includes(c))
  const order: Covered[] = []
  const take = (one: Covered): void => {
    if (order.includes(one)) return
    for (const first of ready) if (first.before.includes(one.run.join.id)) take(first)
    order.push(one)
  }
  ready.forEach(take)
  return { order, stuck }
}
