export { ENTRIES, entryMaybe } from './entries.js'
export { GROUPS, type Group } from './groups.js'
export { prefilled, usedFor } from './uses.js'
export { type Entry, type Input, type Sketch, inputProblem, reckonEntry, sketchWord } from './entry.js'
