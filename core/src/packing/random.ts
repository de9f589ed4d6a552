/** Numbers from 0 to 1 in an order that follows from the seed alone: the same on every machine. */
export type Random = () => number

/** A generator of such numbers from a whole seed. */
export function randomFrom(seed: number): Random {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let mixed = Math.imul(state ^ (state >>> 15), state | 1)
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61)
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296
  }
}
