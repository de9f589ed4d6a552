import { type Entry, entryOf } from '@drumlin/core/ledger'
import { type Making, makingSchema, readMakingData } from '@drumlin/core/makings'
import { problemWords } from '@drumlin/core/stores'
import { reasonOf } from '../app/reason.js'
import { type PhotoRecord, database } from './db.js'
import { PATIENCE, within } from './state.js'

/** A making that can’t be read, with why. */
export interface UnreadableMaking {
  readonly id: string
  readonly why: string
}

type Issue = Parameters<typeof problemWords>[0] & { readonly path: readonly PropertyKey[] }
/** Why it can’t be read: the first that the schema finds wrong with it, else what went wrong. */
function whyOf(error: unknown): string {
  const [first] = (error as { readonly issues?: readonly Issue[] }).issues ?? []
  return first ? `${first.path.join('.')}: ${problemWords(first)}` : reasonOf(error)
}

/** The ledger’s entry of every making; those that are missing, from before there was a ledger, are written. */
export async function listEntries(): Promise<{
  readonly entries: readonly Entry[]
  readonly unreadable: readonly UnreadableMaking[]
}> {
  const db = await database()
  const [entries, ids] = await within(PATIENCE, Promise.all([db.getAll('entries'), db.getAllKeys('makings')]))
  const known = new Set(entries.map((e) => e.id))
  const missing = ids.filter((id) => !known.has(id))
  const unreadable: UnreadableMaking[] = []
  for (const id of missing) {
    try {
      const entry = entryOf(readMakingData(await db.get('makings', id)))
      await db.put('entries', entry)
      entries.push(entry)
    } catch (error) {
      unreadable.push({ id, why: whyOf(error) })
    }
  }
  return { entries: entries.toSorted((a, b) => b.begun.localeCompare(a.begun)), unreadable }
}

/** A making with its design; undefined where there is none. Throws where it can’t be read. */
export async function readMaking(id: string): Promise<Making | undefined> {
  const raw = await within(PATIENCE, (await database()).get('makings', id))
  return raw && readMakingData(raw)
}

/** Every making that is not finished, each read for itself, the latest begun first. */
export async function listMakings(): Promise<{
  readonly makings: readonly Making[]
  readonly unreadable: readonly UnreadableMaking[]
}> {
  const { entries, unreadable } = await listEntries()
  const makings: Making[] = []
  const wrong = [...unreadable]
  for (const { id, finished } of entries) {
    if (finished !== undefined) continue
    try {
      const making = await readMaking(id)
      if (making) makings.push(making)
    } catch (error) {
      wrong.push({ id, why: whyOf(error) })
    }
  }
  return { makings, unreadable: wrong }
}

/** Changes a making as it lies there, inside one transaction: another tab's change is not written over. */
export async function changeMaking(id: string, change: (now: Making) => Making): Promise<Making> {
  const tx = (await database()).transaction(['makings', 'entries'], 'readwrite')
  tx.done.catch(() => undefined)
  const done = async (): Promise<Making> => {
    const now = readMakingData(await tx.objectStore('makings').get(id))
    const next = change(now)
    if (next !== now) {
      await tx.objectStore('makings').put(makingSchema.parse(next))
      await tx.objectStore('entries').put(entryOf(next))
    }
    await tx.done
    return next
  }
  return within(PATIENCE, done())
}

/** Adds makings with their entries, all of them or none. */
export async function addMakings(makings: readonly Making[]): Promise<void> {
  const tx = (await database()).transaction(['makings', 'entries'], 'readwrite')
  tx.done.catch(() => undefined)
  const done = async (): Promise<void> => {
    for (const making of makings) {
      await tx.objectStore('makings').add(makingSchema.parse(making))
      await tx.objectStore('entries').put(entryOf(making))
    }
    await tx.done
  }
  await within(PATIENCE, done())
}
export const addMaking = (making: Making): Promise<void> => addMakings([making])

/** A making and its photographs, gone. */
export async function removeMaking(id: string): Promise<void> {
  const tx = (await database()).transaction(['makings', 'entries', 'photos'], 'readwrite')
  tx.done.catch(() => undefined)
  const done = async (): Promise<void> => {
    await tx.objectStore('makings').delete(id)
    await tx.objectStore('entries').delete(id)
    const photos = tx.objectStore('photos')
    for (const key of await photos.index('making').getAllKeys(id)) await photos.delete(key)
    await tx.done
  }
  await within(PATIENCE, done())
}

export async function addPhoto(photo: PhotoRecord): Promise<void> {
  await within(PATIENCE, (await database()).add('photos', photo))
}

export async function removePhoto(id: string): Promise<void> {
  await within(PATIENCE, (await database()).delete('photos', id))
}

export const photosOf = async (making: string): Promise<readonly PhotoRecord[]> =>
  within(PATIENCE, (await database()).getAllFromIndex('photos', 'making', making))
