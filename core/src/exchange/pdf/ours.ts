import { PDFDocument } from 'pdf-lib'

/** What every PDF of ours names as the program that made it. */
export const CREATOR = 'Drumlin'

/** Whether a PDF was written here. */
export async function isOurPdf(bytes: Uint8Array): Promise<boolean> {
  try {
    return (await PDFDocument.load(bytes, { updateMetadata: false })).getCreator() === CREATOR
  } catch {
    return false
  }
}
