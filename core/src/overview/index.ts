export { type Card, type CardPiece, cardOf, finished } from './card.js'
export { type Figures, figuresOf } from './figures.js'
export { summary } from './summary.js'
