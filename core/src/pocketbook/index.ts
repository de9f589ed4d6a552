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

/** Which quick reckoner, and which of its answers, gives a number of that key in a design's working. */
const USES: Readonly<Record<string, { readonly entry: string; readonly answer: string }>> = {
  'fold.difference': { entry: 'fold-difference', answer: 'in full' },
  'fold.taken': { entry: 'fold-difference', answer: 'cut longer by' },
  'fold.insideBend': { entry: 'book-fold', answer: 'used up by the fold' },
  'pocket.sideRoom': { entry: 'pocket-width', answer: 'room a side' },
  'pocket.between': { entry: 'pocket-width', answer: 'between the stitches' },
  'pocket.width': { entry: 'pocket-width', answer: 'panel' },
}

/** Where the pocket book answers for a computed number, if it does. */
export const usedFor = (key: string) => (Object.hasOwn(USES, key) ? USES[key] : undefined)

export { type Entry, type Input, type Sketch, inputProblem, reckonEntry } from './entry.js'
