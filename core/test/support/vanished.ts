import type { Derived } from '@drumlin/core/derived'

/** What was put on a piece and is cut, but held by nothing, or bought, but set nowhere. */
export function vanished({ design, master, panels, fittings }: Derived): string[] {
  const lost = new Set((master.concerns ?? []).map((c) => c.id))
  return Object.entries(design.added).flatMap(([id, part]) => {
    const host = panels.find((p) => p.id === part.on)
    if (lost.has(`${id}-lost`) || !host || host.role === 'guide') return []
    const of = (name: string): boolean =>
      name === id || name.startsWith(`${id}-`) || name.startsWith(`${id}~`)
    // Rivets through it are put on by the maker; that nothing holds it yet is told.
    const held =
      part.params.held === 'riveted' ||
      master.joins.some((j) => of(j.id)) ||
      fittings.some((f) => of(f.fitting.role) || of(f.fitting.id))
    const set = fittings.some((f) => of(f.fitting.id))
    return [
      ...(held || !panels.some((p) => p.id === id) ? [] : [`${id}, a ${part.sort}, is not held`]),
      ...(set || !Object.hasOwn(design.hardware, id) ? [] : [`${id}, a ${part.sort}, is not set`]),
    ]
  })
}
