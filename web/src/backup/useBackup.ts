import { threadFor } from '../workers/thread.js'
import { computed, ref, shallowRef } from 'vue'
import { reasonOf } from '../app/reason.js'
import { saveWorkshop } from '../output/save.js'
import { listJobs } from '../storage/records.js'
import { readSetting, writeSetting } from '../storage/settings.js'
import { helper, wasStopped } from '../workers/ask.js'
import type { BackupAsked, Looked } from '../workers/backup.worker.js'
import type { Way } from './change.js'

/** How long a workshop is worked on, ms: thousands of photographs take a while. */
const LIMIT = 10 * 60_000

/** When the whole workshop was last kept as a file, and how large that was. */
interface LastKept {
  readonly at: number
  readonly bytes: number
}

const isLast = (kept: unknown): kept is LastKept =>
  typeof kept === 'object' &&
  kept !== null &&
  ['at', 'bytes'].every((k) => Number.isFinite(Reflect.get(kept, k)))

/** The room that the browser gives, bytes, and whether it promised to keep what is in it. */
interface RoomNow {
  readonly used: number
  readonly all: number
  readonly kept: boolean
}

/** The whole workshop out to a file and in again. */
export function useBackup() {
  const worker = helper(() => threadFor('backup'))
  const last = ref<LastKept>()
  /** Jobs changed since then. */
  const changed = ref(0)
  const room = ref<RoomNow>()
  /** What is being done, and how far it is as a share. */
  const doing = shallowRef<{ readonly label: string; readonly share: number }>()
  const failed = ref('')
  const file = shallowRef<File>()
  const way = ref<Way>('merge')
  const looked = shallowRef<Looked>()
  const changes = computed(() =>
    looked.value?.changes.filter((c) => c.fresh + c.over + c.left + c.same + c.gone > 0),
  )

  async function ask<T>(label: string, asked: BackupAsked): Promise<T | undefined> {
    doing.value = { label, share: 0 }
    failed.value = ''
    try {
      return await worker.ask<T>(asked, {
        limit: LIMIT,
        told: (share) => void (doing.value = { label, share: Number(share) }),
      })
    } catch (error) {
      if (!wasStopped(error)) failed.value = reasonOf(error)
      return undefined
    } finally {
      doing.value = undefined
    }
  }
  async function look(): Promise<void> {
    const kept = await readSetting('backup').catch(() => undefined)
    last.value = isLast(kept) ? kept : undefined
    const since = last.value?.at ?? 0
    changed.value = (await listJobs().catch(() => [])).filter((j) => !j.example && j.updated > since).length
    const { usage, quota } = await navigator.storage.estimate().catch((): StorageEstimate => ({}))
    const kept2 = await navigator.storage.persisted().catch(() => false)
    if (usage !== undefined && quota) room.value = { used: usage, all: quota, kept: kept2 }
  }
  async function save(): Promise<void> {
    const now = new Date()
    const zip = await ask<Blob>('Putting it together', { save: now.toISOString() })
    if (!zip) return
    saveWorkshop(zip, now)
    await writeSetting('backup', { at: now.getTime(), bytes: zip.size })
    await look()
  }
  async function opened(chosen: File | undefined = file.value): Promise<void> {
    looked.value = undefined
    file.value = chosen
    if (chosen) looked.value = await ask<Looked>(`Reading ${chosen.name}`, { look: chosen, way: way.value })
  }
  /** True where all of it was taken in. */
  async function take(): Promise<boolean> {
    if (!file.value) return false
    const asked = { take: file.value, way: way.value }
    await ask('Taking it in', asked)
    return failed.value === ''
  }
  function setWay(to: Way): void {
    way.value = to
    void opened()
  }
  function leave(): void {
    worker.stop()
    file.value = undefined
    looked.value = undefined
  }
  /** Asks the browser not to clear what is kept when room gets scarce. */
  async function keepIt(): Promise<void> {
    await navigator.storage.persist().catch(() => false)
    await look()
  }
  return {
    last,
    changed,
    room,
    doing,
    failed,
    file,
    way,
    looked,
    changes,
    look,
    save,
    opened,
    take,
    setWay,
    leave,
    keepIt,
    stop: worker.stop,
  }
}
