import type { Kind } from '../kind.js'
import { bifoldCarries, bifoldFits } from './fits.js'
import { bifoldJoins } from './joins.js'
import { bifoldLayups, bifoldMatches } from './layup.js'
import { bifoldPanels } from './panels.js'
import { BIFOLD_DEFAULTS, type BifoldParams, bifoldParams } from './params.js'
import { type BifoldSizes, bifoldSizes } from './sizes.js'
import { BRIEF, FIELDS, ROLES, SENTENCES } from './words.js'

const sizesOf = (s: BifoldSizes, pockets: boolean) => [
  { panelId: 'outside', size: s.outsideWidth },
  { panelId: 'outside', size: s.outsideHeight },
  { panelId: 'outside', size: s.taken },
  { panelId: 'inside', size: s.insideWidth },
  { panelId: 'inside', size: s.insideHeight },
  ...(pockets
    ? ['pocket-top', 'pocket', 'foot-pocket'].flatMap((panelId) => [
        { panelId, size: s.pocketWidth },
        { panelId, size: s.depth },
        { panelId, size: panelId === 'foot-pocket' ? s.sideRoom : panelId === 'pocket' ? s.lap : s.shorten },
      ])
    : []),
]

/** A wallet folded once like a book: outside, inside that divides off the notes, card pockets on both halves. */
export const bifold: Kind<BifoldParams> = {
  id: 'bifold',
  name: 'Bifold wallet',
  params: bifoldParams,
  defaults: BIFOLD_DEFAULTS,
  roles: ROLES,
  fields: FIELDS,
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
      carries: bifoldCarries(params),
      sizes: sizesOf(sizes, params.pockets > 0),
    }
  },
}
