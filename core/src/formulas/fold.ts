import { evaluate } from './reading.js'

/** Flat length a round book fold uses up over a gap, or a turn round a bar; §2 [2.01]. */
export const BOOK_FOLD = 'π × ({gap} across / 2 + {k} × {thickness})'
export const bookFold = (gap: number, thickness: number, k: number): number =>
  evaluate(BOOK_FOLD, { gap, thickness, k })

/** Flat length for a closed outside width, folded once over a gap; §2 [2.02]. */
export const FOLDED_CUT = '2 × {width} + (π/2 − 1) × {gap} between + (π × {k} − 2) × {thickness}'

/** How much longer the outer of two panels is when folded flat, by how far their middles lie apart; §2 [2.03]. */
export const FOLD_DIFFERENCE = 'π × {middles} between the middles'
