import { type Making, makingSchema } from '@drumlin/core/makings'
import { problemWords } from '@drumlin/core/stores'
import { type PhotoRecord, database } from './db.js'
import { PATIENCE, within } from './state.js'

/** A making that can’t be read, with all of it as it stands. */
export interface UnreadableMaking {
  readonly id: string
  readonly why: string
}

/** Every making there is, each read for itself, the latest begun first. */
export async function listMakings(): Promise<{
  readonly makings: readonly Making[]
  readonly unreadable: readonly UnreadableMaking[]
}> {
  const all = await within(PATIENCE, (await database()).getAll('makings'))
  const makings: Making[] = []
  const unreadable: UnreadableMaking[] = []
  for (const raw of all) {
    const read = makingSchema.safeParse(raw)
    if (read.success) makings.push(read.data)
    else
      unreadable.push({
        id: String((raw as { id: unknown }).id),
        why: read.error.issues
          .map((i) => `${i.path.join('.')}: ${problemWords(i)}`)
          .slice(0, 1)
          .join(),
      })
  }
  return { makings: makings.toSorted((a, b) => b.begun.localeCompare(a.begun)), unreadable }
}

/** Changes a making as it lies there, inside one transaction: another tab's change is not written over. */
export async function changeMaking(id: string, change: (now: Making) => Making): Promise<Making> {
  const tx = (await database()).transaction('makings', 'readwrite')
  tx.done.catch(() => undefined)
  const done = async (): Promise<Making> => {
    const now = makingSchema.parse(await tx.store.get(id))
    const next = change(now)
    if (next !== now) await tx.store.put(makingSchema.parse(next))
    await tx.done
    return next
  }
  return within(PATIENCE, done())
}

export async function addMaking(making: Making): Promise<void> {
  await within(PATIENCE, (await database()).add('makings', makingSchema.parse(making)))
}

/** A making and its photographs, gone. */
export async function removeMaking(id: string): Promise<void> {
  const tx = (await database()).transaction(['makings', 'photos'], 'readwrite')
  tx.done.catch(() => undefined)
  const done = async (): Promise<void> => {
    await tx.objectStore('makings').delete(id)
    const photos = tx.objectStore('photos')
    for (const key of await photos.index('making').getAllKeys(id)) await photos.delete(key)
    await tx.done
  }
  await within(PATIENCE, done())
}

export async function addPhoto(photo: PhotoRecord): Promise<void> {
  await within(PATIENCE, (await database()).add('photos', photo))
}

export const photosOf = async (making: string): Promise<readonly PhotoRecord[]> =>
  within(PATIENCE, (await database()).getAllFromIndex('photos', 'making', making))
