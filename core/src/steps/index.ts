export { type Facts, factsOf } from './facts.js'
export { circles, ordered } from './graph.js'
export { pictureAt, stepPicture } from './picture.js'
export { REASONS } from './reasons.js'
export { SORTS, type Sort, sortOf } from './sorts.js'
export {
  type Circle,
  type LastCall,
  type Reason,
  type Row,
  type Step,
  type Steps,
  against,
  lastCalls,
  noOrder,
  stepsOf,
  suppliesAdded,
} from './steps.js'
export type { Amount, Before, Supply, Task, Touch, Why } from './task.js'
export { type Tasks, tasksOf } from './tasks.js'
