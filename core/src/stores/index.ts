export { COLUMNS, type Column, type Good, SHELF_NAMES, type Shelf, withGood, withoutGood } from './columns.js'
export {
  CARD,
  CURRENCIES,
  type Currency,
  NOTE_THICKNESS,
  type Note,
  currencyOf,
  largestNote,
} from './contents.js'
export { diameterOf } from './fibres.js'
export {
  type Awl,
  type Iron,
  type Leather,
  type Stores,
  type Thread,
  awlSchema,
  id as idSchema,
  ironSchema,
  leatherSchema,
  storesSchema,
  threadSchema,
} from './schema.js'
export { STARTER_STORES } from './starter.js'
