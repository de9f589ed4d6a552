import type { Design, Edit } from '@drumlin/core/design'
import type { Client, Entry, Quote } from '@drumlin/core/ledger'
import type { Card } from '@drumlin/core/overview'
import type { Making } from '@drumlin/core/makings'
import type { Stores } from '@drumlin/core/stores'
import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import { reasonOf } from '../app/reason.js'
import { type StorageState, storageState } from './state.js'

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
  /** Lies in the tray of what is put away. */
  readonly away?: boolean
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

/** What a card on the shelf shows, kept so that it is reckoned once for each state of a job. */
export interface CardRecord {
  readonly id: string
  /** The job's version and the program that drew it. */
  readonly of: string
  readonly card: Card
}

/** A photograph taken at a step. */
export interface PhotoRecord {
  readonly id: string
  readonly making: string
  readonly step: string
  readonly taken: number
  readonly picture: Blob
  /** As it came from the camera, where the maker wants that kept. */
  readonly original?: Blob
}

/** A quote with the sheet that was sent. */
export interface QuoteRecord {
  readonly id: string
  readonly quote: Quote
  readonly sheet: Blob
}

interface Schema extends DBSchema {
  entries: { key: string; value: Entry }
  clients: { key: string; value: Client }
  quotes: { key: string; value: QuoteRecord }
  makings: { key: string; value: Making }
  photos: { key: string; value: PhotoRecord; indexes: { making: string } }
  drafts: { key: [string, number]; value: DraftRecord }
  jobs: { key: string; value: JobRecord }
  edits: { key: [string, number]; value: EditRecord }
  stores: { key: 'own' | 'examples'; value: Stores }
  settings: { key: string; value: unknown }
  cards: { key: string; value: CardRecord }
}

export type Database = IDBPDatabase<Schema>

/** The form of what is kept. A page that knows only lower ones gives way. */
const FORM = 5
/** How long opening is waited for before the page says so, ms. */
const SILENT_AFTER = 5000

let opened: Promise<Database> | undefined

/** The browser's own database of Drumlin, opened once; opened again when asked after the browser closed it or gave none. */
export function database(): Promise<Database> {
  if (opened) return opened
  const asked = opening()
  opened = asked
  asked.catch(() => {
    if (opened === asked) opened = undefined
  })
  return asked
}

async function opening(): Promise<Database> {
  const silent = setTimeout(() => {
    if (storageState.value.is !== 'blocked') storageState.value = { is: 'silent' }
  }, SILENT_AFTER)
  try {
    const db = await openDB<Schema>('drumlin', FORM, {
      upgrade: laidOut,
      blocked: () => (storageState.value = { is: 'blocked' }),
      blocking: (_now, _wanted, event) => giveWay(event.target as IDBDatabase),
      terminated: () => lost({ is: 'closed', why: 'the browser has closed its storage' }),
    })
    storageState.value = { is: 'ready' }
    return db
  } catch (error) {
    const newer = error instanceof DOMException && error.name === 'VersionError'
    lost(newer ? { is: 'newer' } : { is: 'unavailable', why: reasonOf(error) })
    throw error
  } finally {
    clearTimeout(silent)
  }
}

/** Stores there are, in whichever form they are found. */
function laidOut(db: IDBPDatabase<Schema>, before: number): void {
  if (before < 1) {
    db.createObjectStore('jobs', { keyPath: 'id' })
    db.createObjectStore('edits', { keyPath: ['jobId', 'seq'] })
    db.createObjectStore('stores')
    db.createObjectStore('settings')
  }
  if (before < 2) db.createObjectStore('drafts', { keyPath: ['jobId', 'seq'] })
  if (before < 3) db.createObjectStore('cards', { keyPath: 'id' })
  if (before < 4) {
    db.createObjectStore('makings', { keyPath: 'id' })
    db.createObjectStore('photos', { keyPath: 'id' }).createIndex('making', 'making')
  }
  if (before < 5) {
    db.createObjectStore('entries', { keyPath: 'id' })
    db.createObjectStore('clients', { keyPath: 'id' })
    db.createObjectStore('quotes', { keyPath: 'id' })
  }
}

function lost(now: StorageState): void {
  opened = undefined
  storageState.value = now
}

/** A newer Drumlin wants to lay the stores out anew: this page lets go of them and writes no more. */
function giveWay(db: IDBDatabase): void {
  db.close()
  const refused = Promise.reject<Database>(new Error('a newer Drumlin was opened in another tab'))
  refused.catch(() => undefined)
  opened = refused
  storageState.value = { is: 'outdated' }
}

/** Asks again for a database that could not be had; does nothing while there is one. */
export async function openAgain(): Promise<void> {
  if (storageState.value.is === 'outdated') return
  await database().catch(() => undefined)
}
