import { type Design, designUpToDate } from '@drumlin/core'
import { type DraftRecord, database } from './db.js'

const range = (id: string): IDBKeyRange => IDBKeyRange.bound([id, 0], [id, Infinity])

/** The drafts kept of a job, oldest first. */
export const listDrafts = async (jobId: string): Promise<DraftRecord[]> =>
  (await (await database()).getAll('drafts', range(jobId))).map((d) => ({
    ...d,
    design: designUpToDate(d.design),
  }))

/** Keeps the design as it is now under its draft's name. */
export async function keepDraft(design: Design, now: number): Promise<DraftRecord> {
  const tx = (await database()).transaction('drafts', 'readwrite')
  const last = (await tx.store.getAllKeys(range(design.id))).at(-1)
  const record: DraftRecord = {
    jobId: design.id,
    seq: (last?.[1] ?? 0) + 1,
    name: design.draft,
    design,
    kept: now,
  }
  await tx.store.add(record)
  await tx.done
  return record
}

export const dropDraft = async (jobId: string, seq: number): Promise<void> =>
  (await database()).delete('drafts', [jobId, seq])
