export {
  type LaidSheet,
  type LaidUp,
  type Layer,
  layUp,
  layersAt,
  sheetIn,
  sheetThickness,
  thicknessAt,
  laidUpOf,
} from './laid.js'
export { type SeamPlace, sheetUnder } from './seamPlace.js'
export { type SkiveWishes, withSkives } from './skived.js'
export {
  type LayerSpan,
  type Transect,
  type TransectBend,
  type TransectLayer,
  type TransectStep,
  transect,
} from './transect.js'
