export { type Level, type Used, type Wanted, levelsOf, pricesPaid } from './levels.js'
export { type Move, NO_STOCK, type Stock, moveSchema, stockSchema } from './schema.js'
export { type Purchase, shoppingOf } from './shopping.js'
