import type { Leather } from '../../stores/index.js'
import { type Materials, leatherOf } from '../kind.js'
import { edgePieces, type StackStart } from '../pockets/index.js'
import type { BifoldParams } from './params.js'

/** Judgement values of the bench, mm unless said; each is shown in the working it goes into. */
export const BENCH = {
  /** Room all round a note. */
  noteEase: 3,
  /** A wallet for nothing in particular is still a wallet. */
  leastHalf: 60,
  leastHeight: 60,
  /** Pockets stay this far out of the bend. */
  foldRoom: 2,
  /** Share of the cards' thickness that reaches into the fold (docs/formulas.md §3). */
  foldFill: 0.3,
  /** The divider stands so far below the inside's top, so that a thumb parts them. */
  dividerDrop: 6,
  /** How deep the inside is cut away at the fold. */
  cutAwayDeep: 5,
  /** A coin pocket: depth below its top, how far the flap covers it and is sewn above it. */
  coinDeep: 58,
  flapOver: 24,
  flapAbove: 12,
  /** From the flap's end to the middle of the snap. */
  snapIn: 11,
  /** Two layers of coins, and how far they stay inside the stitches. */
  coins: 4,
  coinInset: 8,
} as const

/** The inside's top corners are true ones, unless they would stand out past the rounded corners of the outside. */
export const topRadius = (p: BifoldParams): number => (p.lip < p.corner ? p.corner : 0)

/** Pieces of pocket leather beside the fold, the mean of both halves, the backing of a hidden pocket included. */
export function foldPieces(p: BifoldParams): number {
  const backing = p.hidden === 'behind' && p.pockets > 0 ? 1 : 0
  const stack = edgePieces(p) + backing
  return p.coins === 'right' ? (stack + 1) / 2 : stack
}

/** What every part of the sizes is worked out from. */
export interface Start extends StackStart {
  readonly p: BifoldParams
  readonly outside: Leather
  readonly inside: Leather
  readonly divider: Leather | undefined
  readonly dividerLining: Leather | undefined
  readonly lining: Leather | undefined
}

/** The leaves between inside and outside that this wallet has. */
export const leavesOf = (p: BifoldParams, materials: Materials) => ({
  divider: p.divider === 'none' ? undefined : leatherOf(materials, 'divider'),
  dividerLining: p.divider === 'lined' ? leatherOf(materials, 'lining') : undefined,
  lining: p.lining === 'lined' ? leatherOf(materials, 'lining') : undefined,
})
