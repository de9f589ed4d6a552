/** What two hands made of one thing. `over` is whether both changed the same place, so that mine stands over theirs. */
export interface Merged {
  readonly value: unknown
  readonly over: boolean
}

type Plain = Readonly<Record<string, unknown>>
const isPlain = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** Whether two plain values say the same. */
export function isSame(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false
  if (Array.isArray(a)) return Array.isArray(b) && isSameList(a, b)
  return !Array.isArray(b) && isSameRecord(a as Plain, b as Plain)
}

function isSameList(a: readonly unknown[], b: readonly unknown[]): boolean {
  if (a.length !== b.length) return false
  for (let i = 0; i < a.length; i += 1) if (!isSame(a[i], b[i])) return false
  return true
}

/** What is left out is the same as what is undefined. */
function isSameRecord(a: Plain, b: Plain): boolean {
  let there = 0
  for (const key in a) {
    if (!isSame(a[key], b[key])) return false
    if (key in b) there += 1
  }
  if (Object.keys(b).length === there) return true
  for (const key in b) if (!(key in a) && b[key] !== undefined) return false
  return true
}

/** By what an item of a list is known again; undefined where it has no name of its own. */
export function nameOf(item: unknown): string | undefined {
  if (typeof item === 'string') return item
  if (!isPlain(item)) return undefined
  for (const key of ['id', 'finding', 'first'] as const)
    if (typeof item[key] === 'string') return `${key}:${item[key]}`
  return isPlain(item.thing) ? nameOf(item.thing) : undefined
}

/**
 * What comes of a value that stood at `was` when two made it `mine` and `theirs`: records by field, lists of named items by
 * item, other lists by place where they kept their length. Undefined where one of both would be lost.
 */
export function merged(was: unknown, mine: unknown, theirs: unknown): Merged | undefined {
  if (isSame(was, theirs) || isSame(mine, theirs)) return { value: mine, over: false }
  if (isSame(was, mine)) return { value: theirs, over: false }
  if (Array.isArray(was) && Array.isArray(mine) && Array.isArray(theirs)) return lists(was, mine, theirs)
  if (isPlain(was) && isPlain(mine) && isPlain(theirs)) return records(was, mine, theirs)
  return { value: mine, over: true }
}

function records(was: Plain, mine: Plain, theirs: Plain): Merged | undefined {
  const value: Record<string, unknown> = {}
  let over = false
  for (const key of new Set([...Object.keys(theirs), ...Object.keys(mine)])) {
    const one = merged(was[key], mine[key], theirs[key])
    if (!one) return undefined
    over ||= one.over
    if (one.value !== undefined) value[key] = one.value
  }
  return { value, over }
}

type Named = ReadonlyMap<string, unknown>

/** A list by the names of its items; undefined where one has none, or two have the same. */
function named(list: readonly unknown[]): Named | undefined {
  const by = new Map<string, unknown>()
  for (const item of list) {
    const name = nameOf(item)
    if (name === undefined || by.has(name)) return undefined
    by.set(name, item)
  }
  return by
}

function lists(
  was: readonly unknown[],
  mine: readonly unknown[],
  theirs: readonly unknown[],
): Merged | undefined {
  const [w, m, t] = [named(was), named(mine), named(theirs)]
  if (w && m && t) return namedLists(w, m, t)
  if (was.length !== mine.length || was.length !== theirs.length) return undefined
  return places(was, mine, theirs)
}

function places(
  was: readonly unknown[],
  mine: readonly unknown[],
  theirs: readonly unknown[],
): Merged | undefined {
  const all = was.map((one, i) => merged(one, mine[i], theirs[i]))
  return all.every((one) => one !== undefined)
    ? { value: all.map((one) => one.value), over: all.some((one) => one.over) }
    : undefined
}

/** The items that are left on both sides, in the order of whoever moved them; what was added stands behind what it stood behind. */
function namedLists(was: Named, mine: Named, theirs: Named): Merged | undefined {
  const items = new Map<string, unknown>()
  let over = false
  for (const name of new Set([...theirs.keys(), ...mine.keys()])) {
    const [w, m, t] = [was.get(name), mine.get(name), theirs.get(name)]
    // Taken away by one: gone, unless the other changed it meanwhile.
    if (w !== undefined && m === undefined && isSame(w, t)) continue
    if (w !== undefined && t === undefined && isSame(w, m)) continue
    if (m === undefined || t === undefined) {
      if (w !== undefined) over = true
      // Mine is the later: what I took away goes, what I changed stays.
      if (w !== undefined && m === undefined) continue
      items.set(name, m ?? t)
      continue
    }
    // Two different things that were added under one name can't both stand.
    if (w === undefined && !isSame(m, t)) return undefined
    const one = merged(w, m, t)
    if (!one) return undefined
    over ||= one.over
    items.set(name, one.value)
  }
  const order = ordered([...was.keys()], [...mine.keys()], [...theirs.keys()])
  return {
    value: order.names.filter((name) => items.has(name)).map((name) => items.get(name)),
    over: over || order.over,
  }
}

function ordered(
  was: readonly string[],
  mine: readonly string[],
  theirs: readonly string[],
): { readonly names: readonly string[]; readonly over: boolean } {
  const moved = (list: readonly string[]): boolean => {
    const before = was.filter((name) => list.includes(name))
    return list.filter((name) => was.includes(name)).some((name, i) => name !== before[i])
  }
  const [first, then] = moved(mine) ? [mine, theirs] : [theirs, mine]
  const names = [...first]
  for (const [i, name] of then.entries())
    if (!names.includes(name)) names.splice(names.indexOf(then[i - 1] ?? '') + 1 || names.length, 0, name)
  return { names, over: moved(mine) && moved(theirs) }
}
