export { type LayAsked, PAIR_APART } from './bench.js'
export { type Wanted, asWished, pieceName, wantedOf } from './demand.js'
export { demandsOf } from './demands.js'
export { type Judge, type LyingFault, judgeOf } from './judge.js'
export { type LaidOut, USUAL_EFFORT, layOut } from './layOut.js'
export { type Lying, cutWay, laidThere, liesAsAsked, straightTurn, tidy, turnsOf } from './lying.js'
export {
  type OutlineMade,
  type Width,
  lieAlong,
  outlineAlong,
  outlineOfPath,
  outlineOfWidths,
} from './made.js'
export {
  type Straightened,
  type StraightenedRead,
  straightenedByBar,
  straightenedBySheet,
} from './photograph.js'
export { bandOf, flawOutline, hideArea, hideSize } from './stands.js'
export { type PieceThickness, hideThickness, thicknessOver } from './thickness.js'
export { type CutStep, type HideFigures, STRIP_WIDE, cuttingOrder, figuresOf } from './figures.js'
export { type Group, groupsOf, lyingOf, wantedPieces, wishedDemands } from './groups.js'
export { leftovers, outlinesOn } from './leftover.js'
export { type ToBuyHide, howMany, leastHide, withStrapJoined } from './questions.js'
export { type Extent, extentOf } from './world.js'
export { type HideAt, type World, worldOf } from './world.js'
export { sayFault } from './words.js'
export { type Traced, type TracedRead, tracedHide } from './traced.js'
export { type LaidMaterial, laidDesign, withHides } from './laidDesign.js'
export { type HidesRead, readHides } from './read.js'
export { type CutFigures, cutFigures } from './cutFigures.js'
