export { type Derived, type Mastered, derive, mastered } from './derive.js'
export { type LayersThere, layersAlong, onlyLayers } from './layersAlong.js'
export { type SizeRange, sizeRanges } from './range.js'
export {
  type Faces,
  type SeamPlan,
  type SeamRow,
  mergesFor,
  seamOrder,
  seamPlan,
  tiedRun,
  zipFor,
} from './seams.js'
export { type PackedRoom, packedRooms, packingOf, thingsInside } from './rooms.js'
export {
  type StrapLength,
  hangingOf,
  makeRoom,
  sideMade,
  smallestFor,
  strapsOf,
  toBuy,
  turningOf,
} from './wholeWork.js'
export { unworkable } from './workable.js'
