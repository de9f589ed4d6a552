import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, test, vi } from 'vitest'
import { applyEdit, overrideNumber, rename, setField } from '@drumlin/core/design'
import { useJob } from '../src/job/job.js'
import { database } from '../src/storage/db.js'
import { appendEdit, readJob } from '../src/storage/jobs.js'
import { createJob } from '../src/storage/records.js'
import { newBifold } from './support.js'

const design = newBifold()
const thicker = (mm: number) =>
  setField(`calf ${mm}`, ['leathers', 'outside'], { ...design.leathers.outside, use: 'own', thickness: mm })
const width = (job: ReturnType<typeof useJob>): number => job.derived!.master.sizes[0]!.size.value

/** What another tab would write meanwhile. */
async function elsewhere(edit: ReturnType<typeof rename>): Promise<void> {
  const now = (await readJob('one'))!
  const edited = applyEdit(now.design, edit)
  if (edited.ok)
    await appendEdit('one', now.version, { edit, inverse: edited.inverse, design: edited.design }, 5)
}

beforeEach(async () => {
  setActivePinia(createPinia())
  const db = await database()
  for (const store of ['jobs', 'edits'] as const) await db.clear(store)
  await createJob(design, false, 1)
})

describe('the job on the bench', () => {
  test('an edit shows at once and is kept soon after; undo names it and takes it back', async () => {
    const job = useJob()
    expect(await job.open('one')).toBe(true)
    const before = width(job)
    job.edit(thicker(1.8))
    expect(width(job) - before).toBeCloseTo(0.6 * Math.PI * 0.5 * 0.4, 9)
    await job.idle()
    await vi.waitFor(() => expect(job.undoName).toBe('calf 1.8'))
    expect((await readJob('one'))!.design.leathers.outside!.thickness).toBe(1.8)
    await job.undo()
    expect(width(job)).toBeCloseTo(before, 9)
    expect([job.undoName, job.redoName]).toEqual([undefined, 'calf 1.8'])
  })

  test('an edit the design won’t have is refused with its place and leaves no trace', async () => {
    const job = useJob()
    await job.open('one')
    expect(job.edit(setField('reveal', ['params', 'reveal'], 99))).toMatchObject({ where: 'params.reveal' })
    await job.idle()
    expect((await readJob('one'))!.head).toBe(0)
  })

  test('a number that leaves nothing to draw is refused in words, and the work stays as it was', async () => {
    const job = useJob()
    await job.open('one')
    const before = width(job)
    const refused = job.edit(overrideNumber('pocket width', 'pocket.width', 0))
    expect(refused?.why).toMatch(/^with that the pieces can’t be drawn( \(.*\))?; it was left as it was$/)
    await job.idle()
    expect([width(job), (await readJob('one'))!.head]).toEqual([before, 0])
  })

  test('a fix that is looked at changes what is shown and nothing that is kept', async () => {
    const job = useJob()
    await job.open('one')
    job.preview = overrideNumber('inside width', 'inside.width', 150)
    expect(width(job)).toBeLessThan(160)
    expect(job.settled!.master.sizes[0]!.size.value).toBeGreaterThan(200)
    expect((await readJob('one'))!.design.overrides).toEqual({})
    job.preview = undefined
    expect(width(job)).toBeGreaterThan(200)
  })

  test('while a fix is looked at, what is settled stays the very same thing', async () => {
    const job = useJob()
    await job.open('one')
    const settled = job.settled
    expect(job.derived).toBe(settled)
    job.preview = thicker(2)
    expect(job.settled).toBe(settled)
    expect(width(job)).not.toBe(settled!.master.sizes[0]!.size.value)
    job.preview = undefined
    expect(job.derived).toBe(settled)
  })
  test('another tab was first: both changes are kept, and it is said', async () => {
    const job = useJob()
    await job.open('one')
    await elsewhere(rename('Theirs'))
    job.edit(thicker(1.7))
    await job.idle()
    await vi.waitFor(() => expect(job.notice).toContain('both changes are kept'))
    const kept = (await readJob('one'))!.design
    expect([kept.name, kept.leathers.outside!.thickness]).toEqual(['Theirs', 1.7])
    expect(job.design).toEqual(kept)
  })

  test('a job that is gone is not opened', async () => {
    const job = useJob()
    expect(await job.open('never')).toBe(false)
    expect(job.derived).toBeUndefined()
  })

  test('when writing fails what is on the screen stays, and it is said; the next write makes good', async () => {
    const job = useJob()
    await job.open('one')
    const put = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new Error('the disk is full')
    })
    job.edit(thicker(1.9))
    await job.idle()
    await vi.waitFor(() => expect(job.desk?.failure?.why).toBe('the disk is full'))
    expect(job.design!.leathers.outside!.thickness).toBe(1.9)
    put.mockRestore()
    job.edit(rename('Two'))
    await job.idle()
    await vi.waitFor(() => expect(job.desk?.failure).toBeUndefined())
    const kept = (await readJob('one'))!
    expect([kept.design.name, kept.design.leathers.outside!.thickness, kept.head]).toEqual(['Two', 1.9, 2])
  })
})
