export {
  type Found,
  type FoundPath,
  type FoundResult,
  chainedPaths,
  outlineProblem,
  tooLarge,
} from './found.js'
export { UNITS, scaledPath, unitFromBar, widthIn } from './scaled.js'
