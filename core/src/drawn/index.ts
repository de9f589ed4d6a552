export {
  type Readings,
  insertPoint,
  moveHandle,
  movePoint,
  partEdge,
  readingsAt,
  removePoint,
  setGoing,
  setRadius,
  setRise,
  wholeDrawn,
} from './draw.js'
export { type ByMark, layingsByMark, liesSo } from './byMarks.js'
export { lieBeside, lieOf, turnedInPlace } from './lies.js'
export { copiedDrawn, turnedDrawn } from './copied.js'
export { type Grip, gripPlace, gripsAt, moveGrip } from './grips.js'
export { edgeBroughtTo, tiesFollowed } from './follow.js'
export { barePanel, drawnFromPath, takenOver } from './fromPath.js'
export { drawnRoles, withDrawn } from './master.js'
export { layerRole } from './materials.js'
export { drawnSegments, outlineOf } from './outline.js'
export {
  type DrawnEdge,
  type DrawnFate,
  type DrawnFold,
  type DrawnLayer,
  type DrawnMark,
  type DrawnPanel,
  type DrawnSkive,
  type Going,
  type MarkPlace,
  type Node,
  type Tie,
  drawnPanelSchema,
  tieSchema,
} from './schema.js'
export {
  type Outlined,
  type Reading,
  type Shape,
  type ShapeField,
  SHAPES,
  fromPoints,
  fromReadings,
  readingsProblem,
} from './shapes.js'
export { type Snapped, type SnapTo, snapPoint } from './snap.js'
export { drawnEdgeLength, tieNames } from './ties.js'
