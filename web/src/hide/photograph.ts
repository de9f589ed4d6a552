import { reasonOf } from '../app/reason.js'
import type { Point } from '@drumlin/core/geometry'

/** What was clicked on a photograph, in its pixels. */
export type Places = Record<'scale' | 'border' | 'backbone', readonly Point[]>

/** A photograph made small enough to be traced on; its size in pixels. */
export interface Photograph {
  readonly url: string
  readonly width: number
  readonly height: number
  readonly close: () => void
}

export type PhotographRead =
  { readonly ok: true; readonly photograph: Photograph } | { readonly ok: false; readonly why: string }

/** The longest side that is shown, pixels: finer than a hand can click. */
const LONGEST = 2400
/** The largest file that is read, bytes. */
const LARGEST = 80_000_000

/** Reads a photograph, whatever its size; or says why not. */
export async function readPhotograph(file: File): Promise<PhotographRead> {
  if (file.size > LARGEST)
    return { ok: false, why: `it is ${Math.round(file.size / 1e6)} MB; up to ${LARGEST / 1e6} MB are read.` }
  try {
    const whole = await createImageBitmap(file)
    const scale = Math.min(1, LONGEST / Math.max(whole.width, whole.height))
    const [width, height] = [Math.round(whole.width * scale), Math.round(whole.height * scale)]
    const canvas = new OffscreenCanvas(width, height)
    canvas.getContext('2d')?.drawImage(whole, 0, 0, width, height)
    whole.close()
    const url = URL.createObjectURL(await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 }))
    return { ok: true, photograph: { url, width, height, close: () => URL.revokeObjectURL(url) } }
  } catch (error) {
    return { ok: false, why: `it is no picture that can be shown (${reasonOf(error)}).` }
  }
}
