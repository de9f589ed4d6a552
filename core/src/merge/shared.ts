/**
 * The same value with every part of it that says what `before` said being that very part. Whoever remembers what followed from a
 * part finds it again, however often the whole is read anew.
 */
export function shared<T>(now: T, before: unknown): T {
  if (Object.is(now, before)) return now
  if (typeof now !== 'object' || now === null || typeof before !== 'object' || before === null) return now
  if (Array.isArray(now)) {
    if (!Array.isArray(before)) return now
    const parts = now.map((part, i): unknown => shared(part as unknown, before[i]))
    return (
      parts.length === before.length && parts.every((p, i) => Object.is(p, before[i])) ? before : parts
    ) as T
  }
  if (Array.isArray(before)) return now
  const old = before as Readonly<Record<string, unknown>>
  const entries = Object.entries(now).map(([key, part]) => [key, shared(part as unknown, old[key])] as const)
  const same =
    entries.length === Object.keys(old).length &&
    entries.every(([key, p]) => key in old && Object.is(p, old[key]))
  return (same ? before : Object.fromEntries(entries)) as T
}
