export { nextAddedId, putOn, takeOff, layPart } from './addedEdits.js'
export { withFollowing } from './follow.js'
export {
  addCopied,
  addDrawn,
  addLayer,
  bringEdgeTo,
  changeDrawn,
  removeDrawn,
  removeLayer,
  tieEdges,
  untie,
} from './drawnEdits.js'
export {
  type Change,
  type Edit,
  type Edited,
  applyEdit,
  valueAt,
  mergedEdits,
  mergedInverses,
} from './edit.js'
export {
  giveBack,
  heed,
  overrideNumber,
  overrule,
  rename,
  renameDraft,
  setField,
  setLengths,
  setSkives,
  takeDesign,
} from './edits.js'
export { type Asks, type Cutting, type Demand, LIES, type Lies, PLAIN_CUTTING } from './cutting.js'
export {
  asGauged,
  askOf,
  cutAlso,
  layPiece,
  layPieces,
  leatherAsMeasured,
  leaveHide,
  putAside,
  takeHide,
} from './cuttingEdits.js'
export { type FreshDesign, freshDesign } from './fresh.js'
export { DESIGN_FORMAT, DESIGN_VERSION, type Design, designSchema } from './schema.js'
export { type Rebased, rebaseEdits } from './rebase.js'
export { OLDEST_VERSION, editUpToDate, upToDate } from './versions.js'
export {
  addLine,
  dropWishes,
  freeLineId,
  mergeRuns,
  orderRuns,
  removeLine,
  setSchool,
  splitRuns,
  unmergeRun,
  unsplitRuns,
  wishRuns,
} from './sewingEdits.js'
export { orderSteps, usualOrder } from './workEdits.js'
