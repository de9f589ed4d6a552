import type { Finding } from '@drumlin/core/check'

/** How each rank of a finding is said. */
export const RANKS = { stop: 'Stop', look: 'Look', tip: 'Tip' } as const satisfies Record<
  Finding['rank'],
  string
>
