export { type Arrangement, type Placed, arrangeInRows } from './arrange.js'
export { type JobName, pieceLabel } from './label.js'
export type { Mark, Piece, PieceHole } from './piece.js'
export { type PieceInputs, pieces } from './pieces.js'
