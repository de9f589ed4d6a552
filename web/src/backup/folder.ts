import { threadFor } from '../workers/thread.js'
import { onScopeDispose, ref } from 'vue'
import { useEventListener, useIntervalFn } from '@vueuse/core'
import { reasonOf } from '../app/reason.js'
import { listJobs } from '../storage/records.js'
import { readSetting, writeSetting } from '../storage/settings.js'
import { askOnce } from '../workers/ask.js'
import type { BackupAsked } from '../workers/backup.worker.js'

/** As much as is used of a folder that the browser may write into; not every browser knows these. */
interface Folder extends FileSystemDirectoryHandle {
  queryPermission?(what: { readonly mode: 'readwrite' }): Promise<PermissionState>
  requestPermission?(what: { readonly mode: 'readwrite' }): Promise<PermissionState>
}
type Picker = (options: { readonly id: string; readonly mode: 'readwrite' }) => Promise<Folder>

const picker = (): Picker | undefined =>
  (window as Window & { readonly showDirectoryPicker?: Picker }).showDirectoryPicker?.bind(window)

/** Whether this browser can keep a file in a folder up to date. */
export const hasFolders = (): boolean => picker() !== undefined

/** The file that is kept there, always of one name: the folder’s own history, if it has one, keeps older ones. */
export const KEPT_FILE = 'drumlin-workshop.zip'
const SETTING = 'backup-folder'
const LIMIT = 10 * 60_000
/** Looked after so often, ms. */
const EVERY = 5 * 60_000

const isFolder = (kept: unknown): kept is Folder =>
  typeof kept === 'object' && kept !== null && Reflect.get(kept, 'kind') === 'directory'

/** How the folder stands: none chosen, kept up to date, asked for again, or why it can’t be written. */
export type FolderState =
  | { readonly is: 'none' }
  | { readonly is: 'kept'; readonly name: string }
  | { readonly is: 'asks'; readonly name: string }
  | { readonly is: 'failed'; readonly name: string; readonly why: string }
export const folderState = ref<FolderState>({ is: 'none' })

const folder = async (): Promise<Folder | undefined> => {
  const kept = await readSetting(SETTING).catch(() => undefined)
  return isFolder(kept) ? kept : undefined
}
/** Where the browser asks for no leave there is nothing to be asked. */
const mayWrite = async (one: Folder): Promise<boolean> =>
  !one.queryPermission || (await one.queryPermission({ mode: 'readwrite' })) === 'granted'

/** When it was last kept, ms; 0 where never. */
async function lastKept(): Promise<number> {
  const kept = await readSetting('backup').catch(() => undefined)
  const at = typeof kept === 'object' && kept !== null ? Reflect.get(kept, 'at') : 0
  return typeof at === 'number' ? at : 0
}

/** Puts the workshop into the folder. What stood there stands until all of the new file is written. */
async function write(one: Folder): Promise<void> {
  const now = new Date()
  const asked: BackupAsked = { save: now.toISOString() }
  const zip = await askOnce<Blob>(() => threadFor('backup'), asked, { limit: LIMIT })
  const file = await one.getFileHandle(KEPT_FILE, { create: true })
  const writable = await file.createWritable()
  try {
    await writable.write(zip)
    await writable.close()
  } catch (error) {
    await writable.abort().catch(() => undefined)
    throw error
  }
  await writeSetting('backup', { at: now.getTime(), bytes: zip.size })
}

/** Brings the folder up to date, in one tab only; `always` even where no job was changed. */
async function bring(always: boolean): Promise<void> {
  const one = await folder()
  if (!one) {
    folderState.value = { is: 'none' }
    return
  }
  if (!(await mayWrite(one))) {
    folderState.value = { is: 'asks', name: one.name }
    return
  }
  const since = await lastKept()
  const changed = (await listJobs().catch(() => [])).some((j) => !j.example && j.updated > since)
  if (always || changed)
    try {
      await navigator.locks.request('drumlin-folder', { ifAvailable: true }, async (lock) => {
        if (lock) await write(one)
      })
    } catch (error) {
      folderState.value = { is: 'failed', name: one.name, why: reasonOf(error) }
      return
    }
  folderState.value = { is: 'kept', name: one.name }
}

/** Asks the maker for a folder and puts the workshop there. */
export async function chooseFolder(): Promise<void> {
  let chosen: Folder | undefined
  try {
    chosen = await picker()?.({ id: 'drumlin', mode: 'readwrite' })
  } catch (error) {
    // Whoever closes the dialogue wants none.
    if (error instanceof DOMException && error.name === 'AbortError') return
    throw error
  }
  if (!chosen) return
  await writeSetting(SETTING, chosen)
  await bring(true)
}
/** Asks the browser once more for a folder that was chosen earlier. */
export async function allowFolder(): Promise<void> {
  const one = await folder()
  await one?.requestPermission?.({ mode: 'readwrite' })
  await bring(false)
}
export async function leaveFolder(): Promise<void> {
  await writeSetting(SETTING, null)
  folderState.value = { is: 'none' }
}

/** Keeps the folder up to date as long as this tab is open: every few minutes, and when one turns to something else. */
export function keepFolderUpToDate(): void {
  void bring(false)
  const { pause } = useIntervalFn(() => void bring(false), EVERY)
  useEventListener(document, 'visibilitychange', () => {
    if (document.visibilityState === 'hidden') void bring(false)
  })
  onScopeDispose(pause)
}
