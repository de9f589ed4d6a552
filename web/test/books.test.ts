import { IDBFactory } from 'fake-indexeddb'
import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, test, vi } from 'vitest'
import { type Client, type Quote, entryOf } from '@drumlin/core/ledger'
import { type Making, makingOf } from '@drumlin/core/makings'
import { newBifold } from './support.js'

async function page() {
  vi.resetModules()
  setActivePinia(createPinia())
  const [db, books, makings, room] = await Promise.all([
    import('../src/storage/db.js'),
    import('../src/storage/books.js'),
    import('../src/storage/makings.js'),
    import('../src/storage/room.js'),
  ])
  return { ...db, ...books, ...makings, ...room }
}
beforeEach(() => {
  globalThis.indexedDB = new IDBFactory()
})

const made = (id: string, forWhom = ''): Making =>
  makingOf(newBifold('one'), { id, count: 1, forWhom, begun: '2027-03-01' })
const client: Client = {
  id: 'somebody',
  name: 'somebody at the pier',
  wishes: 'dark thread',
  sizes: { wrist: 170 },
  note: '',
  since: '2027-01-01',
  example: false,
}

test('a making and its entry are kept, changed and removed together; one from before there was a ledger gets its entry', async () => {
  const { database, addMaking, changeMaking, removeMaking, listEntries, listMakings } = await page()
  await addMaking(made('a'))
  await (await database()).put('makings', { ...made('b'), version: 1, record: undefined } as never)
  const { record: _, ...older } = made('c')
  await (await database()).put('makings', { ...older, version: 1 } as never)
  const first = await listEntries()
  expect(first.entries.map((e) => e.id).sort()).toEqual(['a', 'b', 'c'])
  await changeMaking('a', (m) => ({ ...m, record: { ...m.record, finished: '2027-03-09' } }))
  const second = await listEntries()
  expect(second.entries.find((e) => e.id === 'a')).toEqual(
    entryOf({ ...made('a'), record: { ...made('a').record, finished: '2027-03-09' } }),
  )
  // What is finished is not laid on the bench again.
  expect((await listMakings()).makings.map((m) => m.id).sort()).toEqual(['b', 'c'])
  await removeMaking('a')
  expect((await listEntries()).entries.map((e) => e.id).sort()).toEqual(['b', 'c'])
})

test('one that can’t be read is told, and the others are there', async () => {
  const { database, addMaking, listEntries } = await page()
  await addMaking(made('a'))
  await (await database()).put('makings', { ...made('b'), count: 0 } as never)
  const { entries, unreadable } = await listEntries()
  expect(entries.map((e) => e.id)).toEqual(['a'])
  expect(unreadable).toHaveLength(1)
  expect(unreadable[0]!.why).toMatch(/count/)
})

test('two tabs write into the same stock, and nothing of either is lost', async () => {
  const { changeStock, readStock } = await page()
  const move = (id: string) => ({
    id,
    at: 1,
    sort: 'bought' as const,
    what: 'rivet',
    unit: 'pieces' as const,
    amount: 1,
    note: '',
  })
  await Promise.all(
    Array.from({ length: 20 }, (_, i) =>
      changeStock('own', (s) => ({ ...s, moves: [...s.moves, move(`m${i}`)] })),
    ),
  )
  expect((await readStock('own')).moves).toHaveLength(20)
  expect((await readStock('examples')).moves).toHaveLength(0)
  await expect(changeStock('own', (s) => ({ ...s, moves: [{ ...move('x'), amount: -1 }] }))).rejects.toThrow()
  expect((await readStock('own')).moves).toHaveLength(20)
})

test('a client is deleted wholly: page, name on makings, quotes and their sheets', async () => {
  const { database, addMaking, addQuote, putClient, removeClient, listClients, listQuotes, readMaking } =
    await page()
  await putClient(client)
  await addMaking({ ...made('a', client.name), record: { ...made('a').record, client: client.id } })
  await addMaking(made('b', 'another'))
  const quote = (id: string, forWhom: string): Quote => ({
    id,
    number: '2027-001',
    day: '2027-03-01',
    until: '2027-03-31',
    job: 'one',
    example: false,
    name: 'fold',
    kind: 'Bifold wallet',
    size: '',
    forWhom,
    count: 1,
    currency: 'EUR',
    price: 100,
    tax: 0,
    materials: [],
    words: '',
    terms: '',
    maker: '',
    state: 'sent',
  })
  await addQuote(quote('q1', client.name), new Blob(['sheet']))
  await addQuote(quote('q2', 'another'), new Blob(['sheet']))
  await removeClient(client)
  expect(await listClients()).toEqual([])
  expect((await listQuotes()).map((q) => q.id)).toEqual(['q2'])
  expect(JSON.stringify(await readMaking('a'))).not.toContain(client.name)
  expect((await readMaking('b'))!.forWhom).toBe('another')
  const db = await database()
  for (const store of ['makings', 'entries', 'clients', 'quotes'] as const)
    expect(JSON.stringify(await db.getAll(store))).not.toContain(client.name)
})

test('room that is nearly used up is told with what takes it; enough is not', async () => {
  const { addPhoto, scarceRoom } = await page()
  await addPhoto({
    id: 'p',
    making: 'a',
    step: '',
    taken: 1,
    picture: new Blob([new Uint8Array(1000)]),
    original: new Blob([new Uint8Array(5000)]),
  })
  const estimate = (usage: number) => () => Promise.resolve({ usage, quota: 10_000 })
  expect(await scarceRoom(estimate(7000))).toBeUndefined()
  expect(await scarceRoom(estimate(9000))).toMatchObject({ used: 9000, all: 10_000 })
  expect(await scarceRoom(() => Promise.reject(new Error('no')))).toBeUndefined()
})
