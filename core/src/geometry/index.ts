export {
  type Box,
  boxCentre,
  boxGrown,
  boxesMeet,
  boxesTouch,
  boxHeight,
  boxOfPoints,
  boxUnion,
  boxWidth,
  pathBox,
} from './box.js'
export { type Coursed, type Stretch, courseAt, courseBreaks, courseOf, coursed } from './course.js'
export { pathCrossesItself, pathCrossings } from './crossings.js'
export { type Fillet, filletMaybe } from './fillet.js'
export { pathPoints } from './flatten.js'
export { placeInside, pointInside } from './inside.js'
export { segmentLength, segmentParameterAt } from './length.js'
export { type Nearest, distanceWithin, isNear, pathNearest } from './nearest.js'
export type { CornerStyle } from './offsetRaw.js'
export { offsetClosed, offsetLargestMaybe, offsetOpenMaybe, offsetSidesMaybe } from './offset.js'
export { type Overlay, overlay } from './overlay.js'
export {
  type Path,
  type PathPlace,
  closedPath,
  openPath,
  inwardSide,
  pathArea,
  pathDistanceOf,
  pathStretch,
  stripBetween,
  pathEnd,
  pathLength,
  pathPart,
  pathPlaceAt,
  pathReversed,
  pathStart,
  polygon,
  polyline,
} from './path.js'
export {
  type Point,
  point,
  pointAdd,
  pointBetween,
  pointCross,
  pointDistance,
  pointDot,
  pointRight,
  pointScale,
  pointSubtract,
  pointUnit,
  pointsMeet,
} from './point.js'
export {
  type Point3,
  point3,
  point3Add,
  point3Along,
  point3Cross,
  point3Distance,
  point3Dot,
  point3Scale,
  point3Subtract,
  point3Unit,
} from './point3.js'
export {
  type Region,
  overlayRegions,
  regionAlong,
  regionArea,
  regionBoth,
  regionGrown,
  regionOutlines,
  regionUnion,
  regionWithout,
} from './regions.js'
export { type Corner, type RoundedPolygon, roundedPolygon } from './rounded.js'
export { type Across, pathSpread, pointSpread } from './spread.js'
export {
  type Arc,
  type Cubic,
  type Line,
  type Segment,
  arc,
  arcRadius,
  arcStart,
  circlePoint,
  cubic,
  line,
  segmentCurvature,
  segmentDerivative,
  segmentPart,
  segmentPoint,
  segmentReversed,
  segmentTangent,
} from './segment.js'
export {
  type Move,
  QUARTER_TURN,
  STAY,
  angleMoved,
  flipAbout,
  flipAboutLevel,
  moveBack,
  moveThen,
  pathMoved,
  pointMoved,
  segmentMoved,
  scaled,
  shift,
  turn,
} from './transform.js'
export { cellsInside, levelCrossings } from './raster.js'
export { polygonHalved } from './halved.js'
