import type { Design } from '@drumlin/core/design'
import { type JobRecord, database } from './db.js'
import { laidKey } from './laid.js'
import { PATIENCE, within } from './state.js'

/** A job as the shelf lists it: nothing of its design is looked into yet. */
export interface Listed {
  readonly id: string
  readonly name: string
  readonly example: boolean
  readonly updated: number
  readonly version: number
  /** Lies in the tray of what is put away. */
  readonly away: boolean
  /** Its kind's id, as far as it can be read. */
  readonly kind: string
  readonly raw: unknown
}

const listed = (raw: unknown, id: string): Listed => {
  const kept = (typeof raw === 'object' && raw !== null ? raw : {}) as Partial<
    Record<keyof JobRecord, unknown>
  >
  const { name, kind } = (kept.design ?? {}) as { name?: unknown; kind?: unknown }
  return {
    id,
    name: typeof name === 'string' && name.trim() !== '' ? name : id,
    example: kept.example === true,
    updated: typeof kept.updated === 'number' ? kept.updated : 0,
    version: typeof kept.version === 'number' ? kept.version : 0,
    away: kept.away === true,
    kind: typeof kind === 'string' ? kind : '',
    raw,
  }
}

/** Every job there is, readable or not, the last changed first. */
export async function listJobs(): Promise<Listed[]> {
  const tx = (await database()).transaction('jobs')
  const [all, ids] = await within(PATIENCE, Promise.all([tx.store.getAll(), tx.store.getAllKeys()]))
  return all.map((raw, i) => listed(raw, ids[i]!)).sort((a, b) => b.updated - a.updated)
}

const allOf = (id: string): IDBKeyRange => IDBKeyRange.bound([id, 0], [id, Infinity])

/** Everything kept of a job as it stands, readable or not: its record, its log and its kept drafts. */
export async function rawJob(id: string): Promise<unknown> {
  const db = await database()
  const [job, edits, drafts] = await within(
    PATIENCE,
    Promise.all([db.get('jobs', id), db.getAll('edits', allOf(id)), db.getAll('drafts', allOf(id))]),
  )
  return { job, edits, drafts }
}

/** The names under which jobs are kept. */
export async function jobIds(): Promise<string[]> {
  const db = await database()
  return within(PATIENCE, db.getAllKeys('jobs'))
}

export const hasJob = async (id: string): Promise<boolean> =>
  (await within(PATIENCE, (await database()).count('jobs', id))) > 0

/** A new job with an empty log. Throws where one of that id is kept already. */
export async function createJob(design: Design, example: boolean, now: number): Promise<JobRecord> {
  const job: JobRecord = { id: design.id, design, cursor: 0, head: 0, version: 1, example, updated: now }
  const tx = (await database()).transaction(['jobs', 'edits', 'settings'], 'readwrite')
  // A log without its job, or where its pieces lay, may be left where a browser was killed long ago: it is not this one's.
  const done = Promise.all([
    tx.objectStore('jobs').add(job),
    tx.objectStore('edits').delete(allOf(job.id)),
    tx.objectStore('settings').delete(laidKey(job.id)),
    tx.done,
  ])
  await within(PATIENCE, done)
  return job
}
