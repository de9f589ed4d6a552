import { groupOf } from '../learning/index.js'
import type { Mistake } from '../makings/index.js'
import type { Entry, EntryStep } from './entry.js'

/** Which makings are looked back on. */
export interface Lens {
  readonly year?: string | undefined
  readonly kind?: string | undefined
  readonly client?: string | undefined
  readonly leather?: string | undefined
}

/** The day by which a making is counted: when it was finished, else when it was begun. */
export const dayOfEntry = ({ finished, begun }: Entry): string => finished ?? begun

export const seenThrough = (entries: readonly Entry[], lens: Lens): Entry[] =>
  entries
    .filter(
      (e) =>
        (lens.year === undefined || dayOfEntry(e).startsWith(lens.year)) &&
        (lens.kind === undefined || e.kind === lens.kind) &&
        (lens.client === undefined || e.client === lens.client) &&
        (lens.leather === undefined || e.leathers.includes(lens.leather)),
    )
    .toSorted((a, b) => dayOfEntry(a).localeCompare(dayOfEntry(b)) || a.id.localeCompare(b.id))

/** Steps with a time: only those can be compared. */
const timed = ({ steps }: Entry): readonly EntryStep[] => steps.filter((s) => s.actual > 0)

export interface Hours {
  readonly planned: number
  readonly actual: number
}
const hoursSum = (steps: readonly EntryStep[]): Hours => ({
  planned: steps.reduce((sum, s) => sum + s.planned, 0),
  actual: steps.reduce((sum, s) => sum + s.actual, 0),
})

/** Minutes planned and taken of each making, steps with a time only. */
export const hoursBy = (entries: readonly Entry[]): readonly (Hours & { readonly entry: Entry })[] =>
  entries.map((entry) => ({ entry, ...hoursSum(timed(entry)) }))

/** Minutes planned and taken by sort of work, what took most first. */
export function hoursBySort(
  entries: readonly Entry[],
): readonly (Hours & { readonly id: string; readonly label: string })[] {
  const by = new Map<string, { id: string; label: string; steps: EntryStep[] }>()
  for (const step of entries.flatMap(timed)) {
    const { id, label } = groupOf(step.sort)
    const found = by.get(id) ?? { id, label, steps: [] }
    found.steps.push(step)
    by.set(id, found)
  }
  return [...by.values()]
    .map(({ id, label, steps }) => ({ id, label, ...hoursSum(steps) }))
    .toSorted((a, b) => b.actual - a.actual)
}

/** “Half of your hours are sewing by hand; finishing edges took twice what you reckon.” Empty where there is nothing to say. */
export function hoursSaid(entries: readonly Entry[]): string {
  const by = hoursBySort(entries)
  const all = by.reduce((sum, b) => sum + b.actual, 0)
  const [most] = by
  if (!most || all === 0) return ''
  const share = Math.round((100 * most.actual) / all)
  const far = by
    .filter((b) => b.actual >= 30 && b.planned > 0 && b !== most)
    .toSorted(
      (a, b) => Math.abs(Math.log(b.actual / b.planned)) - Math.abs(Math.log(a.actual / a.planned)),
    )[0]
  const took = far && Math.abs(Math.log(far.actual / far.planned)) > 0.2 ? far : undefined
  return `${share} % of your hours are ${most.label}${took ? `; ${took.label} took ${timesSaid(took.actual / took.planned)} what you reckon` : ''}.`
}
const timesSaid = (times: number): string =>
  times >= 1.9 && times < 2.1
    ? 'twice'
    : times > 0.45 && times < 0.55
      ? 'half'
      : `${Math.round(100 * times)} % of`

/** What an hour earned: what was paid, less tax and materials, over the hours it took; undefined while one of them is not known. */
export function earned(
  entry: Entry,
  tax: number,
): { readonly hours: number; readonly each: number } | undefined {
  const { paid, materials } = entry.record
  const hours = hoursSum(timed(entry)).actual / 60
  if (paid === undefined || materials === undefined || hours <= 0) return undefined
  return { hours, each: (paid / (1 + tax) - materials) / hours }
}

/** Makings as they are laid side by side in a chart: each for itself, or month by month where there are many. */
export interface Group {
  readonly name: string
  readonly entries: readonly Entry[]
}
/** More than these nobody reads side by side. */
const SIDE_BY_SIDE = 36

export function grouped(entries: readonly Entry[]): Group[] {
  if (entries.length <= SIDE_BY_SIDE) return entries.map((e) => ({ name: e.name, entries: [e] }))
  const by = new Map<string, Entry[]>()
  for (const e of entries) {
    const month = dayOfEntry(e).slice(0, 7)
    const found = by.get(month)
    if (found) found.push(e)
    else by.set(month, [e])
  }
  return [...by].map(([name, all]) => ({ name, entries: all }))
}

/** What the hours of several earned, each as much as it took; undefined where of none it is known. */
export function earnedBy(entries: readonly Entry[], tax: number): ReturnType<typeof earned> {
  const known = entries.flatMap((e) => earned(e, tax) ?? [])
  const hours = known.reduce((sum, k) => sum + k.hours, 0)
  return hours > 0 ? { hours, each: known.reduce((sum, k) => sum + k.each * k.hours, 0) / hours } : undefined
}

/** Mistakes by sort, the commonest first. */
export function mistakesBy(
  entries: readonly Entry[],
): readonly { readonly sort: Mistake; readonly count: number; readonly makings: number }[] {
  const by = new Map<Mistake, { count: number; makings: Set<string> }>()
  for (const e of entries)
    for (const m of e.record.mistakes) {
      const found = by.get(m.sort) ?? { count: 0, makings: new Set<string>() }
      found.count += 1
      found.makings.add(e.id)
      by.set(m.sort, found)
    }
  return [...by]
    .map(([sort, { count, makings }]) => ({ sort, count, makings: makings.size }))
    .toSorted((a, b) => b.count - a.count || a.sort.localeCompare(b.sort))
}

/** Waste of what was cut, of one or several makings: a share of what was used up. */
export function wasteOf(entries: readonly Entry[]): number | undefined {
  const hides = entries.flatMap((e) => e.record.hides)
  const used = hides.reduce((sum, h) => sum + h.used, 0)
  return used > 0 ? 1 - hides.reduce((sum, h) => sum + h.pieces, 0) / used : undefined
}

/** A lesson that was noted, and how near the making it comes from is to what is begun now. */
export interface Remembered {
  readonly entry: Entry
  readonly text: string
  readonly near: 'design' | 'kind' | 'leather'
  readonly next: Entry['next'][number] | undefined
}

/** What was noted for next time, and what went wrong, with the same design, kind or leather; the nearest and latest first. */
export function remembered(
  entries: readonly Entry[],
  of: {
    readonly job: string
    readonly kind: string
    readonly leathers: readonly string[]
    readonly besides?: string
  },
): Remembered[] {
  const rank = { design: 0, kind: 1, leather: 2 } as const
  return entries
    .filter((e) => e.id !== of.besides)
    .flatMap((entry): Remembered[] => {
      const near =
        entry.job === of.job
          ? 'design'
          : entry.kind === of.kind
            ? 'kind'
            : entry.leathers.some((l) => of.leathers.includes(l))
              ? 'leather'
              : undefined
      if (!near) return []
      return [
        ...entry.next.filter((n) => !n.done).map((next) => ({ entry, near, text: next.text, next }) as const),
        ...entry.record.mistakes.map(
          (m) =>
            ({
              entry,
              near,
              text: `${m.sort}: ${m.text}${m.mended ? `; mended: ${m.mended}` : ''}`,
              next: undefined,
            }) as const,
        ),
      ]
    })
    .toSorted((a, b) => rank[a.near] - rank[b.near] || dayOfEntry(b.entry).localeCompare(dayOfEntry(a.entry)))
}
