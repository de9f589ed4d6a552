export { oneLine } from './oneLine.js'
export { parseLength } from './length.js'
export { parsePitch, pitchOfNumber, pitchOfSpi, printPitch } from './pitch.js'
export {
  compact,
  counted,
  decimal,
  inchFraction,
  marked,
  otherUnit,
  printArea,
  printBare,
  printBoth,
  printFine,
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
  hasComma,
  isUnits,
  roundTo,
  systemOf,
  withComma,
  withSystem,
} from './units.js'
export { type WeightRange, parseWeight, weightMiddle } from './weight.js'
export { lengthSaid, thicknessSaid, withLengths } from './said.js'
