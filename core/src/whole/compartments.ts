import { nth } from '../lists/index.js'
/** Walls that part a room into compartments of one depth. */
export interface Dividers {
  readonly count: number
  /** How thick each is, mm. */
  readonly thickness: number
}

export const UNDIVIDED: Dividers = { count: 0, thickness: 0 }

/** Rows shared out to compartments: which row goes into which, and how deep the fullest has to be, mm. */
export interface Sharing {
  readonly into: readonly number[]
  readonly max: number
}

/** Up to so many rows every sharing is tried as they stand; of more the deepest are placed first. */
const FEW = 8
/** So many placings are tried at most: beyond that the best found so far has to do. */
const STEPS = 20_000

/** The deepest first, each into the compartment that is emptiest: never more than a third over the best. */
function deepestFirst(depths: readonly number[], order: readonly number[], count: number): Sharing {
  const full = Array.from({ length: count }, () => 0)
  const into = depths.map(() => 0)
  for (const row of order) {
    const emptiest = full.indexOf(Math.min(...full))
    into[row] = emptiest
    full[emptiest]! += nth(depths, row)
  }
  return { into, max: Math.max(0, ...full) }
}

/**
 * Rows of such depths shared out to `count` compartments so that the fullest takes least, mm. Exact for a handful; of
 * many rows the best that a bounded search finds, which begins with a good one.
 */
export function sharedOut(depths: readonly number[], count: number): Sharing {
  const many = depths.length > FEW
  const rows = depths.map((_, i) => i)
  const order = many ? rows.toSorted((a, b) => nth(depths, b) - nth(depths, a)) : rows
  let best: Sharing = many ? deepestFirst(depths, order, count) : { into: [], max: Infinity }
  // Nothing is better than all equally full, or than the deepest row alone.
  const min = Math.max(0, ...depths, depths.reduce((sum, d) => sum + d, 0) / count)
  const full = Array.from({ length: count }, () => 0)
  const into = depths.map(() => 0)
  let steps = 0
  const put = (at: number, max: number): void => {
    steps += 1
    if (max >= best.max || steps > STEPS || best.max <= min + 1e-9) return
    if (at === order.length) {
      best = { into: [...into], max }
      return
    }
    const row = nth(order, at)
    for (let k = 0; k < count; k += 1) {
      // Empty compartments are alike: one of them is tried.
      const first = full[k] === 0
      full[k]! += nth(depths, row)
      into[row] = k
      put(at + 1, Math.max(max, nth(full, k)))
      full[k]! -= nth(depths, row)
      if (first) break
    }
  }
  put(0, 0)
  return best
}

/** Depth of a whole room whose fullest compartment is so deep, with `ease` kept between what stands in it and its walls, mm. */
export const depthOf = (max: number, { count, thickness }: Dividers, ease: number): number =>
  (count + 1) * max + count * (thickness + ease)

/** Where each compartment begins, from the back, and how deep it is, mm. */
export function compartmentsOf(
  deep: number,
  { count, thickness }: Dividers,
): { from: number; deep: number }[] {
  const each = (deep - count * thickness) / (count + 1)
  return Array.from({ length: count + 1 }, (_, i) => ({ from: i * (each + thickness), deep: each }))
}
