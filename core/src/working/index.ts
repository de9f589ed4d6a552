export { addedUp } from './addedUp.js'
export { remembered } from './remembered.js'
export { type WorkingStep, explain, explainLine, explainSteps, printQuantity } from './explain.js'
export {
  type About,
  type Given,
  type Inputs,
  type Quantity,
  type Reckon,
  type Reckoned,
  type Term,
  given,
  ownRange,
  reckoner,
} from './reckoned.js'
