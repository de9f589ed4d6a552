/**
 * A pure function that remembers what it last made of each thing, as long as the rest it was given are the very same. What it is asked
 * about again and again while something beside it changes is worked out once.
 */
export function remembered<K extends object, A extends readonly unknown[], R>(
  make: (key: K, ...rest: A) => R,
): (key: K, ...rest: A) => R {
  const known = new WeakMap<K, { readonly rest: A; readonly made: R }>()
  return (key, ...rest) => {
    const before = known.get(key)
    if (before && before.rest.every((one, i) => Object.is(one, rest[i]))) return before.made
    const made = make(key, ...rest)
    known.set(key, { rest, made })
    return made
  }
}
