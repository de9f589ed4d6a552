import { type Change, type Way, changesOf, takeIn } from '../backup/change.js'
import type { Manifest } from '../backup/form.js'
import { readWorkshop } from '../backup/readAll.js'
import { writeWorkshop } from '../backup/writeAll.js'
import { database } from '../storage/db.js'
import { answering } from './answer.js'

export type BackupAsked =
  | { readonly save: string }
  | { readonly look: Blob; readonly way: Way }
  | { readonly take: Blob; readonly way: Way }

/** What a file holds, and what taking it in would change. */
export interface Looked {
  readonly manifest: Manifest
  readonly changes: readonly Change[]
}

answering(async (asked: BackupAsked, note: (share: number) => void): Promise<Blob | Looked | undefined> => {
  const db = await database()
  const told = (done: number, of: number): void => note(of === 0 ? 1 : done / of)
  if ('save' in asked) return writeWorkshop(db, asked.save, told)
  const { workshop, manifest } = await readWorkshop('look' in asked ? asked.look : asked.take, told)
  if ('look' in asked) return { manifest, changes: await changesOf(db, workshop, asked.way) }
  await takeIn(db, workshop, asked.way)
  return undefined
})
