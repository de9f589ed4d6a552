// What web, cli and server may lean on. The PDF writer has its own door, '@drumlin/core/pdf', because it is large.
export { type Finding, type Fix, findingsOf, fixesOf, overruledFor, sayFinding } from './check/index.js'
export { type DecisionChange, type PieceChange, compareDecisions, comparePieces } from './compare.js'
export { type Derived, derive, workOf } from './derive.js'
export {
  type Design,
  type Edit,
  type Edited,
  type FreshDesign,
  applyEdit,
  freshDesign,
  giveBack,
  heed,
  overrideNumber,
  overrule,
  rename,
  renameDraft,
  takeDesign,
  setField,
  setSkives,
} from './design/index.js'
export {
  type Drawn,
  type LayerName,
  drawnMoved,
  pathData,
  pieceDrawing,
  pieceOutline,
} from './drawing/index.js'
export { type ReadResult, readDesign, readSentence, writeDesign } from './exchange/json/index.js'
export { writeSvg } from './exchange/svg/index.js'
export {
  type Box,
  type Move,
  type Path,
  type Point,
  boxGrown,
  boxHeight,
  boxUnion,
  boxWidth,
  moveBack,
  moveThen,
  pathBox,
  pathLength,
  pathMoved,
  pointMoved,
} from './geometry/index.js'
export {
  type DrawnEdge,
  type DrawnFate,
  type DrawnFold,
  type DrawnLayer,
  type DrawnMark,
  type DrawnPanel,
  type DrawnSkive,
  type Going,
  type MarkPlace,
  type Node,
  type Outlined,
  type Reading,
  type Readings,
  type Shape,
  type Snapped,
  type Tie,
  SHAPES,
  barePanel,
  drawnEdgeLength,
  drawnFromPath,
  drawnSegments,
  fromPoints,
  fromReadings,
  insertPoint,
  layerRole,
  mirroredPoint,
  moveHandle,
  movePoint,
  outlineOf,
  partEdge,
  readingsAt,
  readingsProblem,
  removePoint,
  setGoing,
  setRadius,
  setRise,
  snapPoint,
  takenOver,
  tieNames,
  tiesFollowed,
} from './drawn/index.js'
export {
  type Field,
  type Kind,
  type Sentence,
  SEWING_SENTENCES,
  fieldsOf,
  kindIds,
  kindOf,
  startingLeathers,
} from './kinds/index.js'
export { type Transect, type TransectLayer, thicknessAt, transect } from './layup/index.js'
export type { Band, Panel } from './master/index.js'
export {
  type LengthUnit,
  OUNCE,
  measureSentence,
  otherUnit,
  parseLength,
  parsePitch,
  parseWeight,
  printBare,
  printLength,
  printPitch,
  printWeight,
  trimmed,
  weightMiddle,
} from './measure/index.js'
export {
  ENTRIES,
  type Entry,
  type Input,
  type Sketch,
  entryMaybe,
  inputProblem,
  reckonEntry,
  usedFor,
} from './pocketbook/index.js'
export { type Arrangement, type Piece, arrangeInRows } from './reckon/index.js'
export type { Run } from './stitch/index.js'
export {
  type Awl,
  COLUMNS,
  type Column,
  type Good,
  SHELF_NAMES,
  type Shelf,
  type Iron,
  type Leather,
  STARTER_STORES,
  type Stores,
  type Thread,
  diameterOf,
  storesSchema,
  withGood,
  withoutGood,
} from './stores/index.js'
export { type SizeRange, sizeRanges } from './range.js'
export { summary } from './summary.js'
export { type Reckoned, explain, explainLine, printQuantity } from './working/index.js'
