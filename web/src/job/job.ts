import { type Design, type Edit, applyEdit, rename, renameDraft, withFollowing } from '@drumlin/core/design'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { type Failure, failureOf, reasonOf } from '../app/reason.js'
import { Conflict, Removed, Unreadable, readEdit, readJob, stepInLog } from '../storage/jobs.js'
import { createJob } from '../storage/records.js'
import type { JobRecord } from '../storage/db.js'
import { useCalm } from './calm.js'
import { type Desk, deskOf, shownOn, withWaiting, withoutLast } from './desk.js'
import { useFindings, useRanges } from './findings.js'
import { countOn, openOf } from './open.js'
import { reckonedOnce, undrawable } from './reckoned.js'
import { channel } from './tabs.js'
import { keptFirst, takenOver } from './takeOver.js'

/** An edit that can't be done, said so that the field can show it. */
export interface Refusal {
  readonly where: string
  readonly why: string
}

/** A job that could not be opened, and all of it that is kept where there is something. */
export interface NotOpened extends Failure {
  readonly id: string
  readonly raw?: unknown
}

/** The job on the bench: its design, all that follows from it, and its log. Every edit is written at once. */
export const useJob = defineStore('job', () => {
  /** Jobs with something of theirs in this tab: the one on the bench, and others whose edits are not kept yet. */
  const desks = shallowRef<ReadonlyMap<string, Desk>>(new Map())
  const current = ref<string>()
  const design = shallowRef<Design>()
  const preview = shallowRef<Edit>()
  const lastKept = ref<string>()
  const redoName = ref<string>()
  const notice = ref<string>()
  const notOpened = shallowRef<NotOpened>()
  const pending = ref(0)

  const desk = computed(() => (current.value === undefined ? undefined : desks.value.get(current.value)))
  const record = computed(() => desk.value?.record)
  /** What could not be kept is undone first: it is the last that was done. */
  const unkept = computed(() =>
    desk.value?.failure && pending.value === 0 ? desk.value.waiting.at(-1) : undefined,
  )
  const undoName = computed(() => unkept.value?.done.edit.name ?? lastKept.value)
  /** Jobs that are not on the bench and have edits that could not be kept. */
  const leftBehind = computed(() =>
    [...desks.value.values()].filter((d) => d.id !== current.value && d.waiting.length > 0),
  )
  const waits = computed(
    () => pending.value > 0 || [...desks.value.values()].some((d) => d.waiting.length > 0),
  )

  const shownDesign = computed(() => {
    if (!design.value || !preview.value) return design.value
    const edited = applyEdit(design.value, withFollowing(design.value, preview.value))
    return edited.ok && undrawable(edited.design) === undefined ? edited.design : design.value
  })
  const derived = computed(() => (shownDesign.value ? reckonedOnce(shownDesign.value) : undefined))
  /** Stays the same thing while something is only being looked at: what hangs on it is not sought anew. */
  const settled = computed(() => (design.value ? reckonedOnce(design.value) : undefined))
  /** What every size comes to at either end of the leathers' weight; reckoned only while somebody looks. */
  const { ranges, wantRanges } = useRanges(useCalm(shownDesign))
  const { findings, looking, lookAgain } = useFindings(design)

  /** What needs a look, and how much of it on each screen. */
  const openFindings = computed(() => openOf(settled.value, findings.value))
  const countOf = (screen: Parameters<typeof countOn>[0]): number => countOn(screen, openFindings.value)

  const set = (now: Desk): void => void (desks.value = new Map(desks.value).set(now.id, now))
  function forget(id: string): void {
    const left = new Map(desks.value)
    left.delete(id)
    desks.value = left
  }
  const show = (now: Desk): void => {
    set(now)
    if (now.id === current.value) design.value = shownOn(now)
  }

  let queue: Promise<void> = Promise.resolve()
  /** Things that touch what is kept follow one another; none stops the next. */
  const inTurn = (task: () => Promise<void>): Promise<void> => (queue = queue.then(task, task))
  /** A write: until it is done the work counts as not saved. A failure is said in a bar, with what waits still waiting. */
  function writing(id: string, write: () => Promise<void>): Promise<void> {
    pending.value += 1
    return inTurn(() =>
      write()
        .catch((error: unknown) => failed(id, error))
        .finally(() => (pending.value -= 1)),
    )
  }
  function failed(id: string, error: unknown): void {
    const now = desks.value.get(id)
    if (!now) return
    if (error instanceof Removed) set({ ...now, gone: true, failure: undefined })
    else set({ ...now, failure: failureOf(error) })
  }

  async function namesOf(job: JobRecord): Promise<void> {
    const [done, undone] = await Promise.all([readEdit(job.id, job.cursor), readEdit(job.id, job.cursor + 1)])
    if (current.value !== job.id) return
    lastKept.value = done?.edit.name
    redoName.value = job.cursor < job.head ? undone?.edit.name : undefined
  }

  /** Takes over what another tab kept, with ours on top; says so where something of ours met it. */
  function takeOver(id: string, now: JobRecord): void {
    const taken = takenOver(desks.value.get(id)!, now, undrawable)
    show(taken.desk)
    if (taken.notice !== undefined && id === current.value) notice.value = taken.notice
  }

  /** Keeps what waits, oldest first, on whatever another tab kept meanwhile, until nothing waits. */
  async function writeWaiting(id: string): Promise<void> {
    for (
      let now = desks.value.get(id);
      now && now.waiting.length > 0 && !now.gone;
      now = desks.value.get(id)
    ) {
      try {
        const kept = await keptFirst(now, Date.now())
        const { waiting } = desks.value.get(id)!
        set({ ...now, record: kept, waiting: waiting.slice(1), failure: undefined })
        channel.tell({ what: 'job', id })
      } catch (error) {
        if (!(error instanceof Conflict)) throw error
        takeOver(id, error.now)
      }
    }
    const now = desks.value.get(id)
    if (!now || now.gone) return
    if (id === current.value) await namesOf(now.record)
    else forget(id)
  }

  /** Puts a job on the bench; false where there is none. Whatever was asked for last counts. */
  async function open(id: string): Promise<boolean> {
    const last = current.value
    current.value = id
    ;[preview.value, notice.value, notOpened.value] = [undefined, undefined, undefined]
    ;[lastKept.value, redoName.value] = [undefined, undefined]
    const left = last === undefined ? undefined : desks.value.get(last)
    if (left && last !== id && left.waiting.length === 0) forget(left.id)
    design.value = undefined
    const known = desks.value.get(id)
    if (known) {
      show(known)
      await inTurn(() => follow(id).catch(() => undefined))
      return true
    }
    try {
      const job = await readJob(id)
      if (current.value !== id) return true
      if (!job) return false
      const why = undrawable(job.design)
      if (why !== undefined) throw new Unreadable(job, `It can be read, but ${why}.`)
      show(deskOf(job))
      await namesOf(job)
    } catch (error) {
      if (current.value !== id) return true
      notOpened.value = {
        id,
        ...failureOf(error),
        ...(error instanceof Unreadable ? { raw: error.raw } : {}),
      }
    }
    return true
  }

  /** Reads what another tab kept or took away, and takes it over. */
  async function follow(id: string): Promise<void> {
    const now = desks.value.get(id)
    if (!now || now.gone) return
    const job = await readJob(id)
    if (!job) set({ ...desks.value.get(id)!, gone: true, failure: undefined })
    else if (job.version !== now.record.version) takeOver(id, job)
    else return
    if (job) await namesOf(job)
  }
  const followSoon = (id: string): void =>
    void inTurn(() => follow(id).catch((error: unknown) => failed(id, error)))

  /** Does an edit at once on the screen and writes it; gives the reason where the design won't have it. */
  function edit(asked: Edit, gesture?: string): Refusal | undefined {
    const now = desk.value
    if (!design.value || !now) return undefined
    const change = withFollowing(design.value, asked)
    const edited = applyEdit(design.value, change)
    if (!edited.ok) return { where: edited.where, why: edited.why }
    const why = undrawable(edited.design)
    if (why !== undefined) return { where: change.name, why }
    preview.value = undefined
    const done = {
      edit: change,
      inverse: edited.inverse,
      design: edited.design,
      ...(gesture ? { gesture } : {}),
    }
    show(withWaiting(now, done))
    void writing(now.id, () => writeWaiting(now.id))
    return undefined
  }

  function step(way: -1 | 1): Promise<void> {
    const id = current.value
    preview.value = undefined
    if (id === undefined) return Promise.resolve()
    if (way < 0 && unkept.value) {
      show(withoutLast(desk.value!))
      return Promise.resolve()
    }
    return writing(id, async () => {
      await writeWaiting(id)
      const before = desks.value.get(id)
      if (!before || before.gone) return
      try {
        const kept = await stepInLog(id, before.record.version, way, Date.now())
        show(takenOver(desks.value.get(id)!, kept, undrawable).desk)
        channel.tell({ what: 'job', id })
        if (current.value === id) await namesOf(kept)
      } catch (error) {
        if (error instanceof Removed) throw error
        if (error instanceof Conflict) takeOver(id, error.now)
        notice.value =
          error instanceof Conflict
            ? `This job was changed in another tab just now, so nothing was ${way < 0 ? 'undone' : 'done again'}. Look at it, then ask again.`
            : `That could not be ${way < 0 ? 'undone' : 'done again'}: ${reasonOf(error)}. Nothing was changed.`
      }
    })
  }

  /** Keeps a job again that another tab removed, as this one shows it. */
  function putBack(): Promise<void> {
    const now = desk.value
    if (!now) return Promise.resolve()
    return writing(now.id, async () => {
      const kept = await createJob(shownOn(desks.value.get(now.id)!), now.record.example, Date.now())
      show(deskOf(kept))
      channel.tell({ what: 'shelf' })
      await namesOf(kept)
    })
  }

  const tryAgain = async (): Promise<void> => {
    await Promise.all([...desks.value.keys()].map((id) => writing(id, () => writeWaiting(id))))
  }
  /** Lets go of edits that could not be kept, once the maker has said so. */
  function letGo(id: string): void {
    if (current.value === id) [current.value, design.value] = [undefined, undefined]
    forget(id)
  }

  channel.listen((told) => {
    if (told.what === 'job' || told.what === 'removed') followSoon(told.id)
  })
  /** A tab that slept may have missed what others said. */
  const awake = (): void => void (current.value !== undefined && followSoon(current.value))

  return {
    current,
    desk,
    record,
    design,
    derived,
    settled,
    findings,
    looking,
    lookAgain,
    ranges,
    wantRanges,
    preview,
    undoName,
    redoName,
    notice,
    notOpened,
    pending,
    waits,
    leftBehind,
    openFindings,
    countOf,
    open,
    edit,
    rename: (name: string) => edit(rename(name)),
    renameDraft: (name: string) => edit(renameDraft(name)),
    undo: () => step(-1),
    redo: () => step(1),
    putBack,
    tryAgain,
    letGo,
    awake,
    idle: () => queue,
  }
})
