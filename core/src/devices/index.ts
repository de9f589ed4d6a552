export { ASK_ERROR, type CutterAnswer, cutterAnswer } from './answers.js'
export { type Heard, NOTHING_HEARD, heard } from './lines.js'
export { type DeviceReading, type LineRead, readLine } from './reading.js'
export {
  type CutDrawing,
  type Device,
  type DeviceOf,
  type Hand,
  type PrintedPage,
  cutDrawingSchema,
  deviceSchema,
  devicesSchema,
  handSchema,
  printedPageSchema,
} from './told.js'
