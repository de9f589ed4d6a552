import { atKey, firstOf } from '../lists/index.js'
/** One thing before another, by ids. */
export interface Link {
  readonly first: string
  readonly then: string
}

/** An order that keeps to all links, earliest by `rank` where several could be next; what goes round in circles comes last, as ranked. */
export function ordered(
  ids: readonly string[],
  links: readonly Link[],
  rank: (id: string) => number,
): string[] {
  const waits = new Map(ids.map((id) => [id, 0]))
  const next = new Map<string, string[]>()
  for (const { first, then } of links) {
    if (!waits.has(first) || !waits.has(then)) continue
    waits.set(then, atKey(waits, then) + 1)
    next.set(first, [...(next.get(first) ?? []), then])
  }
  const byRank = [...ids].sort((a, b) => rank(a) - rank(b))
  const left = new Set(byRank)
  const order: string[] = []
  while (left.size > 0) {
    const one = [...left].find((id) => waits.get(id) === 0) ?? firstOf([...left])
    left.delete(one)
    order.push(one)
    for (const then of next.get(one) ?? []) waits.set(then, atKey(waits, then) - 1)
  }
  return order
}

/** Everything that goes round in circles: each circle with all that hangs in it, as they were given. */
export function circles(ids: readonly string[], links: readonly Link[]): string[][] {
  const next = new Map<string, string[]>()
  for (const { first, then } of links) next.set(first, [...(next.get(first) ?? []), then])
  const reach = (from: string): Set<string> => {
    const seen = new Set<string>()
    const open = [...(next.get(from) ?? [])]
    for (let id = open.pop(); id !== undefined; id = open.pop()) {
      if (seen.has(id)) continue
      seen.add(id)
      open.push(...(next.get(id) ?? []))
    }
    return seen
  }
  // What neither leads on nor is led to is in no circle: pruned first, so that hardly anything is searched.
  const stuck = inCircles(ids, links)
  const reached = new Map(stuck.map((id) => [id, reach(id)]))
  const found: string[][] = []
  for (const id of stuck)
    if (atKey(reached, id).has(id) && !found.some((c) => c.includes(id)))
      found.push(stuck.filter((other) => atKey(reached, id).has(other) && atKey(reached, other).has(id)))
  return found
}

/** What is left when whatever comes first, and whatever comes last, is taken away again and again. */
function inCircles(ids: readonly string[], links: readonly Link[]): string[] {
  const peel = (among: readonly string[], from: 'first' | 'then', to: 'first' | 'then'): string[] => {
    const left = new Set(among)
    const held = new Map<string, number>()
    const onward = new Map<string, string[]>()
    for (const link of links) {
      if (!left.has(link.first) || !left.has(link.then)) continue
      held.set(link[to], (held.get(link[to]) ?? 0) + 1)
      onward.set(link[from], [...(onward.get(link[from]) ?? []), link[to]])
    }
    const free = among.filter((id) => !held.get(id))
    for (let id = free.pop(); id !== undefined; id = free.pop()) {
      left.delete(id)
      for (const other of onward.get(id) ?? []) {
        held.set(other, atKey(held, other) - 1)
        if (held.get(other) === 0) free.push(other)
      }
    }
    return among.filter((id) => left.has(id))
  }
  return peel(peel(ids, 'first', 'then'), 'then', 'first')
}

/**
 * Which things can be one: those of one `key`, none of them before another, as many as make no circle. `ids` stand in an
 * order that keeps to the links. Gives for each the first of those it is one with.
 */
export function gathered(
  ids: readonly string[],
  links: readonly Link[],
  key: (id: string) => string,
): ReadonlyMap<string, string> {
  const before = new Map<string, string[]>()
  for (const { first, then } of links) before.set(then, [...(before.get(then) ?? []), first])
  const home = new Map<string, string>()
  const classes = new Map<string, string[]>()
  /** Which classes come before a class, straight. */
  const ahead = new Map<string, Set<string>>()
  const reaches = (from: string, to: string): boolean => {
    const seen = new Set<string>()
    const open = [to]
    for (let one = open.pop(); one !== undefined; one = open.pop()) {
      if (one === from) return true
      if (seen.has(one)) continue
      seen.add(one)
      open.push(...(ahead.get(one) ?? []))
    }
    return false
  }
  for (const id of ids) {
    const firsts = new Set((before.get(id) ?? []).flatMap((b) => home.get(b) ?? []))
    const same = classes.get(key(id)) ?? []
    const joined = same.find((c) => ![...firsts].some((f) => reaches(c, f)))
    const at = joined ?? id
    home.set(id, at)
    if (joined === undefined) classes.set(key(id), [...same, id])
    ahead.set(at, new Set([...(ahead.get(at) ?? []), ...firsts]))
  }
  return home
}
