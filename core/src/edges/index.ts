export type { Treatment } from './treatment.js'
export { type EdgeProfile, profileDistance, profileLevel } from './profile.js'
export { type CutFrom } from './stock.js'
export type { Turn } from './turn.js'
export { type EdgeWork, type TurnedWork, workEdges } from './work.js'
export {
  type SkiveChange,
  type SkiveSteps,
  type Skiving,
  type ToolVerdict,
  skiveChanges,
  skivingsOf,
} from './skiving.js'
