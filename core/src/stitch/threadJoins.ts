import type { HolePlace, Side } from './places.js'

/** A new length of thread keeps at least this many stitches from a corner, a step or an end (J). */
const KEEP = 4

/**
 * Holes at which a run sewn in several lengths takes up a new one: as even as can be, but away from what strains the
 * thread: ends, sharp corners and pocket steps. Where everything is near something, the most distant place is taken.
 */
export function threadJoins(
  holes: readonly HolePlace[],
  sides: readonly Side[],
  steps: readonly { readonly distance: number; readonly open: boolean }[],
  lengths: number,
): number[] {
  if (lengths < 2 || holes.length < 3) return []
  const last = holes.length - 1
  const strained = [
    0,
    last,
    ...sides.slice(1).map((s) => s.from),
    ...steps.filter((s) => s.open).map((s) => holes.findIndex((h) => h.distance >= s.distance)),
  ].filter((i) => i >= 0)
  const clear = (i: number): number => Math.min(KEEP, ...strained.map((s) => Math.abs(s - i)))
  const found: number[] = []
  for (let n = 1; n < lengths; n += 1) {
    const ideal = (n * last) / lengths
    const room = last / lengths / 2
    let best = Math.min(last - 1, Math.max(1, Math.round(ideal)))
    for (let i = 1; i < last; i += 1) {
      if (Math.abs(i - ideal) > room) continue
      const better = clear(i) - clear(best)
      if (better > 0 || (better === 0 && Math.abs(i - ideal) < Math.abs(best - ideal))) best = i
    }
    if (!found.includes(best)) found.push(best)
  }
  return found
}
