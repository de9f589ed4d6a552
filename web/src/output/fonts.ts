import latinBold from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff?url'
import latin from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?url'
import latinExtBold from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-700-normal.woff?url'
import latinExt from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-normal.woff?url'
import cyrillicBold from '@fontsource/noto-sans/files/noto-sans-cyrillic-700-normal.woff?url'
import cyrillic from '@fontsource/noto-sans/files/noto-sans-cyrillic-400-normal.woff?url'
import greekBold from '@fontsource/noto-sans/files/noto-sans-greek-700-normal.woff?url'
import greek from '@fontsource/noto-sans/files/noto-sans-greek-400-normal.woff?url'

const bytesOf = async (url: string): Promise<Uint8Array> =>
  new Uint8Array(await (await fetch(url)).arrayBuffer())

/** The faces the PDF is set in, the same files in the same order as from the terminal. */
export const pdfFonts = async () => ({
  plain: await Promise.all([latin, latinExt, greek, cyrillic].map(bytesOf)),
  bold: await Promise.all([latinBold, latinExtBold, greekBold, cyrillicBold].map(bytesOf)),
})
