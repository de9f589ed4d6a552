import { nth } from '../../../lists/index.js'
import type { PDFDocument, PDFPage } from 'pdf-lib'
import { PDFName, concatTransformationMatrix, drawObject, popGraphicsState, pushGraphicsState } from 'pdf-lib'
import type { Derived } from '../../../derived/index.js'
import type { Drawn } from '../../../drawing/index.js'
import type { Units } from '../../../measure/index.js'
import type { Snapshot } from '../../../snapshot/index.js'
import type { PrintWish } from '../../paper/index.js'
import type { Tile } from '../paper.js'
import { PT } from '../pen.js'
import { type BoxPage, boxPage } from './box.js'
import { templatePages } from './templates.js'

/** A page after the pattern: templates of card, or what tells the pattern in its box. */
export interface ExtraPage {
  readonly names: string
  readonly drawn: readonly Drawn[]
  readonly picture: BoxPage['picture']
}

/** The pages that are asked for besides the pattern. */
export function extraPages(
  derived: Derived,
  { templates, box }: Pick<PrintWish, 'templates' | 'box'>,
  { tile, unit, date }: { readonly tile: Tile; readonly unit: Units; readonly date: string | undefined },
): ExtraPage[] {
  return [
    ...(templates
      ? templatePages(derived, tile, unit).map((drawn) => ({ names: 'Templates', drawn, picture: undefined }))
      : []),
    ...(box ? [{ names: 'For the box', ...boxPage(derived, tile, unit, date) }] : []),
  ]
}

/** Puts a picture on a page, its upper left corner so far from the page’s, mm. */
export function putPicture(
  document: PDFDocument,
  page: PDFPage,
  { width, height, pixels }: Snapshot,
  place: { readonly x: number; readonly y: number; readonly width: number },
): void {
  // On paper what is clear is white.
  const rgb = new Uint8Array(3 * width * height)
  for (let i = 0; i < width * height; i += 1) {
    const alpha = nth(pixels, 4 * i + 3) / 255
    for (let c = 0; c < 3; c += 1)
      rgb[3 * i + c] = Math.round(nth(pixels, 4 * i + c) * alpha + 255 * (1 - alpha))
  }
  const image = document.context.flateStream(rgb, {
    Type: 'XObject',
    Subtype: 'Image',
    Width: width,
    Height: height,
    ColorSpace: 'DeviceRGB',
    BitsPerComponent: 8,
  })
  const name = PDFName.of('Picture')
  page.node.setXObject(name, document.context.register(image))
  const [w, h] = [place.width * PT, ((place.width * height) / width) * PT]
  page.pushOperators(
    pushGraphicsState(),
    concatTransformationMatrix(w, 0, 0, h, place.x * PT, page.getHeight() - place.y * PT - h),
    drawObject(name),
    popGraphicsState(),
  )
}
