// What web, cli and server may lean on; large writers and readers have doors of their own.
export {
  type Finding,
  type Fix,
  type FixShelf,
  type FindingCode,
  type Screen,
  findingsOf,
  fixesOf,
  isAbout,
  overruledFor,
  sayFinding,
  startingDesign,
} from './check/index.js'
export {
  type DecisionChange,
  type PieceChange,
  compareDecisions,
  comparePieces,
  sayFate,
} from './compare/index.js'
export { type Card, cardOf } from './overview/index.js'
export { type CouponPlan, couponPlan } from './coupons/index.js'
export { type Derived, derive } from './derived/index.js'
export { unworkable } from './derived/index.js'
export * from './design/index.js'
export { isSame, merged } from './merge/index.js'
export {
  type Drawn,
  type LayerName,
  type StrokeGroup,
  gathered,
  lettered,
  pathData,
  pieceDrawing,
  pieceOutline,
} from './drawing/index.js'
export {
  type ReadResult,
  readDesignData,
  readDesign,
  readSentence,
  recordSentence,
  writeDesign,
} from './exchange/json/index.js'
export {
  type FitAsked,
  type Fitted,
  type Freedom,
  type RunHoles,
  type Wish,
  fitToIron,
  freedomsOf,
  holesChanged,
} from './fit/index.js'
export { type Figures, figuresOf } from './overview/index.js'
export {
  type Found,
  type FoundResult,
  UNITS,
  outlineProblem,
  thinnedOutline,
  scaledPath,
  unitFromBar,
  widthIn,
} from './exchange/outlines/index.js'
export { writeSvg } from './exchange/svg/index.js'
export {
  type Box,
  type Move,
  type Path,
  type Point,
  boxCentre,
  boxGrown,
  boxHeight,
  boxUnion,
  boxWidth,
  boxesMeet,
  moveBack,
  moveThen,
  pathBox,
  pathLength,
  pathMoved,
  pathNearest,
  pointMoved,
  shift,
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
  type Grip,
  type MarkPlace,
  type Node,
  type Outlined,
  type Reading,
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
  gripPlace,
  gripsAt,
  insertPoint,
  layerRole,
  moveGrip,
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
  wholeDrawn,
} from './drawn/index.js'
export {
  type Field,
  type Kind,
  type Sentence,
  SEAM_SENTENCES,
  SEWING_SENTENCES,
  fieldsOf,
  kindIds,
  kindOf,
  startingHardware,
  startingLeathers,
} from './kinds/index.js'
export { type SentencePart, fieldsInPlay, sentenceParts } from './kinds/index.js'
export {
  type LaidSheet,
  type LaidUp,
  type Layer,
  layersAt,
  type Transect,
  type TransectLayer,
  thicknessAt,
  transect,
  workOf,
} from './layup/index.js'
export { type Skiving, skivingsOf } from './edges/index.js'
export { type Band, type Fate, type Panel, placeOnPanel } from './master/index.js'
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
  printLong,
  printPace,
  secondsAStitch,
  printPitch,
  printWeight,
  printWeightBare,
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
  prefilled,
  reckonEntry,
  usedFor,
} from './pocketbook/index.js'
export {
  type Asked,
  type OtherWay,
  type ReliefMap,
  type SeamProfile,
  type SkiveProposal,
  type Spot,
  type Survey,
  closedThickness,
  mapHeight,
  otherWays,
  proposeSkives,
  alongRun,
  survey,
  weightOfWork,
} from './relief/index.js'
export { type Arrangement, type Piece, arrangeInRows } from './reckon/index.js'
export { type Run, type Strikes, type Zip, type ZipSide } from './stitch/index.js'
export { type SeamPlan, type SeamRow, mergesFor, seamOrder, seamPlan, zipFor } from './derived/index.js'
export { type RunWish } from './sewing/index.js'
export {
  type Awl,
  COLUMNS,
  type Column,
  type Good,
  HIDE_PARTS,
  type Hardware,
  type HidePart,
  type Learnt,
  SHELF_NAMES,
  type Shelf,
  type Iron,
  type Leather,
  type Machine,
  STARTER_STORES,
  problemWords,
  type Stores,
  type Thing,
  type Thread,
  type Trial,
  diameterOf,
  needleFor,
  parseThreadSize,
  suitsPitch,
  threadSizes,
  lessonsOf,
  readStoresData,
  reckonedThickness,
  storesSchema,
  trialProblem,
  withLessons,
  withGood,
  withoutGood,
  leatherAt,
  leatherUsed,
} from './stores/index.js'
export { type SetFitting } from './fittings/index.js'
export { type Gap, type Mesh, type Picture, type PictureSheet, gapsOf, pictureOf } from './space/index.js'
export {
  type Box3,
  type Carried,
  type Hang,
  type Packed,
  type Packing,
  type ToBuy,
  type Turnable,
  longestRun,
  smallestRoom,
} from './whole/index.js'
export { hangingOf, makeRoom, packingOf, smallestFor, strapsOf, toBuy, turningOf } from './derived/index.js'

export { type SizeRange, sizeRanges } from './derived/index.js'
export { summary } from './overview/index.js'
export { type Reckoned, type Term, explain, explainLine, ownRange, printQuantity } from './working/index.js'
