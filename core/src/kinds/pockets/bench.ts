import { CARD } from '../../stores/index.js'
import type { Stock } from '../../master/index.js'
import type { PocketParams } from './params.js'

/** Pockets that lap have this many layers more at their edges than one: every second one ends before it. */
const LAPPED_LAYERS = 1.5

/** Judgement values of the bench, mm unless said; each is shown in the working it goes into. */
export const POCKET_BENCH = {
  /** Room over the uppermost card to the top edge. */
  overCard: 2,
  /** A card is pulled out by what shows of it. */
  grip: 5,
  /** The body of a T pocket stays this far inside the stitches of its arms. */
  bodyRoom: 2,
  /** Play beside a card, whatever the leather gives. */
  sidePlay: 0.5,
  /** The uppermost foot keeps so far from the top of the front pocket. */
  footClear: 1,
  /** From the stitches across a pocket's foot to its cut end. */
  footMargin: 4,
  /** Both faces of a pocket give way to the cards (docs/formulas.md §9). */
  bulgeShare: 0.5,
  /**
   * A face rises to the pile over at least so many times its height. Leather that would have to give more than it does
   * is said to be too thick: a wider pocket would not be worn.
   */
  steepest: 2,
  /** The uppermost pocket is never made shallower than by this. */
  mostShortening: 8,
  /** A card goes through a slit with so much to spare at each end. */
  slitEase: 1.5,
  /** Leather left between the end of a slit and the stitches. */
  slitLand: 4,
  /** The round end of a slit. */
  slitEnd: 2,
  /** Leather above the first slit. */
  aboveSlit: 8,
  /** The cloth is stuck above its slit, and reaches past the slit at both ends, by so much. */
  pouchLap: 6,
  pouchSide: 3,
  /** Width of a turned top and how far in it is sewn. */
  turn: 8,
  turnMargin: 3,
  /** A thumb notch, and a thumb slot under the top. */
  notchAcross: 22,
  notchDeep: 9,
  slotAcross: 20,
  slotHigh: 14,
  slotBelow: 12,
  /** Width of the skive across a pocket's foot. */
  footSkive: 10,
  /** What a foot is skived to at its end, as a share of its leather. */
  footEnd: 1 / 3,
} as const

/** Thin lining cloth for the pockets behind slits, and tape for turned tops. */
export const CLOTH: Stock = { name: 'lining cloth', thickness: 0.2, neutral: 0.5, swatch: '#e6e9ef' }
export const TAPE: Stock = { name: 'reinforcing tape', thickness: 0.15, neutral: 0.5, swatch: '#eceae2' }

/** Full-width pockets lying over one another in one place, at most. */
const overlapping = (p: PocketParams): number => {
  const long = CARD.height - p.shown + POCKET_BENCH.footMargin
  return Math.min(p.pockets, Math.ceil(long / p.reveal))
}

/** The band across the feet of the pockets, as skives are wished for. */
export const FOOT_BAND = 'pocket.foot'

/** Pieces of pocket leather in one place of the side seam, as multiples of its thickness; docs/formulas.md §9. */
export function edgePieces(p: PocketParams): number {
  if (p.pockets === 0) return 0
  if (p.school === 'overlap') return overlapping(p)
  return p.school === 'lapped' && p.pockets > 1 ? LAPPED_LAYERS : 1
}
