export { panelSheetOf } from './course.js'
export { type CornerSchool, type HolePlace, type Side, holePlaces } from './places.js'
export { type Hole, type Run, type SewingWays, type Step, holesInSheet, runMaybe } from './run.js'
export { type SaddleRun } from './thread.js'
