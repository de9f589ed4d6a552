// What there is of a finished thing: its hardware, how it stands, what goes in, how it hangs.
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
export { hangingOf, makeRoom, packingOf, smallestFor, strapsOf, toBuy, turningOf } from './wholeWork.js'
