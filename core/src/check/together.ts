import { firstOf, lastOf, required } from '../lists/index.js'
import type { Finding } from './checks.js'

/**
 * One cause, one finding: what several runs are told for the same reason is told once, for the worst of them, with all
 * places. In the order in which each cause was first met.
 */
export function together(all: readonly Finding[]): readonly Finding[] {
  const groups = new Map<string, Finding[]>()
  for (const f of all) {
    const key = f.cause === undefined ? f.key : `${f.code}:${f.cause.id}`
    groups.set(key, [...(groups.get(key) ?? []), f])
  }
  return [...groups].map(([key, group]) => {
    const [first] = group as [Finding]
    if (first.cause === undefined) return first
    const worst = group.reduce((a, b) =>
      required(b.cause, 'cause').severity > required(a.cause, 'cause').severity ? b : a,
    )
    return {
      ...worst,
      key,
      places: [worst, ...group.filter((f) => f !== worst)].flatMap((f) => f.places),
      runs: group.flatMap((f) => (f.run === undefined ? [] : [f.run])),
      was: group.map((f) => f.key),
      alike: group.filter((f) => f !== worst).map((f) => f.about),
    }
  })
}

/** How many of those that are told the same are named. */
const NAMED = 2

/** `So do the left end of the handle, the right end of the handle and 4 more.`; nothing where there is one alone. */
export function alikeSaid(names: readonly string[]): string {
  if (names.length === 0) return ''
  const shown = names.slice(0, names.length <= NAMED + 1 ? names.length : NAMED).map((n) => `the ${n}`)
  const more = names.length - shown.length
  const list = more > 0 ? [...shown, `${more} more`] : shown
  const said = list.length === 1 ? firstOf(list) : `${list.slice(0, -1).join(', ')} and ${lastOf(list)}`
  return ` The same is true of ${said}.`
}
