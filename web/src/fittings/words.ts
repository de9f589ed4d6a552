/** Findings that are settled where hardware is looked at, and where the finished thing is. */
export const ABOUT_FITTINGS: ReadonlySet<string> = new Set([
  'post-too-short',
  'hardware-close',
  'hardware-covered',
  'strap-too-long',
])
export const ABOUT_ROUND: ReadonlySet<string> = new Set(['edges-apart', 'hard-to-turn', 'hangs-level'])
