export { chainedPaths } from './chains.js'
export { type Found, type FoundPath, type FoundResult, outlineProblem, tooLarge } from './found.js'
export {
  MOST_PIECES,
  MOST_STROKES,
  Unreadable,
  coordinate,
  quoted,
  strictNumber,
  tooMuch,
} from './refused.js'
export { UNITS, scaledPath, unitFromBar, widthIn } from './scaled.js'
export { type Thinned, thinnedOutline } from './thinned.js'
