export { type ThreadTaken, barsOf, leatherLessons, stretchBy, threadFactors, wasteBy } from './goods.js'
export { differing, withFigures } from './figures.js'
export { PACE_GROUPS, type PaceGroup, SET_UP, figureAt, groupOf } from './groups.js'
export { LEAST_MAKINGS, type Observed, type Paces, type Timed, pacesOf } from './paces.js'
export {
  type Change,
  type Figures,
  type Learnable,
  type Lessons,
  type Proposal,
  figuresOf,
  lessonsOf,
} from './proposals.js'
export { type Spread, spreadOf } from './statistics.js'
