import { database } from './db.js'
import type { CardRecord, DraftRecord, EditRecord, JobRecord } from './db.js'
import { listJobs } from './records.js'
import { listEntries, removeMaking } from './makings.js'
import { PATIENCE, within } from './state.js'

/** All that was kept of a job, so that it can be put back. */
export interface Taken {
  readonly job: JobRecord
  readonly edits: readonly EditRecord[]
  readonly drafts: readonly DraftRecord[]
  readonly card: CardRecord | undefined
}

const ofJob = (id: string): IDBKeyRange => IDBKeyRange.bound([id, 0], [id, Infinity])
const ALL = ['jobs', 'edits', 'drafts', 'cards'] as const

/** Takes a job away with its log and its drafts, readable or not; gives what it took. Undefined where there was none. */
export async function takeJob(id: string): Promise<Taken | undefined> {
  const tx = (await database()).transaction(ALL, 'readwrite')
  const stores = ALL.map((name) => tx.objectStore(name))
  const reading = Promise.all([
    tx.objectStore('jobs').get(id),
    tx.objectStore('edits').getAll(ofJob(id)),
    tx.objectStore('drafts').getAll(ofJob(id)),
    tx.objectStore('cards').get(id),
    stores[0]?.delete(id),
    stores[1]?.delete(ofJob(id)),
    stores[2]?.delete(ofJob(id)),
    stores[3]?.delete(id),
    tx.done,
  ] as const)
  const [job, edits, drafts, card] = await within(PATIENCE, reading)
  return job && { job, edits, drafts, card }
}

/** Takes a job away for good, with its log and its drafts. */
export const removeJob = async (id: string): Promise<void> => void (await takeJob(id))

/** Puts back what was taken. Throws where another job of that id is kept by now; nothing is written then. */
export async function putBackJob({ job, edits, drafts, card }: Taken): Promise<void> {
  const tx = (await database()).transaction(ALL, 'readwrite')
  const writing = Promise.all([
    tx.objectStore('jobs').add(job),
    ...edits.map((e) => tx.objectStore('edits').put(e)),
    ...drafts.map((d) => tx.objectStore('drafts').put(d)),
    ...(card ? [tx.objectStore('cards').put(card)] : []),
    tx.done,
  ])
  await within(PATIENCE, writing)
}

/** Lays a job into the tray of what is put away, or takes it out again. */
export async function putAway(id: string, away: boolean): Promise<void> {
  const tx = (await database()).transaction('jobs', 'readwrite')
  const job = await within(PATIENCE, tx.store.get(id))
  if (!job) throw new Error('it is no longer on the shelf')
  await within(PATIENCE, Promise.all([tx.store.put({ ...job, away }), tx.done]))
}

/** Takes away what came as an example; the maker’s own jobs stay. */
export async function removeExamples(): Promise<void> {
  for (const job of await listJobs()) if (job.example) await removeJob(job.id)
  await (await database()).delete('stores', 'examples')
  await removeExampleBooks()
}

/** The books that came with the examples: makings with their photographs, clients, quotes, stock and prices. */
async function removeExampleBooks(): Promise<void> {
  const { entries } = await listEntries()
  for (const e of entries) if (e.example) await removeMaking(e.id)
  const tx = (await database()).transaction(['clients', 'quotes', 'settings'], 'readwrite')
  for (const c of await tx.objectStore('clients').getAll())
    if (c.example) await tx.objectStore('clients').delete(c.id)
  for (const { id, quote } of await tx.objectStore('quotes').getAll())
    if (quote.example) await tx.objectStore('quotes').delete(id)
  for (const key of ['trade.examples', 'stock.examples']) await tx.objectStore('settings').delete(key)
  await tx.done
}
