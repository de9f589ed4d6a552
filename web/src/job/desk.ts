import type { Design } from '@drumlin/core/design'
import type { JobRecord } from '../storage/db.js'
import type { Done } from '../storage/jobs.js'
import type { Failure } from '../app/reason.js'

/** An edit that shows and is not kept yet, with what it makes of the design before it. */
interface Waiting {
  readonly done: Done
  readonly before: Design
}

/** A job somebody works on in this tab: what is kept of it, and the edits that still wait to be. */
export interface Desk {
  readonly id: string
  readonly record: JobRecord
  readonly waiting: readonly Waiting[]
  /** It is no longer kept: another tab removed it. */
  readonly gone: boolean
  /** Why the edits that wait could not be kept. */
  readonly failure: Failure | undefined
}

export const deskOf = (record: JobRecord): Desk => ({
  id: record.id,
  record,
  waiting: [],
  gone: false,
  failure: undefined,
})

/** What is kept plus what waits: what the screen shows and exports take. */
export const shownOn = (desk: Desk): Design => desk.waiting.at(-1)?.done.design ?? desk.record.design

/** A desk with one edit more that waits. */
export const withWaiting = (desk: Desk, done: Done): Desk => ({
  ...desk,
  waiting: [...desk.waiting, { done, before: shownOn(desk) }],
})

/** A desk without the last edit that waits: undone before it was kept. */
export function withoutLast(desk: Desk): Desk {
  const waiting = desk.waiting.slice(0, -1)
  return { ...desk, waiting, failure: waiting.length > 0 ? desk.failure : undefined }
}
