import {
  DESIGN_VERSION,
  type Design,
  type Edit,
  applyEdit,
  editUpToDate,
  mergedEdits,
  mergedInverses,
  rename,
} from '@drumlin/core/design'
import { readDesignData, recordSentence } from '@drumlin/core/exchange/json'
import { type EditRecord, type JobRecord, database } from './db.js'
import { createJob } from './records.js'
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

/** A job; undefined where there is none. Throws `Unreadable`. */
export async function readJob(id: string): Promise<JobRecord | undefined> {
  const job = await within(PATIENCE, (await database()).get('jobs', id))
  return job && checked(job)
}

export const readEdit = async (id: string, seq: number): Promise<EditRecord | undefined> =>
  within(PATIENCE, (await database()).get('edits', [id, seq]))

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

/** Gives a job another name, as an edit of its log. Throws where it is gone, unreadable, or the name is refused. */
export async function renameJob(id: string, name: string, now: number): Promise<JobRecord> {
  const job = await readJob(id)
  if (!job) throw new Error('it is no longer on the shelf')
  const edit = rename(name)
  const done = applyEdit(job.design, edit)
  if (!done.ok) throw new Error(done.why)
  return appendEdit(id, job.version, { edit, inverse: done.inverse, design: done.design }, now)
}

/** A copy of a job's design as a job of its own. */
export async function copyJob(id: string, as: Pick<Design, 'id' | 'name'>, now: number): Promise<JobRecord> {
  const job = await readJob(id)
  if (!job) throw new Error('it is no longer on the shelf')
  return createJob({ ...job.design, ...as }, false, now)
}
