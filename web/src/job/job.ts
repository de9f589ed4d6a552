import {
  type Derived,
  type Design,
  type Edit,
  applyEdit,
  withFollowing,
  derive,
  findingsOf,
  sizeRanges,
} from '@drumlin/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { JobRecord } from '../storage/db.js'
import { Overtaken, appendEdit, readEdit, readJob, stepInLog } from '../storage/jobs.js'
import { channel } from './tabs.js'
import { reasonOf } from '../app/reason.js'

/** An edit that can't be done, said so that the field can show it. */
export interface Refusal {
  readonly where: string
  readonly why: string
}

/** How long the hand rests before slower things are reckoned, ms. */
const CALM = 200

interface Waiting {
  readonly edit: Edit
  readonly gesture?: string
}

const known = new WeakMap<Design, Derived>()

/** All that follows from a design, reckoned once for each state of it. */
function reckonedOnce(design: Design): Derived {
  const before = known.get(design)
  if (before) return before
  const derived = derive(design)
  known.set(design, derived)
  return derived
}

/** Why nothing can be drawn of a design; undefined where it can. A number written over another may leave no outline. */
export function undrawable(design: Design): string | undefined {
  try {
    reckonedOnce(design)
    return undefined
  } catch (error) {
    if (!(error instanceof Error)) throw error
    return `with that the pieces can’t be drawn (${error.message}); it was left as it was`
  }
}

/** The job on the bench: its design, all that follows from it, and its log. Every edit is written at once. */
export const useJob = defineStore('job', () => {
  const record = shallowRef<JobRecord>()
  const design = shallowRef<Design>()
  const preview = shallowRef<Edit>()
  const undoName = ref<string>()
  const redoName = ref<string>()
  const saveError = ref<string>()
  const notice = ref<string>()
  const pending = ref(0)

  const shownDesign = computed(() => {
    if (!design.value || !preview.value) return design.value
    const edited = applyEdit(design.value, withFollowing(design.value, preview.value))
    return edited.ok ? edited.design : design.value
  })
  const derived = computed(() => (shownDesign.value ? reckonedOnce(shownDesign.value) : undefined))
  /** Stays the same thing while something is only being looked at: what hangs on it is not sought anew. */
  const settled = computed(() => (design.value ? reckonedOnce(design.value) : undefined))
  /** The design as it was when the hand last rested: what is too slow to follow every move follows this. */
  const calmDesign = shallowRef<Design>()
  let resting: ReturnType<typeof setTimeout> | undefined
  watch(
    shownDesign,
    (now, before) => {
      clearTimeout(resting)
      if (before?.id !== now?.id) calmDesign.value = now
      else resting = setTimeout(() => (calmDesign.value = now), CALM)
    },
    { flush: 'sync' },
  )
  /** What every size comes to at either end of the leathers' weight; reckoned only while somebody looks. */
  const ranges = computed(() => (calmDesign.value ? sizeRanges(calmDesign.value) : {}))
  const findings = computed(() => (settled.value ? findingsOf(settled.value) : []))

  /** Edits that show on the screen and are not written yet. */
  let waiting: Waiting[] = []
  let queue: Promise<void> = Promise.resolve()
  /** Writes follow one another; a failure is said in a bar and does not stop the next. */
  function enqueue(write: () => Promise<void>): Promise<void> {
    pending.value += 1
    queue = queue.then(write).catch((error: unknown) => {
      saveError.value = reasonOf(error)
    })
    return queue.finally(() => (pending.value -= 1))
  }

  async function take(job: JobRecord): Promise<void> {
    record.value = job
    const [done, undone] = await Promise.all([readEdit(job.id, job.cursor), readEdit(job.id, job.cursor + 1)])
    undoName.value = done?.edit.name
    redoName.value = job.cursor < job.head ? undone?.edit.name : undefined
  }

  async function open(id: string): Promise<boolean> {
    const last = record.value?.id
    if (last !== undefined && waiting.length > 0) await enqueue(() => writeWaiting(last))
    await queue
    waiting = []
    const job = await readJob(id)
    preview.value = undefined
    saveError.value = undefined
    design.value = job?.design
    record.value = undefined
    if (job) await take(job)
    return job !== undefined
  }

  /** What another tab wrote is taken over, unless something of ours still waits to be written. */
  async function follow(id: string): Promise<void> {
    if (record.value?.id !== id || pending.value > 0 || waiting.length > 0) return
    const job = await readJob(id)
    if (!job || job.version === record.value?.version || pending.value > 0) return
    design.value = job.design
    await take(job)
  }

  /** Writes what waits, oldest first. What can't be written goes on waiting, so that nothing later leaves it out. */
  async function writeWaiting(id: string): Promise<void> {
    for (let next = waiting[0]; next; next = waiting[0]) {
      await write(id, next)
      waiting.shift()
    }
    saveError.value = undefined
    channel.tell(id)
  }

  async function write(id: string, { edit, gesture }: Waiting): Promise<void> {
    const before = record.value!
    const edited = applyEdit(before.design, edit)
    if (!edited.ok) return
    const done = { edit, inverse: edited.inverse, design: edited.design, ...(gesture ? { gesture } : {}) }
    try {
      await take(await appendEdit(id, before.version, done, Date.now()))
    } catch (error) {
      if (!(error instanceof Overtaken)) throw error
      await rebase(id, edit, error.now)
    }
  }

  /** Another tab was first: its state is taken, and our edit done again on top of it. */
  async function rebase(id: string, edit: Edit, now: JobRecord): Promise<void> {
    const edited = applyEdit(now.design, edit)
    notice.value = edited.ok
      ? 'This job was changed in another tab; both changes are kept.'
      : `This job was changed in another tab, and “${edit.name}” no longer fits it.`
    const job = edited.ok
      ? await appendEdit(
          id,
          now.version,
          { edit, inverse: edited.inverse, design: edited.design },
          Date.now(),
        )
      : now
    if (waiting.length <= 1) design.value = job.design
    await take(job)
  }

  /** Does an edit at once on the screen and writes it; gives the reason where the design won't have it. */
  function edit(asked: Edit, gesture?: string): Refusal | undefined {
    if (!design.value || !record.value) return undefined
    const change = withFollowing(design.value, asked)
    const edited = applyEdit(design.value, change)
    if (!edited.ok) return { where: edited.where, why: edited.why }
    const why = undrawable(edited.design)
    if (why !== undefined) return { where: change.name, why }
    preview.value = undefined
    design.value = edited.design
    const { id } = record.value
    waiting.push({ edit: change, ...(gesture ? { gesture } : {}) })
    void enqueue(() => writeWaiting(id))
    return undefined
  }

  function step(way: -1 | 1): Promise<void> {
    preview.value = undefined
    return enqueue(async () => {
      if (record.value) await writeWaiting(record.value.id)
      const before = record.value
      if (!before) return
      const now = await stepInLog(before.id, before.version, way, Date.now()).catch((error: unknown) => {
        if (error instanceof Overtaken) return stepInLog(before.id, error.now.version, way, Date.now())
        throw error
      })
      design.value = now.design
      await take(now)
      channel.tell(before.id)
    })
  }

  channel.listen((id) => void follow(id))
  return {
    record,
    design,
    derived,
    settled,
    findings,
    ranges,
    preview,
    undoName,
    redoName,
    saveError,
    notice,
    pending,
    open,
    edit,
    undo: () => step(-1),
    redo: () => step(1),
    /** Tries again to write what could not be written. */
    tryAgain: () => enqueue(async () => void (record.value && (await writeWaiting(record.value.id)))),
    idle: () => queue,
  }
})
