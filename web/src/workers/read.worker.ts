import { derive, unworkable } from '@drumlin/core/derived'
import { readDesign, readSentence } from '@drumlin/core/exchange/json'
import { readDxfPaths } from '@drumlin/core/exchange/dxf'
import { readSvgPaths } from '@drumlin/core/exchange/svg-read'
import { answering } from './answer.js'

/** A file to read: a design, or a drawing to take an outline from. */
export interface ReadAsked {
  readonly what: 'design' | 'svg' | 'dxf'
  readonly text: string
}

/** A design that is valid and can be drawn, or why there is none. */
function design(text: string) {
  const read = readDesign(text)
  if (!read.ok) return { ok: false, why: readSentence(read.issue) }
  const why = unworkable(() => derive(read.design))
  return why === undefined ? read : { ok: false, why: `${why.replace(/^with that/, 'with what it holds')}.` }
}

answering(({ what, text }: ReadAsked) => {
  if (what === 'design') return design(text)
  return what === 'dxf' ? readDxfPaths(text) : readSvgPaths(text)
})
