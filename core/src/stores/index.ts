export { isUsual, leatherAt, splitFrom, leatherUsed, usualOf } from './leather.js'
export { type Hardware, type HardwareSort, POSTED, ZIP_TAPE, hardwareSchema } from './hardware.js'
export { type Thing, thingSchema } from './things.js'
export { densityOf } from './density.js'
export type { Column, Shelf } from './column.js'
export { COLUMNS, SHELF_NAMES } from './columns.js'
export { type Good, withGood, withHide, withoutGood, withoutHide } from './goods.js'
export {
  CARD,
  CURRENCIES,
  type Currency,
  NOTE_THICKNESS,
  type Note,
  currencyOf,
  largestNote,
} from './contents.js'
export { diameterOf } from './fibres.js'
export { type ThreadSizes, parseThreadSize, suitsPitch, threadSizes, needleFor } from './threadSizes.js'
export { type Learnt, type Lessons, lessonsOf, trialProblem, withLessons } from './trials.js'
export { problemWords } from './problem.js'
export { leatherOf1, readStoresData } from './versions.js'
export {
  type Awl,
  type Iron,
  type Leather,
  type Machine,
  type Stores,
  type Thread,
  type Trial,
  awlSchema,
  id as idSchema,
  words as wordsSchema,
  ironSchema,
  leatherSchema,
  machineSchema,
  reckonedThickness,
  thicknessRange,
  storesSchema,
  threadSchema,
  trialSchema,
} from './schema.js'
export { type SoldWeight, soldWeights } from './weights.js'
export { STARTER_STORES } from './starter.js'
export {
  FLAWS,
  GROUND_PARTS,
  type GroundPart,
  type Hide,
  type HideFlaw,
  type HideZone,
  ZONES,
  hideSchema,
} from './hides.js'
export { type Half, sheetGround, typicalGround, usualZones } from './typical.js'
