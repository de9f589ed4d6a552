import { defineKind } from '../kind.js'
import { stackSizesShown } from '../pockets/index.js'
import { bifoldCarries, bifoldConcerns, bifoldFits } from './fits.js'
import { bifoldJoins } from './joins.js'
import { bifoldLayups, bifoldMatches } from './layup.js'
import { bifoldPanels, coinFittings } from './panels.js'
import { BIFOLD, type BifoldParams } from './params.js'
import { snapRole } from '../parts/snap.js'
import { type BifoldSizes, bifoldSizes } from './sizes.js'
import { BRIEF, ROLES, SENTENCES } from './words.js'

const sizesOf = (s: BifoldSizes) => [
  ...[s.outsideWidth, s.outsideHeight, s.taken].map((size) => ({ panelId: 'outside', size })),
  ...[s.insideWidth, s.insideHeight].map((size) => ({ panelId: 'inside', size })),
  ...(s.cutAway.value > 0 ? [{ panelId: 'inside', size: s.cutAway }] : []),
  ...(s.liningTaken ? [{ panelId: 'lining', size: s.liningTaken }] : []),
  ...(s.dividerTaken ? [{ panelId: 'divider', size: s.dividerTaken }] : []),
  ...(s.dividerLiningTaken ? [{ panelId: 'divider-lining', size: s.dividerLiningTaken }] : []),
  ...stackSizesShown(s.stack),
]

/** A wallet folded once like a book: outside, inside that divides off the notes, card pockets on both halves. */
export const bifold = defineKind({
  id: 'bifold',
  name: 'Bifold wallet',
  about: 'folded once like a book; cards on both halves, notes behind them',
  settings: BIFOLD,
  roles: ROLES,
  hardware: [snapRole((params: BifoldParams) => params.coins !== 'none')],
  brief: BRIEF,
  sentences: SENTENCES,
  master: (params, materials, reckon) => {
    const sizes = bifoldSizes(params, materials, reckon)
    return {
      panels: bifoldPanels(params, sizes, materials),
      layups: bifoldLayups(params, sizes),
      joins: bifoldJoins(params, sizes),
      matches: bifoldMatches(params, sizes),
      fits: bifoldFits(params, sizes, reckon),
      concerns: bifoldConcerns(params, sizes),
      fittings: coinFittings(params, sizes),
      carries: bifoldCarries(params),
      sizes: sizesOf(sizes),
    }
  },
})
