import { entryOf } from '@drumlin/core/ledger'
import { readMakingData } from '@drumlin/core/makings'
import type { Database } from '../storage/db.js'
import { type Kept, PARTS, type PartName, type Workshop } from './form.js'

/** Put beside what is there, the later of two jobs staying; or in place of all of it. */
export type Way = 'merge' | 'replace'

/** What taking a workshop in would do to one part. */
export interface Change {
  readonly part: PartName
  /** Not here yet. */
  readonly fresh: number
  /** Here otherwise: written over. */
  readonly over: number
  /** Here otherwise, and left as it is here. */
  readonly left: number
  /** Here just so. */
  readonly same: number
  /** Here and not in the file: taken away. */
  readonly gone: number
}

const keyText = (key: IDBValidKey): string => JSON.stringify(key)

/** A record as words, with blobs by their size and type: told apart without being read. */
const text = (value: unknown): string =>
  JSON.stringify(value, (_, v: unknown) =>
    v instanceof Blob
      ? `blob ${v.size} ${v.type}`
      : typeof v === 'object' && v !== null && !Array.isArray(v)
        ? Object.fromEntries(Object.entries(v).toSorted(([a], [b]) => (a < b ? -1 : 1)))
        : v,
  )

const updatedOf = (value: unknown): number => Number(Reflect.get(value as object, 'updated') ?? 0)

interface Here {
  readonly values: ReadonlyMap<string, unknown>
}

async function hereOf(db: Database, part: PartName): Promise<Here> {
  const tx = db.transaction(part)
  const [keys, values] = await Promise.all([tx.store.getAllKeys(), tx.store.getAll()])
  return { values: new Map(keys.map((key, i) => [keyText(key), values[i]])) }
}

/** Jobs of the file that are the later ones: their steps and drafts go with them. */
function laterJobs(workshop: Workshop, here: Here): ReadonlySet<string> {
  return new Set(
    workshop.jobs.flatMap(({ key, value }) => {
      const mine = here.values.get(keyText(key))
      return mine === undefined || updatedOf(value) > updatedOf(mine) ? [String(key)] : []
    }),
  )
}

/** What of a part is written when it is merged. */
function taken(
  part: PartName,
  records: readonly Kept[],
  here: Here,
  later: ReadonlySet<string>,
): readonly Kept[] {
  if (part === 'jobs') return records.filter(({ key }) => later.has(String(key)))
  if (part === 'edits' || part === 'drafts')
    return records.filter(({ value }) => later.has(String(Reflect.get(value as object, 'jobId'))))
  // What is here stays as it is: nobody can tell which of the two is later.
  return records.filter(({ key }) => !here.values.has(keyText(key)))
}

/** What taking the file in would change, part by part; nothing is written. */
export async function changesOf(db: Database, workshop: Workshop, way: Way): Promise<readonly Change[]> {
  const jobs = await hereOf(db, 'jobs')
  const later = laterJobs(workshop, jobs)
  const all: Change[] = []
  for (const part of PARTS) {
    const here = part === 'jobs' ? jobs : await hereOf(db, part)
    const records = workshop[part]
    const written = new Set(
      (way === 'replace' ? records : taken(part, records, here, later)).map((r) => keyText(r.key)),
    )
    const count = { fresh: 0, over: 0, left: 0, same: 0 }
    for (const { key, value } of records) {
      const mine = here.values.get(keyText(key))
      if (mine === undefined) count[written.has(keyText(key)) ? 'fresh' : 'left'] += 1
      else if (text(mine) === text(value)) count.same += 1
      else count[written.has(keyText(key)) ? 'over' : 'left'] += 1
    }
    const inFile = new Set(records.map((r) => keyText(r.key)))
    const gone = way === 'replace' ? [...here.values.keys()].filter((k) => !inFile.has(k)).length : 0
    all.push({ part, ...count, gone })
  }
  return all
}

/** Parts whose records carry their own key. */
const KEYED: ReadonlySet<PartName> = new Set([
  'jobs',
  'edits',
  'drafts',
  'makings',
  'photos',
  'clients',
  'quotes',
])

/** Takes the file in, all of it or nothing. What belongs to this browser alone stays. */
export async function takeIn(db: Database, workshop: Workshop, way: Way): Promise<void> {
  const jobs = await hereOf(db, 'jobs')
  const later = laterJobs(workshop, jobs)
  const plans = await Promise.all(
    PARTS.map(async (part) => {
      const here = await hereOf(db, part)
      return { part, records: way === 'replace' ? workshop[part] : taken(part, workshop[part], here, later) }
    }),
  )
  const tx = db.transaction([...PARTS, 'cards', 'entries'], 'readwrite')
  tx.done.catch(() => undefined)
  try {
    const kept = way === 'replace' ? await tx.objectStore('settings').get('visited') : undefined
    for (const { part, records } of plans) {
      const store = tx.objectStore(part)
      if (way === 'replace') await store.clear()
      // A job that is taken brings its own steps: those of the job that was here go.
      if (way === 'merge' && (part === 'edits' || part === 'drafts'))
        for (const id of later) await store.delete(IDBKeyRange.bound([id, 0], [id, Infinity]) as never)
      for (const { key, value } of records)
        await (KEYED.has(part) ? store.put(value as never) : store.put(value as never, key as never))
    }
    if (kept !== undefined) await tx.objectStore('settings').put(kept, 'visited')
    await tx.objectStore('cards').clear()
    const entries = tx.objectStore('entries')
    if (way === 'replace') await entries.clear()
    for (const { value } of plans.find((p) => p.part === 'makings')!.records)
      await entries.put(entryOf(readMakingData(value)))
    await tx.done
  } catch (error) {
    try {
      tx.abort()
    } catch {
      // It is over already: nothing of it was kept.
    }
    throw tx.error ?? error
  }
}
