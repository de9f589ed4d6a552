import { type Design, type LengthUnit, derive } from '@drumlin/core'
import { writePdf } from '@drumlin/core/pdf'
import bold from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff?url'
import plain from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?url'

const bytesOf = async (url: string): Promise<Uint8Array> =>
  new Uint8Array(await (await fetch(url)).arrayBuffer())

self.onmessage = async ({
  data,
}: MessageEvent<{ design: Design; paper: 'a4' | 'letter'; unit: LengthUnit }>) => {
  try {
    const fonts = { plain: await bytesOf(plain), bold: await bytesOf(bold) }
    const bytes = await writePdf(derive(data.design), { paper: data.paper, unit: data.unit, fonts })
    self.postMessage({ bytes })
  } catch (error) {
    self.postMessage({ error: error instanceof Error ? error.message : String(error) })
  }
}
