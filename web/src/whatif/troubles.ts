import type { Finding } from '@drumlin/core/check'

/** How many findings want something done, by rank; nothing where they aren't known yet. */
export function saidOf(found: readonly Pick<Finding, 'rank'>[] | undefined): string {
  if (!found) return ''
  const stops = found.filter((f) => f.rank === 'stop').length
  const looks = found.filter((f) => f.rank === 'look').length
  if (stops + looks === 0) return 'nothing to look at'
  return [stops > 0 ? `${stops} stop` : '', looks > 0 ? `${looks} to look at` : ''].filter(Boolean).join(', ')
}
