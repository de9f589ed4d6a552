export { type Bill, billOf, earnsAt } from './bill.js'
export type { BillLine, PriceAsked } from './lines.js'
export { type Cut, cutsOf } from './leather.js'
export { DM2, type Take, takesAdded, takesOf } from './takes.js'
export { type Told, amountSaid, toldIn } from './told.js'
export {
  MEASURES,
  type Measured,
  TRADE_FORMAT,
  type Trade,
  USUAL_TRADE,
  type UnitPrice,
  tradeSchema,
  unitPriceSchema,
} from './trade.js'
