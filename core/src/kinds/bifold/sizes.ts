import type { Reckon, Reckoned } from '../../working/index.js'
import { type Materials, leatherOf } from '../kind.js'
import { type Basics, basicsOf } from '../parts/basics.js'
import { type Stack, type StackSizes, hasOwnFront, stackSizes } from '../pockets/index.js'
import { type Start, leavesOf, topRadius } from './bench.js'
import { heights, widths } from './bodySizes.js'
import { type FoldSizes, foldSizes } from './foldSizes.js'
import type { BifoldParams } from './params.js'

/** Every finished size of the bifold, each with its working. */
export interface BifoldSizes extends Basics, StackSizes, FoldSizes {
  readonly half: Reckoned
  readonly insideWidth: Reckoned
  readonly insideHeight: Reckoned
  readonly outsideWidth: Reckoned
  readonly outsideHeight: Reckoned
  /** From the side of the inside to the last hole of the outer seam. */
  readonly reach: Reckoned
  readonly cutAway: Reckoned
  readonly stack: Stack
}

export function bifoldSizes(p: BifoldParams, materials: Materials, reckon: Reckon): BifoldSizes {
  const basics = basicsOf(p.margin, materials, reckon)
  const start: Start = {
    ...basics,
    p,
    reckon,
    leather: leatherOf(materials, 'pockets'),
    frontLeather: leatherOf(materials, hasOwnFront(p) ? 'front-pocket' : 'pockets'),
    skives: materials.skives,
    outside: leatherOf(materials, 'outside'),
    inside: leatherOf(materials, 'inside'),
    ...leavesOf(p, materials),
  }
  const pocket = stackSizes(start)
  const fold = foldSizes(start)
  const width = widths(start, pocket.pocketWidth, fold.foldClear, fold.taken)
  const height = heights(start, pocket.depth, pocket.shorten)
  const stack: Stack = {
    start,
    sizes: pocket,
    height: height.insideHeight.value,
    topRadius: topRadius(p),
    piles: p.coins === 'right' ? 1 : 2,
    mirrored: true,
    rounded: { left: true, right: false },
    trimmed: { left: true, right: false },
  }
  return { ...basics, ...pocket, ...fold, ...width, ...height, stack }
}
