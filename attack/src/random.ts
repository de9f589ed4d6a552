/** Chance that can be had again: the same seed gives the same numbers. */
export interface Chance {
  /** From 0 up to 1. */
  readonly share: () => number
  /** A whole number below `n`. */
  readonly below: (n: number) => number
  readonly of: <T>(all: readonly T[]) => T
}

export function chance(seed: number): Chance {
  let state = seed >>> 0
  const share = (): number => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
  const below = (n: number): number => Math.floor(share() * n)
  return { share, below, of: (all) => all[below(all.length)]! }
}
