export { oneLine } from './oneLine.js'
export { parseLength } from './length.js'
export { parsePitch, pitchOfNumber, pitchOfSpi, printPitch } from './pitch.js'
export {
  counted,
  decimal,
  inchFraction,
  otherUnit,
  printArea,
  printBare,
  printLength,
  printLong,
  printPace,
  printWeight,
  printWeightBare,
  secondsAStitch,
  trimmed,
} from './print.js'
export { type MeasureError, type Parsed, measureSentence, refused, understood } from './result.js'
export {
  INCH,
  OUNCE,
  type System,
  TOLD_APART,
  type ToldApart,
  type Units,
  isUnits,
  roundTo,
  systemOf,
  withSystem,
} from './units.js'
export { type WeightRange, parseWeight, weightMiddle } from './weight.js'
