export { type PieceChange, compareDecisions, comparePieces } from './decisions.js'
export { type DecisionChange, sayFate } from './drawn.js'
