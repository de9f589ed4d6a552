import { readFile } from 'node:fs/promises'
import { createRequire } from 'node:module'

const require = createRequire(import.meta.url)
const file = (name: string): Promise<Uint8Array> => readFile(require.resolve(`@fontsource/${name}`))

/** The faces that the PDF is set in: the interface's own, then a plain one for Greek and Cyrillic. */
const faces = (weight: number): Promise<Uint8Array[]> =>
  Promise.all(
    [
      `atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-${weight}-normal.woff`,
      `atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-${weight}-normal.woff`,
      `noto-sans/files/noto-sans-greek-${weight}-normal.woff`,
      `noto-sans/files/noto-sans-cyrillic-${weight}-normal.woff`,
    ].map(file),
  )

export const pdfFonts = async () => ({ plain: await faces(400), bold: await faces(700) })
