import { merged } from '@drumlin/core/merge'
import { STARTER_STORES, type Stores, problemWords, readStoresData, storesSchema } from '@drumlin/core/stores'
import { reasonOf } from '../app/reason.js'
import { database } from './db.js'
import { PATIENCE, within } from './state.js'

/** Shelves that could not be read and were put out of the way, as they stood. */
export interface SetAside {
  readonly why: string
  readonly raw: unknown
}

/** What is on the maker's shelves: their own, and the examples while those are there. */
export interface KeptStores {
  readonly own: Stores
  readonly examples: Stores | undefined
  readonly setAside: SetAside | undefined
}

interface Issues {
  readonly issues: readonly { readonly path: readonly PropertyKey[]; readonly message: string }[]
}

const ASIDE = 'stores.setAside'

/** Reads the shelves. Those that can't be read are set aside, whole, and the starter stock stands in their place. */
export async function readStores(): Promise<KeptStores> {
  const tx = (await database()).transaction(['stores', 'settings'], 'readwrite')
  tx.done.catch(() => undefined)
  const read = async (): Promise<KeptStores> => {
    const [stores, settings] = [tx.objectStore('stores'), tx.objectStore('settings')]
    const [own, examples, before] = await Promise.all([
      stores.get('own'),
      stores.get('examples'),
      settings.get(ASIDE) as Promise<SetAside | undefined>,
    ])
    const mine = readable(own)
    const setAside = 'why' in mine ? { why: mine.why, raw: own } : before
    if ('why' in mine) await Promise.all([settings.put(setAside, ASIDE), stores.delete('own')])
    const theirs = readable(examples)
    await tx.done
    return {
      own: ('stores' in mine ? mine.stores : undefined) ?? STARTER_STORES,
      examples: 'stores' in theirs ? theirs.stores : undefined,
      setAside,
    }
  }
  return within(PATIENCE, read())
}

/** What an older Drumlin kept is brought up to date when it is read. */
function readable(kept: unknown): { readonly stores: Stores | undefined } | { readonly why: string } {
  if (kept === undefined) return { stores: undefined }
  try {
    return { stores: readStoresData(kept) }
  } catch (error) {
    const issue = (error as Partial<Issues>).issues?.[0]
    return { why: issue ? `${issue.path.join('.')}: ${problemWords(issue)}` : reasonOf(error) }
  }
}

/** Forgets the shelves that were set aside. */
export const dropSetAside = async (): Promise<void> =>
  within(PATIENCE, (await database()).delete('settings', ASIDE))

/** What became of a change of the shelves. */
export type StoresKept =
  | { readonly ok: true; readonly stores: Stores; readonly over: boolean }
  | { readonly ok: false; readonly why: string }

/**
 * Keeps what this tab made of the shelves. What another tab put there since `seen` was read stays, good by good and field by
 * field; where both wrote the same field this one stands, and `over` says so.
 */
export async function writeStores(seen: Stores, mine: Stores): Promise<StoresKept> {
  const tx = (await database()).transaction('stores', 'readwrite')
  tx.done.catch(() => undefined)
  const write = async (): Promise<StoresKept> => {
    const kept = readable(await tx.store.get('own'))
    const theirs = ('stores' in kept ? kept.stores : undefined) ?? STARTER_STORES
    const both = merged(seen, mine, theirs)
    if (!both)
      return {
        ok: false,
        why: 'another tab put something else of the same name there; look at it, then do yours again',
      }
    const checked = storesSchema.safeParse(both.value)
    if (!checked.success) return { ok: false, why: storesProblem(checked.error) }
    await tx.store.put(checked.data, 'own')
    await tx.done
    return { ok: true, stores: checked.data, over: both.over }
  }
  return within(PATIENCE, write())
}

/** What is wrong with shelves that were written, as the field can show it. */
export function storesProblem(error: Issues): string {
  const [issue] = error.issues
  return `${String(issue!.path.at(-1))}: ${problemWords(issue!)}`
}
