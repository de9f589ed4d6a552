import { IDBFactory, forceCloseDatabase } from 'fake-indexeddb'
import { unwrap } from 'idb'
import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, test, vi } from 'vitest'
import { STARTER_STORES } from '@drumlin/core/stores'
import { newBifold } from './support.js'

/** The page as it is just loaded: its modules anew, what is kept as it was. */
async function page() {
  vi.resetModules()
  setActivePinia(createPinia())
  const [db, jobs, records, state, stores, drafts, shelving] = await Promise.all([
    import('../src/storage/db.js'),
    import('../src/storage/jobs.js'),
    import('../src/storage/records.js'),
    import('../src/storage/state.js'),
    import('../src/storage/stores.js'),
    import('../src/storage/drafts.js'),
    import('../src/storage/shelving.js'),
  ])
  return { ...db, ...jobs, ...records, ...state, ...stores, ...drafts, ...shelving }
}

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory()
})

/** The raw database of any form, as another Drumlin would open it. */
const raw = (form: number): Promise<IDBDatabase> =>
  new Promise((resolve, reject) => {
    const asked = indexedDB.open('drumlin', form)
    asked.onsuccess = () => resolve(asked.result)
    asked.onerror = () => reject(asked.error)
  })

describe('the database', () => {
  test('of a newer form is left alone, and said', async () => {
    ;(await raw(9)).close()
    const { database, storageState } = await page()
    await expect(database()).rejects.toThrow()
    expect(storageState.value).toEqual({ is: 'newer' })
  })

  test('that the browser does not give is said with its reason, and had as soon as it does', async () => {
    const open = vi.spyOn(indexedDB, 'open').mockImplementation(() => {
      throw new DOMException('', 'SecurityError')
    })
    const { database, storageState, openAgain } = await page()
    await expect(database()).rejects.toThrow()
    expect(storageState.value).toEqual({
      is: 'unavailable',
      why: 'the browser does not let this page keep data',
    })
    open.mockRestore()
    await openAgain()
    expect(storageState.value).toEqual({ is: 'ready' })
  })

  test('that never answers is said after a while', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
    const { database, storageState } = await page()
    const open = vi.spyOn(indexedDB, 'open').mockImplementation(() => new IDBOpenDBRequest())
    void database()
    await vi.advanceTimersByTimeAsync(4000)
    expect(storageState.value).toEqual({ is: 'opening' })
    await vi.advanceTimersByTimeAsync(2000)
    expect(storageState.value).toEqual({ is: 'silent' })
    open.mockRestore()
    vi.useRealTimers()
  })

  test('held by an older tab: this page waits and says so; the older tab of this program gives way', async () => {
    const old = await page()
    await old.createJob(newBifold(), false, 1)
    expect(old.storageState.value).toEqual({ is: 'ready' })
    const newer = await raw(6)
    expect(old.storageState.value).toEqual({ is: 'outdated' })
    await expect(old.readJob('one')).rejects.toThrow('a newer Drumlin was opened in another tab')
    newer.close()
  })

  test('blocked by a tab that does not give way is said, and goes on when it is closed', async () => {
    const stubborn = await raw(1)
    const { database, storageState } = await page()
    const asked = database()
    await vi.waitFor(() => expect(storageState.value).toEqual({ is: 'blocked' }))
    stubborn.close()
    await asked.catch(() => undefined)
    await vi.waitFor(() => expect(storageState.value.is).not.toBe('blocked'))
  })

  test('closed by the browser is said, and opened anew', async () => {
    const { database, storageState, openAgain } = await page()
    const db = await database()
    forceCloseDatabase(unwrap(db) as never)
    expect(storageState.value).toMatchObject({ is: 'closed' })
    await openAgain()
    expect(storageState.value).toEqual({ is: 'ready' })
  })

  test('an answer that does not come is an error with words', async () => {
    const { within } = await page()
    await expect(within(5, new Promise(() => undefined))).rejects.toThrow('has not answered')
  })
})

describe('records', () => {
  test('one that can’t be read leaves the others on the shelf, and can be had raw and removed', async () => {
    const { database, createJob, listJobs, readJob, rawJob, removeJob } = await page()
    await createJob(newBifold('one'), false, 1)
    await createJob(newBifold('two'), false, 2)
    const db = await database()
    for (const [id, design] of [
      ['newer', { ...newBifold('newer'), name: 'From the future', version: 99 }],
      ['torn', 'not a design'],
    ] as const)
      await db.put('jobs', {
        id,
        design,
        cursor: 0,
        head: 0,
        version: 1,
        example: false,
        updated: 0,
      } as never)
    await db.put('jobs', { id: 'bare' } as never)
    expect((await listJobs()).map((j) => [j.id, j.name])).toEqual([
      ['two', 'One'],
      ['one', 'One'],
      ['bare', 'bare'],
      ['newer', 'From the future'],
      ['torn', 'torn'],
    ])
    for (const id of ['newer', 'torn', 'bare']) await expect(readJob(id)).rejects.toThrow(/\w/)
    expect(await rawJob('torn')).toMatchObject({ job: { design: 'not a design' } })
    await removeJob('torn')
    expect((await readJob('one'))!.design.name).toBe('One')
    expect((await listJobs()).some((j) => j.id === 'torn')).toBe(false)
  })

  test('a kept draft that can’t be read leaves the others', async () => {
    const { database, keepDraft, listDrafts } = await page()
    await keepDraft(newBifold('one'), 1)
    await (
      await database()
    ).put('drafts', { jobId: 'one', seq: 7, name: 'old', design: {}, kept: 1 } as never)
    const { kept, unreadable } = await listDrafts('one')
    expect([kept.length, unreadable.map((d) => d.seq)]).toEqual([1, [7]])
    expect(unreadable[0]!.why).toContain('is no design')
  })

  test('shelves that can’t be read are set aside, whole, and the starter stock stands in their place', async () => {
    const { database, readStores, dropSetAside } = await page()
    await (await database()).put('stores', { version: 3, leathers: 'gone' } as never, 'own')
    const first = await readStores()
    expect(first.own).toEqual(STARTER_STORES)
    expect(first.setAside).toMatchObject({ raw: { leathers: 'gone' } })
    expect((await readStores()).setAside).toMatchObject({ raw: { leathers: 'gone' } })
    await dropSetAside()
    expect((await readStores()).setAside).toBeUndefined()
  })
})

describe('the shelves of two tabs', () => {
  const thread = STARTER_STORES.threads[0]!
  const withThread = (id: string) => ({
    ...STARTER_STORES,
    threads: [...STARTER_STORES.threads, { ...thread, id, name: id }],
  })
  test('keep what both put there', async () => {
    const { writeStores, readStores } = await page()
    await writeStores(STARTER_STORES, withThread('theirs'))
    expect(await writeStores(STARTER_STORES, withThread('mine'))).toMatchObject({ ok: true, over: false })
    const ids = (await readStores()).own.threads.map((t) => t.id)
    expect(ids).toContain('theirs')
    expect(ids).toContain('mine')
  })
  test('keep two changes of one good; of one field the later stands and is told', async () => {
    const { writeStores, readStores } = await page()
    const changed = (change: object) => ({
      ...STARTER_STORES,
      threads: [{ ...thread, ...change }, ...STARTER_STORES.threads.slice(1)],
    })
    await writeStores(STARTER_STORES, changed({ name: 'Theirs' }))
    expect(await writeStores(STARTER_STORES, changed({ colour: '#123456' }))).toMatchObject({ over: false })
    expect((await readStores()).own.threads[0]).toMatchObject({ name: 'Theirs', colour: '#123456' })
    expect(await writeStores(STARTER_STORES, changed({ name: 'Mine' }))).toMatchObject({
      ok: true,
      over: true,
    })
  })
  test('of two different things under one name the second is refused', async () => {
    const { writeStores } = await page()
    await writeStores(STARTER_STORES, withThread('new'))
    const mine = withThread('new')
    mine.threads[mine.threads.length - 1] = { ...thread, id: 'new', name: 'Another' }
    expect(await writeStores(STARTER_STORES, mine)).toMatchObject({
      ok: false,
      why: expect.stringContaining('same name'),
    })
  })
})
