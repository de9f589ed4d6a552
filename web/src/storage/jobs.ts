import {
  type Design,
  type Edit,
  applyEdit,
  designUpToDate,
  editUpToDate,
  mergedEdits,
  mergedInverses,
} from '@drumlin/core'
import { type EditRecord, type JobRecord, database } from './db.js'

/** Another tab wrote first: nothing was written, and this is how the job stands now. */
export class Overtaken extends Error {
  constructor(readonly now: JobRecord) {
    super('the job was changed elsewhere')
  }
}

export interface Done {
  readonly edit: Edit
  readonly inverse: Edit
  readonly design: Design
  readonly gesture?: string
}

const range = (id: string, from: number): IDBKeyRange => IDBKeyRange.bound([id, from], [id, Infinity])

/** What an older Drumlin kept is brought up to date when it is read. */
const current = (job: JobRecord): JobRecord => ({ ...job, design: designUpToDate(job.design) })

export const listJobs = async (): Promise<JobRecord[]> =>
  (await (await database()).getAll('jobs')).map(current).sort((a, b) => b.updated - a.updated)

export async function readJob(id: string): Promise<JobRecord | undefined> {
  const job = await (await database()).get('jobs', id)
  return job && current(job)
}

export const readEdit = async (id: string, seq: number): Promise<EditRecord | undefined> =>
  (await database()).get('edits', [id, seq])

/** A new job with an empty log. Throws where one of that id is kept already. */
export async function createJob(design: Design, example: boolean, now: number): Promise<JobRecord> {
  const job: JobRecord = { id: design.id, design, cursor: 0, head: 0, version: 1, example, updated: now }
  await (await database()).add('jobs', job)
  return job
}

export async function removeJob(id: string): Promise<void> {
  const tx = (await database()).transaction(['jobs', 'edits', 'drafts'], 'readwrite')
  await Promise.all([
    tx.objectStore('jobs').delete(id),
    tx.objectStore('edits').delete(range(id, 0)),
    tx.objectStore('drafts').delete(range(id, 0)),
    tx.done,
  ])
}

/** Runs `change` on a job in one transaction, unless another tab has written since `expected`. */
async function changing(
  id: string,
  expected: number,
  change: (job: JobRecord, edits: EditStore) => Promise<JobRecord>,
): Promise<JobRecord> {
  const tx = (await database()).transaction(['jobs', 'edits'], 'readwrite')
  const kept = await tx.objectStore('jobs').get(id)
  if (!kept) throw new Error('the job was removed elsewhere')
  const job = current(kept)
  if (job.version !== expected) throw new Overtaken(job)
  const next = await change(job, tx.objectStore('edits'))
  await tx.objectStore('jobs').put(next)
  await tx.done
  return next
}
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
