import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import {
  type Design,
  type Edit,
  applyEdit,
  orderRuns,
  overrule,
  rename,
  setField,
} from '@drumlin/core/design'
import { useJob } from '../src/job/job.js'
import { database } from '../src/storage/db.js'
import { appendEdit, readJob, stepInLog } from '../src/storage/jobs.js'
import { createJob } from '../src/storage/records.js'
import { removeJob } from '../src/storage/shelving.js'
import { newBifold } from './support.js'

const design = newBifold()
const reveal = (mm: number): Edit => setField(`reveal ${mm}`, ['params', 'reveal'], mm)

/** What another tab would write meanwhile, from what is kept at that moment. */
async function elsewhere(edit: (now: Design) => Edit, id = 'one'): Promise<void> {
  const now = (await readJob(id))!
  const made = edit(now.design)
  const edited = applyEdit(now.design, made)
  if (!edited.ok) throw new Error(edited.why)
  await appendEdit(id, now.version, { edit: made, inverse: edited.inverse, design: edited.design }, 5)
}
const undoElsewhere = async (): Promise<void> => {
  const now = (await readJob('one'))!
  await stepInLog('one', now.version, -1, 9)
}
/** What a tab sees when another has told that it wrote. */
const heard = async (job: ReturnType<typeof useJob>): Promise<void> => {
  job.awake()
  await job.idle()
}
const fullDisk = () =>
  vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
    // What browsers really give: a name and no words.
    throw new DOMException('', 'QuotaExceededError')
  })

beforeEach(async () => {
  setActivePinia(createPinia())
  const db = await database()
  for (const store of ['jobs', 'edits'] as const) await db.clear(store)
  await createJob(design, false, 1)
})
afterEach(() => vi.restoreAllMocks())

describe('what is on the screen and what is kept', () => {
  test('a full disk without a word of its own is said, and nothing is called saved', async () => {
    const job = useJob()
    await job.open('one')
    const put = fullDisk()
    job.edit(reveal(14))
    await job.idle()
    expect(job.desk!.failure!.why).toBe('the storage that the browser gives this page is full')
    expect(job.desk!.failure!.help).toContain('Keep the file')
    expect([job.waits, job.desk!.waiting.length]).toEqual([true, 1])
    put.mockRestore()
    await job.tryAgain()
    expect([job.waits, job.desk!.failure]).toEqual([false, undefined])
    expect((await readJob('one'))!.design.params.reveal).toBe(14)
  })

  test('edits that could not be kept survive another job being opened, and are kept when they can be', async () => {
    await createJob(newBifold('two'), false, 1)
    const job = useJob()
    await job.open('one')
    const put = fullDisk()
    job.edit(reveal(14))
    job.edit(rename('Mine'))
    await job.idle()
    await job.open('two')
    expect(job.leftBehind.map((d) => [d.id, d.waiting.length])).toEqual([['one', 2]])
    expect(job.design!.id).toBe('two')
    put.mockRestore()
    await job.tryAgain()
    expect(job.leftBehind).toEqual([])
    expect((await readJob('one'))!.design).toMatchObject({ name: 'Mine', params: { reveal: 14 } })
    await job.open('one')
    expect(job.design!.name).toBe('Mine')
  })

  test('what could not be kept can be undone, and then nothing is left to be said', async () => {
    const job = useJob()
    await job.open('one')
    job.edit(rename('Kept'))
    await job.idle()
    fullDisk()
    job.edit(reveal(14))
    job.edit(reveal(15))
    await job.idle()
    expect(job.undoName).toBe('reveal 15')
    await job.undo()
    expect([job.design!.params.reveal, job.desk!.failure !== undefined]).toEqual([14, true])
    await job.undo()
    expect([job.design!.params.reveal, job.desk!.failure, job.undoName]).toEqual([
      12,
      undefined,
      'name it “Kept”',
    ])
  })

  test('a job that is opened again while its edits wait shows them', async () => {
    await createJob(newBifold('two'), false, 1)
    const job = useJob()
    await job.open('one')
    fullDisk()
    job.edit(reveal(14))
    await job.idle()
    await job.open('two')
    await job.open('one')
    expect(job.design!.params.reveal).toBe(14)
  })

  test('what waits lies on top of what another tab kept, on the screen too', async () => {
    const job = useJob()
    await job.open('one')
    const put = fullDisk()
    job.edit(reveal(14))
    await job.idle()
    put.mockRestore()
    await elsewhere(() => rename('Theirs'))
    await heard(job)
    expect([job.design!.name, job.design!.params.reveal]).toEqual(['Theirs', 14])
    await job.tryAgain()
    expect((await readJob('one'))!.design).toMatchObject({ name: 'Theirs', params: { reveal: 14 } })
  })

  test('a change half kept is not kept at all', async () => {
    const job = useJob()
    await job.open('one')
    const real = Reflect.get(IDBObjectStore.prototype, 'put') as IDBObjectStore['put']
    vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (this: IDBObjectStore, ...args) {
      if (this.name === 'jobs') throw new DOMException('', 'QuotaExceededError')
      return real.apply(this, args)
    })
    job.edit(reveal(14))
    await job.idle()
    vi.restoreAllMocks()
    expect(await (await database()).count('edits')).toBe(0)
    expect((await readJob('one'))!.head).toBe(0)
  })
})

describe('other tabs', () => {
  test('three tabs: an edit is done on the newest until it fits', async () => {
    const job = useJob()
    await job.open('one')
    for (let others = 3; others > 0; others -= 1) await elsewhere((now) => rename(`${now.name} +`))
    job.edit(reveal(14))
    await elsewhere((now) => rename(`${now.name} !`))
    await job.idle()
    expect((await readJob('one'))!.design).toMatchObject({ name: 'One + + + !', params: { reveal: 14 } })
    expect(job.design).toEqual((await readJob('one'))!.design)
    expect(job.notice).toContain('both changes are kept')
  })

  test('lists that are written whole keep what both tabs put in', async () => {
    const job = useJob()
    await job.open('one')
    await elsewhere((now) => overrule(now, 'theirs', 'we know'))
    job.edit(overrule(job.design!, 'mine', 'I know'))
    await job.idle()
    expect((await readJob('one'))!.design.overruled.map((o) => o.finding).toSorted()).toEqual([
      'mine',
      'theirs',
    ])
  })

  test('a place that both wrote stands as the later wrote it, and that is what is said', async () => {
    const job = useJob()
    await job.open('one')
    await elsewhere(() => reveal(15))
    job.edit(reveal(14))
    await job.idle()
    expect(job.notice).toContain('“reveal 14” stands as you wrote it here')
    expect(job.notice).not.toContain('both changes are kept')
    await job.undo()
    expect(job.design!.params.reveal).toBe(15)
  })

  test('what can’t be joined is refused by name, and the other’s stays', async () => {
    const job = useJob()
    await job.open('one')
    const split = (shares: number[]): Edit => ({
      name: `part at ${shares}`,
      changes: [{ path: ['sewing', 'splits', 'outer-left'], value: shares }],
    })
    job.edit(split([0.5]))
    await job.idle()
    await elsewhere(() => split([0.5, 0.8]))
    job.edit(split([0.3, 0.5]))
    await job.idle()
    expect(job.notice).toContain('“part at 0.3,0.5” was not done')
    expect(job.design!.sewing.splits['outer-left']).toEqual([0.5, 0.8])
  })

  test('the order of sewing, moved by both: the later is kept whole', async () => {
    const job = useJob()
    await job.open('one')
    job.edit(orderRuns('first', ['a', 'b', 'c']))
    await job.idle()
    await elsewhere(() => orderRuns('theirs', ['b', 'a', 'c']))
    job.edit(orderRuns('mine', ['c', 'a', 'b']))
    await job.idle()
    expect((await readJob('one'))!.design.sewing.order).toEqual(['c', 'a', 'b'])
    expect(job.notice).toContain('“mine” stands as you wrote it here')
  })

  test('undo and redo raise the version, and a tab that hears of it follows', async () => {
    const job = useJob()
    await job.open('one')
    job.edit(reveal(14))
    await job.idle()
    const before = job.record!.version
    await undoElsewhere()
    expect((await readJob('one'))!.version).toBe(before + 1)
    await heard(job)
    expect([job.design!.params.reveal, job.undoName, job.redoName]).toEqual([12, undefined, 'reveal 14'])
    await job.redo()
    expect(job.record!.version).toBe(before + 2)
  })

  test('undo on a state that another tab changed meanwhile takes nothing of theirs back', async () => {
    const job = useJob()
    await job.open('one')
    job.edit(reveal(14))
    await job.idle()
    await elsewhere(() => rename('Theirs'))
    await job.undo()
    expect(job.notice).toContain('nothing was undone')
    expect((await readJob('one'))!.design).toMatchObject({ name: 'Theirs', params: { reveal: 14 } })
    await job.undo()
    expect(job.design!.name).toBe('One')
  })

  test('a job removed elsewhere says so, takes edits on, and can be put back', async () => {
    const job = useJob()
    await job.open('one')
    await removeJob('one')
    job.edit(reveal(14))
    await job.idle()
    expect([job.desk!.gone, job.waits]).toEqual([true, true])
    await job.putBack()
    expect([job.desk!.gone, job.waits]).toEqual([false, false])
    expect((await readJob('one'))!.design.params.reveal).toBe(14)
  })

  test('the notice goes when the job changes', async () => {
    await createJob(newBifold('two'), false, 1)
    const job = useJob()
    await job.open('one')
    await elsewhere(() => rename('Theirs'))
    job.edit(reveal(14))
    await job.idle()
    expect(job.notice).toBeDefined()
    await job.open('two')
    expect(job.notice).toBeUndefined()
  })
})
