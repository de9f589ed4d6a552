export { type Allowed, type FitAsked, type Fitted, type Moved, fitToIron } from './fit.js'
export { type Freedom, freedomsOf } from './freedoms.js'
export { type Limits, type Miss, type Wish, trueMisses } from './wishes.js'
export { type RunHoles, holesChanged } from './report.js'
export {
  type Answered,
  type Measurable,
  type Reproduced,
  type Taken,
  measurables,
  reproduce,
  sayWhy,
} from './measured.js'
