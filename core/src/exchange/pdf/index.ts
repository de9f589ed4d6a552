export { isOurPdf } from './ours.js'
export { writeQuotePdf, writeSheetPdf } from './books.js'
export { writePlanPdf } from './plan.js'
export { writeEveningsPdf, writeStepsPdf } from './work.js'
export { writeCoupons } from './coupons.js'
export type { FontFiles } from './fonts.js'

export { type PdfOptions, writePdf } from './write.js'
