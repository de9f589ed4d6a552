export {
  OWN_PAPER,
  type OwnPaper,
  PAPERS,
  type Paper,
  type PaperId,
  type PaperSize,
  isRoll,
  paperOf,
  paperProblem,
} from './sizes.js'
export {
  CALIBRATION,
  NO_ERROR,
  type Printer,
  type PrinterError,
  type PrinterRead,
  barProblem,
  barSaid,
  errorOf,
  printerSchema,
  toFit,
} from './printer.js'
export { MOST_COPIES, type PrintWay, type PrintWish, USUAL_PRINT, wishProblem } from './wish.js'
