/** The member of a list at a place. Throws where there is none: whoever asks knows that there is one. */
export function nth<T>(list: ArrayLike<T>, place: number): T {
  const found = list[place]
  if (found === undefined) throw new RangeError(`a list of ${list.length} has no place ${place}`)
  return found
}

/** The first of a list. Throws for an empty one. */
export const firstOf = <T>(list: ArrayLike<T>): T => nth(list, 0)

/** The last of a list. Throws for an empty one. */
export const lastOf = <T>(list: ArrayLike<T>): T => nth(list, list.length - 1)

/** What becomes of each of a few, as many as there were. */
export const tupleOf = <const From extends readonly unknown[], To>(
  from: From,
  of: (one: From[number], place: number) => To,
): { -readonly [Place in keyof From]: To } => from.map(of) as { -readonly [Place in keyof From]: To }

/** What a map holds for a key. Throws where it holds nothing: whoever asks knows that it does. */
export function atKey<Key, Value>(map: ReadonlyMap<Key, Value>, key: Key): Value {
  const found = map.get(key)
  if (found === undefined) throw new RangeError(`nothing is held for ${String(key)}`)
  return found
}

/** The first of a list of which something holds. Throws where it holds of none: whoever asks knows that there is one. */
export function foundIn<T, Of extends T>(list: readonly T[], holds: (one: T) => one is Of): Of
export function foundIn<T>(list: readonly T[], holds: (one: T, place: number) => unknown): T
export function foundIn<T>(list: readonly T[], holds: (one: T, place: number) => unknown): T {
  const found = list.find(holds)
  if (found === undefined) throw new RangeError(`none of a list of ${list.length} is what was looked for`)
  return found
}

/** What is there wherever this is asked. Throws, saying what is missing, where it isn't. */
export function required<T>(what: T | undefined | null, name: string): T {
  if (what === undefined || what === null) throw new RangeError(`there is no ${name}`)
  return what
}

// Numbers packed tight are read in the innermost loops there are: each sort of list by a reader of its own, small enough for the engine
// to take it into the loop. One reader for all of them, or one that throws, made packing half as slow again.

/** The number at a place; NaN where there is none, which spoils whatever is reckoned from it. */
export const floatAt = (list: Float64Array, place: number): number => list[place] ?? Number.NaN

/** The whole number at a place; NaN where there is none. */
export const intAt = (list: Int32Array, place: number): number => list[place] ?? Number.NaN
