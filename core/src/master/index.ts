export { chainsOf, edgeChain, insetChainMaybe } from './chains.js'
export { type Clip, clipAt, clipHas, clipMoved, clipsHave, ringClipped } from './clip.js'
export type { Corner, Fitting, Hanging, Room, StrapRun, Turning } from './fitting.js'
export type { Ends, Frame, InsideThing, Riding, Standing, Stood, StoodPart, Wound } from './stand.js'
export { liesIn, sheetsOf } from './master.js'
export type {
  Bend,
  Concern,
  ContentSheet,
  EdgeCourse,
  Fault,
  Fit,
  Glue,
  Join,
  Layup,
  LineCourse,
  Master,
  MasterSize,
  Match,
  PanelSheet,
  Sheet,
  Tape,
} from './master.js'
export {
  type Band,
  type BandArea,
  type Edge,
  type EdgeSkive,
  type EdgeTreatment,
  type Fold,
  type HardwareMark,
  type LayerSort,
  type Panel,
  type PanelMark,
  type Stock,
  type TurnSchool,
  type TurnedFate,
  isTurned,
  placeOnPanel,
  panelOf,
} from './panel.js'
