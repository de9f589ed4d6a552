import { type Design, applyEdit, rebaseEdits } from '@drumlin/core/design'
import type { JobRecord } from '../storage/db.js'
import { appendEdit } from '../storage/jobs.js'
import { type Desk, withWaiting } from './desk.js'

/** What has to be said after another tab's state was taken over. */
export interface TakenOver {
  readonly desk: Desk
  readonly notice: string | undefined
}

/**
 * The desk with another tab's state under it, and what waits done again on top.
 * @param unfit why a state can't be worked with, where it can't
 */
export function takenOver(
  desk: Desk,
  now: JobRecord,
  unfit: (design: Design) => string | undefined,
): TakenOver {
  const edits = desk.waiting.map((w) => w.done.edit)
  // Mostly all of them fit; only where what comes of them can't be worked with is each asked.
  const all = rebaseEdits(desk.record.design, now.design, edits)
  const rebased =
    edits.length > 0 && unfit(all.design) !== undefined
      ? rebaseEdits(desk.record.design, now.design, edits, unfit)
      : all
  const fresh: Desk = { ...desk, record: now, waiting: [], failure: undefined }
  return {
    desk: rebased.steps.reduce(withWaiting, fresh),
    notice: edits.length > 0 ? noticeOf(rebased) : undefined,
  }
}

const quoted = (names: readonly string[]): string => names.map((name) => `“${name}”`).join(', ')

/** What a maker is told of edits that met another tab's. Nothing is called kept that is not. */
function noticeOf({ over, dropped }: ReturnType<typeof rebaseEdits>): string {
  const lost = dropped.map((d) => `“${d.name}” was not done (${d.why})`)
  if (lost.length > 0)
    return `This job was changed in another tab, and ${lost.join('; ')}. Do it again if it should still be.`
  return over.length > 0
    ? `This job was changed in another tab too; ${quoted(over)} stands as you wrote it here. Undo brings back what the other tab had.`
    : 'This job was changed in another tab; both changes are kept.'
}

/** Keeps the first edit that waits. Throws `Conflict`, `Removed` or the browser's own error; nothing is kept then. */
export async function keptFirst(desk: Desk, now: number): Promise<JobRecord> {
  const { done, before } = desk.waiting[0]!
  if (before === desk.record.design) return appendEdit(desk.id, desk.record.version, done, now)
  const edited = applyEdit(desk.record.design, done.edit)
  if (!edited.ok) throw new Error(`${edited.where}: ${edited.why}`)
  return appendEdit(
    desk.id,
    desk.record.version,
    { ...done, inverse: edited.inverse, design: edited.design },
    now,
  )
}
