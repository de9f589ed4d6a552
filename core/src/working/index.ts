export { explain, explainLine, printQuantity } from './explain.js'
export {
  type Given,
  type Quantity,
  type Reckon,
  type Reckoned,
  type Term,
  given,
  reckoner,
} from './reckoned.js'
