import { readFile } from 'node:fs/promises'
import { createRequire } from 'node:module'

const require = createRequire(import.meta.url)
const file = (weight: number): Promise<Uint8Array> =>
  readFile(
    require.resolve(
      `@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-${weight}-normal.woff`,
    ),
  )

/** The two faces that the PDF embeds. */
export const pdfFonts = async () => ({ plain: await file(400), bold: await file(700) })
