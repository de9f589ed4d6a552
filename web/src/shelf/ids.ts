/** An id nobody has yet: `base`, or `base-2`, `base-3` and so on. */
export function freeId(base: string, taken: readonly string[]): string {
  const stem = base.replace(/-\d+$/, '').slice(0, 56)
  if (!taken.includes(base)) return base
  let number = 2
  while (taken.includes(`${stem}-${number}`)) number += 1
  return `${stem}-${number}`
}
