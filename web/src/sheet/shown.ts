import type { LayerName } from '@drumlin/core/drawing'

/** What can be left off the pieces, so that the rest is seen; the cut line always stays. */
export const SHOWN = [
  { id: 'holes', label: 'holes', layers: ['holes'] },
  { id: 'folds', label: 'folds', layers: ['fold', 'fold-to'] },
  { id: 'skives', label: 'skives', layers: ['skive'] },
  { id: 'glue', label: 'glue', layers: ['glue'] },
  { id: 'marks', label: 'marks and fittings', layers: ['marks', 'openings', 'notches', 'grain'] },
  { id: 'words', label: 'words', layers: ['label'] },
] as const satisfies readonly { id: string; label: string; layers: readonly LayerName[] }[]
export type Shown = (typeof SHOWN)[number]['id']

export const ALL_SHOWN: readonly Shown[] = SHOWN.map((s) => s.id)

/** The layers that are left off. */
export const hiddenLayers = (shown: readonly Shown[]): ReadonlySet<string> =>
  new Set(SHOWN.filter((s) => !shown.includes(s.id)).flatMap((s) => s.layers))
