import type { Design } from '@drumlin/core/design'
import { readDesignData, recordSentence } from '@drumlin/core/exchange/json'
import { type DraftRecord, database } from './db.js'
import { PATIENCE, within } from './state.js'

const range = (id: string): IDBKeyRange => IDBKeyRange.bound([id, 0], [id, Infinity])

/** A kept draft that can't be read, with all of it as it stands. */
export interface UnreadableDraft {
  readonly seq: number
  readonly name: string
  readonly why: string
  readonly raw: unknown
}

/** The drafts kept of a job, oldest first, each read for itself. */
export async function listDrafts(
  jobId: string,
): Promise<{ readonly kept: readonly DraftRecord[]; readonly unreadable: readonly UnreadableDraft[] }> {
  const tx = (await database()).transaction('drafts')
  const all = await within(PATIENCE, tx.store.getAll(range(jobId)))
  const kept: DraftRecord[] = []
  const unreadable: UnreadableDraft[] = []
  for (const raw of all) {
    const read = readDesignData(raw.design)
    if (read.ok) kept.push({ ...raw, design: read.design })
    else unreadable.push({ seq: raw.seq, name: String(raw.name), why: recordSentence(read.issue), raw })
  }
  return { kept, unreadable }
}

/** Keeps the design as it is now under its draft's name. */
export async function keepDraft(design: Design, now: number): Promise<DraftRecord> {
  const tx = (await database()).transaction('drafts', 'readwrite')
  tx.done.catch(() => undefined)
  const kept = async (): Promise<DraftRecord> => {
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
  return within(PATIENCE, kept())
}

export const dropDraft = async (jobId: string, seq: number): Promise<void> =>
  within(PATIENCE, (await database()).delete('drafts', [jobId, seq]))
