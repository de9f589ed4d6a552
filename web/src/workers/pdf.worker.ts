import { type Design, type Iron, type Leather, type LengthUnit, derive } from '@drumlin/core'
import { writeCoupons, writePdf } from '@drumlin/core/pdf'
import bold from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff?url'
import plain from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?url'

const bytesOf = async (url: string): Promise<Uint8Array> =>
  new Uint8Array(await (await fetch(url)).arrayBuffer())

/** A design's pattern, or the test pieces of a leather. */
export type PdfAsked = { readonly paper: 'a4' | 'letter'; readonly unit: LengthUnit } & (
  { readonly design: Design } | { readonly leather: Leather; readonly iron: Iron }
)

self.onmessage = async ({ data }: MessageEvent<PdfAsked>) => {
  try {
    const fonts = { plain: await bytesOf(plain), bold: await bytesOf(bold) }
    const options = { paper: data.paper, unit: data.unit, fonts }
    const bytes =
      'design' in data
        ? await writePdf(derive(data.design), options)
        : await writeCoupons(data.leather, data.iron, options)
    self.postMessage({ bytes })
  } catch (error) {
    self.postMessage({ error: error instanceof Error ? error.message : String(error) })
  }
}
