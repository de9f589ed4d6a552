import type { Habits } from '../sewing/index.js'

/** Minutes to skive a strip `length` mm long `depth` mm deep on each of `count` pieces; docs/formulas.md §17. */
export const skiveMinutes = (
  length: number,
  depth: number,
  count: number,
  ways: Pick<Habits, 'skivePace' | 'skiveMinutes'>,
): number => count * (ways.skiveMinutes + (length / ways.skivePace) * (1 + depth))
