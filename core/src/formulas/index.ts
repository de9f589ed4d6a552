export {
  bulge,
  flatGroove,
  foldedCut,
  grooveStiffness,
  nestedFolds,
  neutralFromStiffness,
  neutralFromStrip,
  twoGrooves,
  vGrooveBend,
} from './bend.js'
export { bendAllowance, betweenMiddles, bookFold, foldDifference } from './fold.js'
export {
  bellows,
  SNIPPED,
  boxedCorner,
  flangeStrain,
  flangedGusset,
  gussetStrip,
  onePieceWrap,
  seamRoll,
  snips,
  taperedPoint,
  taperedStrip,
  turnedWidth,
} from './gusset.js'
export {
  SQUARE_FOOT_DM2,
  areaToBuy,
  curlLength,
  domeShank,
  edgeLoss,
  mouldingExtra,
  postLength,
  shankInHole,
  turning,
} from './hardware.js'
export { easeLimit, edgeDistance, lockstitch, nudge, phaseIntervals, proudLoop } from './holes.js'
export { narrowestPocket, sideRoom, topCardHeight } from './pocket.js'
export {
  arcPerStitch,
  bobbinHolds,
  edgeLoops,
  equalisedStitches,
  halfAcross,
  meanStack,
  slantedStitch,
  saddleStitchThread,
  throughWork,
} from './stitch.js'
export { formulaOf, worth } from './reading.js'
export { beltGirth, handleArc, keeperLength, pipedCover, rolledCover, turnBack } from './strap.js'
export {
  bunching,
  cornerBunching,
  cornerExcess,
  edgeExcess,
  evenSkive,
  excessAtRoot,
  foldToLine,
  mitreDistance,
  mitreRoot,
  mitreOverlap,
  snipRoot,
  turnAllowance,
  turnCost,
  turnCostSquare,
} from './turnedEdge.js'
export { heldPanel, rollFold, rollRunOut, zFold } from './wrap.js'
