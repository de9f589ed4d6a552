import type { Design, Edit, Stores } from '@drumlin/core'
import { type DBSchema, type IDBPDatabase, openDB } from 'idb'

/** A design as kept: its present state, and where in its log of edits that state stands. */
export interface JobRecord {
  readonly id: string
  readonly design: Design
  /** Sequence number of the last edit that is done; later ones in the log were undone. */
  readonly cursor: number
  /** Sequence number of the last edit in the log. */
  readonly head: number
  /** Goes up with every write; a tab that expects another number knows that it is behind. */
  readonly version: number
  readonly example: boolean
  readonly updated: number
}

export interface EditRecord {
  readonly jobId: string
  readonly seq: number
  readonly edit: Edit
  readonly inverse: Edit
  /** Edits of one gesture carry the same mark and become one. */
  readonly gesture?: string
}

/** A draft the maker kept, to lay others over it or to go back to. */
export interface DraftRecord {
  readonly jobId: string
  readonly seq: number
  readonly name: string
  readonly design: Design
  readonly kept: number
}

interface Schema extends DBSchema {
  drafts: { key: [string, number]; value: DraftRecord }
  jobs: { key: string; value: JobRecord }
  edits: { key: [string, number]; value: EditRecord }
  stores: { key: 'own' | 'examples'; value: Stores }
  settings: { key: string; value: unknown }
}

export type Database = IDBPDatabase<Schema>

let opening: Promise<Database> | undefined

/** The browser's own database of Drumlin, opened once. */
export function database(): Promise<Database> {
  opening ??= openDB<Schema>('drumlin', 2, {
    upgrade(db, before) {
      if (before < 2) db.createObjectStore('drafts', { keyPath: ['jobId', 'seq'] })
      if (before >= 1) return
      db.createObjectStore('jobs', { keyPath: 'id' })
      db.createObjectStore('edits', { keyPath: ['jobId', 'seq'] })
      db.createObjectStore('stores')
      db.createObjectStore('settings')
    },
  })
  return opening
}
