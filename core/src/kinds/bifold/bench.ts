import type { Leather } from '../../stores/index.js'
import type { Reckon, Reckoned } from '../../working/index.js'
import type { BifoldParams } from './params.js'

/** Judgement values of the bench, mm unless said; each is shown in the working it goes into. */
export const BENCH = {
  /** Room over the uppermost card to the top edge. */
  overCard: 2,
  /** Room all round a note. */
  noteEase: 3,
  /** A wallet for nothing in particular is still a wallet. */
  leastHalf: 60,
  leastHeight: 60,
  /** A card is pulled out by what shows of it. */
  grip: 5,
  /** Pockets stay this far out of the bend. */
  foldRoom: 2,
  /** The body of a T pocket stays this far inside the stitches of its arms. */
  bodyRoom: 2,
  /** From the stitches across a pocket's foot to its cut end. */
  footMargin: 4,
  /** Share of the cards' thickness that reaches into the fold (docs/formulas.md §3). */
  foldFill: 0.3,
  /** Both faces of a pocket give way to the cards (docs/formulas.md §9). */
  bulgeShare: 0.5,
  /** The uppermost pocket is never made shallower than by this. */
  mostShortening: 8,
} as const

/** Pieces of pocket leather in one place of the side seam, as multiples of its thickness; docs/formulas.md §9. */
export const edgePieces = (p: BifoldParams): number =>
  p.pockets === 0 ? 0 : p.school === 'butted' || p.pockets === 1 ? 1 : 1.5

/** The inside's top corners are true ones, unless they would stand out past the rounded corners of the outside. */
export const topRadius = (p: BifoldParams): number => (p.lip < p.corner ? p.corner : 0)

/** What every part of the sizes is worked out from. */
export interface Start {
  readonly p: BifoldParams
  readonly reckon: Reckon
  readonly outside: Leather
  readonly inside: Leather
  readonly pocketLeather: Leather
  readonly margin: Reckoned
  readonly hole: Reckoned
}
