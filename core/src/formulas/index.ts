export { type FoldedPair, betweenMiddles, bookFold, foldDifference } from './fold.js'
export { narrowestPocket, sideRoom, topCardHeight } from './pocket.js'
export {
  arcPerStitch,
  equalisedStitches,
  halfAcross,
  meanStack,
  saddleStitchThread,
  throughWork,
  type SaddleStitch,
} from './stitch.js'
