import {
  DESIGN_VERSION,
  type Design,
  type Edit,
  applyEdit,
  editUpToDate,
  mergedEdits,
  mergedInverses,
} from '@drumlin/core/design'
import { readDesignData, recordSentence } from '@drumlin/core/exchange/json'
import { type EditRecord, type JobRecord, database } from './db.js'
import { PATIENCE, within } from './state.js'

/** Another tab wrote first: nothing was written, and this is how the job stands now. */
export class Conflict extends Error {
  constructor(readonly now: JobRecord) {
    super('the job was changed elsewhere')
  }
}

/** The job is not kept any more. */
export class Removed extends Error {
  constructor() {
    super('the job was removed in another tab')
  }
}

/** What is kept can't be read as a design; `raw` is all of it as it stands. */
export class Unreadable extends Error {
  constructor(
    readonly raw: unknown,
    why: string,
  ) {
    super(why)
  }
}

export interface Done {
  readonly edit: Edit
  readonly inverse: Edit
  readonly design: Design
  readonly gesture?: string
}

const range = (id: string, from: number): IDBKeyRange => IDBKeyRange.bound([id, from], [id, Infinity])

/** A record with its design checked and brought up to date. Throws `Unreadable`. */
function checked(kept: JobRecord): JobRecord {
  const read = readDesignData(kept.design)
  if (!read.ok) throw new Unreadable(kept, recordSentence(read.issue))
  return { ...kept, design: read.design }
}

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

/** A job; undefined where there is none. Throws `Unreadable`. */
export async function readJob(id: string): Promise<JobRecord | undefined> {
  const job = await within(PATIENCE, (await database()).get('jobs', id))
  return job && checked(job)
}

/** Everything kept of a job as it stands, readable or not: its record, its log and its kept drafts. */
export async function rawJob(id: string): Promise<unknown> {
  const db = await database()
  const [job, edits, drafts] = await within(
    PATIENCE,
    Promise.all([db.get('jobs', id), db.getAll('edits', range(id, 0)), db.getAll('drafts', range(id, 0))]),
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

export const readEdit = async (id: string, seq: number): Promise<EditRecord | undefined> =>
  within(PATIENCE, (await database()).get('edits', [id, seq]))

/** A new job with an empty log. Throws where one of that id is kept already. */
export async function createJob(design: Design, example: boolean, now: number): Promise<JobRecord> {
  const job: JobRecord = { id: design.id, design, cursor: 0, head: 0, version: 1, example, updated: now }
  const tx = (await database()).transaction(['jobs', 'edits'], 'readwrite')
  // A log without its job may be left where a browser was killed long ago: it is not this one's.
  const done = Promise.all([
    tx.objectStore('jobs').add(job),
    tx.objectStore('edits').delete(range(job.id, 0)),
    tx.done,
  ])
  await within(PATIENCE, done)
  return job
}

/** Runs `change` on a job in one transaction, unless another tab has written since `expected`. All of it is kept or nothing. */
const changing = (id: string, expected: number, change: JobChange): Promise<JobRecord> =>
  within(PATIENCE, changed(id, expected, change))

async function changed(id: string, expected: number, change: JobChange): Promise<JobRecord> {
  const tx = (await database()).transaction(['jobs', 'edits'], 'readwrite')
  // Whoever waits for the change hears of the failure; this only keeps it from being heard a second time by nobody.
  tx.done.catch(() => undefined)
  try {
    const kept = await tx.objectStore('jobs').get(id)
    if (!kept) throw new Removed()
    // Of the version that is expected it is what this page wrote or read itself.
    if (kept.version !== expected) throw new Conflict(checked(kept))
    const job = kept.design.version === DESIGN_VERSION ? kept : checked(kept)
    const next = await change(job, tx.objectStore('edits'))
    if (next !== job) await tx.objectStore('jobs').put(next)
    await tx.done
    return next
  } catch (error) {
    stopped(tx)
    throw tx.error ?? error
  }
}

/** Ends a transaction that may have ended by itself. */
function stopped(tx: { abort: () => void }): void {
  try {
    tx.abort()
  } catch {
    // It is over already: nothing of it was kept.
  }
}

type JobChange = (job: JobRecord, edits: EditStore) => Promise<JobRecord>
interface EditStore {
  get(key: [string, number]): Promise<EditRecord | undefined>
  put(value: EditRecord): Promise<unknown>
  delete(key: IDBKeyRange): Promise<unknown>
}

/** Writes an edit behind the cursor; what had been undone is forgotten. Edits of one gesture become one. */
export const appendEdit = (id: string, expected: number, done: Done, now: number): Promise<JobRecord> =>
  changing(id, expected, async (job, edits) => {
    const last = job.cursor > 0 ? await edits.get([id, job.cursor]) : undefined
    const continues = done.gesture !== undefined && last?.gesture === done.gesture && job.cursor === job.head
    const seq = continues ? job.cursor : job.cursor + 1
    const edit = continues ? mergedEdits(last!.edit, done.edit) : done.edit
    const inverse = continues ? mergedInverses(last!.inverse, done.inverse) : done.inverse
    await edits.delete(range(id, seq))
    await edits.put({
      jobId: id,
      seq,
      edit,
      inverse,
      ...(done.gesture ? { gesture: done.gesture } : {}),
    })
    return { ...job, design: done.design, cursor: seq, head: seq, version: job.version + 1, updated: now }
  })

/** One step back (-1) or forward (+1) in the log; gives the job as it was where there is none. */
export const stepInLog = (id: string, expected: number, way: -1 | 1, now: number): Promise<JobRecord> =>
  changing(id, expected, async (job, edits) => {
    const seq = way < 0 ? job.cursor : job.cursor + 1
    const record = seq >= 1 && seq <= job.head ? await edits.get([id, seq]) : undefined
    if (!record) return job
    const edited = applyEdit(job.design, editUpToDate(way < 0 ? record.inverse : record.edit))
    if (!edited.ok) throw new Error(`the log of this job does not fit it any more at ${edited.where}`)
    return { ...job, design: edited.design, cursor: job.cursor + way, version: job.version + 1, updated: now }
  })
