import { z } from 'zod'
import { type Hide, hideSchema, problemWords, readStoresData } from '../stores/index.js'

/** Hides out of a file, or a sentence that says what is wrong and where. */
export type HidesRead =
  { readonly ok: true; readonly hides: readonly Hide[] } | { readonly ok: false; readonly why: string }

const listSchema = z.array(hideSchema).min(1, 'there is no hide in it').max(24)
const isStores = (data: unknown): boolean =>
  typeof data === 'object' && data !== null && Reflect.get(data, 'format') === 'drumlin.stores'

/** Reads one hide, a list of them, or all on the shelf of a stores file, from JSON. */
export function readHides(text: string): HidesRead {
  let data: unknown
  try {
    data = JSON.parse(text)
  } catch {
    return { ok: false, why: 'it is not JSON' }
  }
  try {
    if (isStores(data)) data = readStoresData(data).hides
  } catch {
    return { ok: false, why: 'the stores in it cannot be read' }
  }
  const read = listSchema.safeParse(Array.isArray(data) ? data : [data])
  if (read.success) return { ok: true, hides: read.data }
  const [issue] = read.error.issues
  return {
    ok: false,
    why: issue ? `${issue.path.join('.') || 'it'}: ${problemWords(issue)}` : 'it holds no hide',
  }
}
