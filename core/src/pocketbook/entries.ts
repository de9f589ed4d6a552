import { EDGES } from './edges.js'
import type { Entry } from './entry.js'
import { FOLDS } from './folds.js'
import { GUSSETS } from './gussets.js'
import { HARDWARE } from './hardware.js'
import { HOLES } from './holes.js'
import { POCKETS } from './pockets.js'
import { SEWING } from './sewing.js'
import { STRAPS } from './straps.js'

/** Every quick reckoner, in the order of docs/formulas.md. */
export const ENTRIES: readonly Entry[] = [
  ...FOLDS,
  ...EDGES,
  ...SEWING,
  ...HOLES,
  ...POCKETS,
  ...GUSSETS,
  ...STRAPS,
  ...HARDWARE,
].sort((a, b) => Number(a.section.slice(1)) - Number(b.section.slice(1)))

export const entryMaybe = (id: string): Entry | undefined => ENTRIES.find((e) => e.id === id)
