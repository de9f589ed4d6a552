export { writeCoupons } from './coupons.js'
export type { FontFiles } from './fonts.js'
export { PAPERS, type PaperId } from './paper.js'
export { type PdfOptions, writePdf } from './write.js'
