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
