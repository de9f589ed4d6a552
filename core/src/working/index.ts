export { remembered } from './remembered.js'
export { explain, explainLine, printQuantity } from './explain.js'
export {
  type Given,
  type Quantity,
  type Reckon,
  type Reckoned,
  type Term,
  given,
  ownRange,
  reckoner,
} from './reckoned.js'
