import { threadFor } from '../workers/thread.js'
import type { Design } from '@drumlin/core/design'
import type { FoundResult } from '@drumlin/core/exchange/outlines'
import { reasonOf } from '../app/reason.js'
import { askOnce, wasStopped } from '../workers/ask.js'
import type { ReadAsked } from '../workers/read.worker.js'

/** How long a file is read, ms. */
const LIMIT = 20_000
/** The largest files that are read, bytes. */
const LARGEST = { design: 20_000_000, svg: 5_000_000, dxf: 5_000_000 } as const

export type ReadDesignResult =
  { readonly ok: true; readonly design: Design } | { readonly ok: false; readonly why: string }

/** Reads a file in another thread, whatever it holds: what it is, or a sentence that says why not. */
async function readFile<T extends { readonly ok: boolean }>(
  file: File,
  what: ReadAsked['what'],
  signal: AbortSignal,
): Promise<T | { readonly ok: false; readonly why: string }> {
  const max = LARGEST[what]
  if (file.size > max)
    return {
      ok: false,
      why: `it is ${(file.size / 1e6).toFixed(1)} MB; up to ${max / 1e6} MB are read.${what === 'design' ? '' : ' Keep only the outline in it and save it again.'}`,
    }
  try {
    const question: ReadAsked = { what, text: await file.text() }
    return await askOnce<T>(() => threadFor('read'), question, { limit: LIMIT, signal })
  } catch (error) {
    return {
      ok: false,
      why: wasStopped(error) ? 'reading was stopped.' : `it can’t be read: ${reasonOf(error)}.`,
    }
  }
}

/** A design from a `.drumlin.json` file that is valid and can be drawn. */
export const readDesignFile = (file: File, signal: AbortSignal): Promise<ReadDesignResult> =>
  readFile(file, 'design', signal)

/** The outlines in an SVG or DXF file. */
export const readOutlineFile = (file: File, signal: AbortSignal): Promise<FoundResult> =>
  readFile(file, /\.dxf$/i.test(file.name) ? 'dxf' : 'svg', signal)
