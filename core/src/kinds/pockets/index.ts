export { edgePieces } from './bench.js'
export { pileConcerns, pileFits } from './fits.js'
export { type Pile, type Side, pileJoins, pileSheets, pileSides, sideGlue } from './lay.js'
export { stackPanels } from './panels.js'
export {
  FRONT_POCKET,
  PILE_IN_PLAY,
  POCKETS,
  POCKET_SENTENCES,
  type PocketParams,
  hasOwnFront,
} from './params.js'
export { type StackSizes, type StackStart, heightForCards, stackSizes } from './sizes.js'
export { type Stack, firstTop, roomOverCards, slitPanelTop, stackItems, stackSizesShown } from './stack.js'
