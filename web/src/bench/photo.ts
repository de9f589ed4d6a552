import { threadFor } from '../workers/thread.js'
import { TooLong, helper } from '../workers/ask.js'

/** What is not read at all, bytes. */
const LARGEST = 60_000_000
const LIMIT = 30_000

const worker = helper(() => threadFor('photo'))

export type Shrunk =
  { readonly ok: true; readonly picture: Blob } | { readonly ok: false; readonly why: string }

/** A photograph small enough to be kept by the thousand, made away from the screen's own thread. */
export async function shrunk(file: Blob & { readonly name?: string }): Promise<Shrunk> {
  const name = file.name ?? 'the photograph'
  if (file.size > LARGEST)
    return {
      ok: false,
      why: `${name} has ${Math.round(file.size / 1e6)} MB; up to ${LARGEST / 1e6} MB are read`,
    }
  try {
    return { ok: true, picture: await worker.ask<Blob>(file, { limit: LIMIT }) }
  } catch (error) {
    const why = error instanceof TooLong ? 'takes too long to be read' : 'is no picture that can be read'
    return { ok: false, why: `${name} ${why}` }
  }
}
