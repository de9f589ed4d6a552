import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, test } from 'vitest'
import { useJob } from '../src/job/job.js'
import { database } from '../src/storage/db.js'
import { createJob } from '../src/storage/records.js'
import { newBifold } from './support.js'

beforeEach(async () => {
  setActivePinia(createPinia())
  const db = await database()
  for (const store of ['jobs', 'edits'] as const) await db.clear(store)
  await createJob(newBifold(), false, 1)
})

describe('opening', () => {
  test('of jobs asked for in a hurry the last is the one on the bench', async () => {
    for (const id of ['two', 'three']) await createJob(newBifold(id), false, 1)
    const job = useJob()
    await Promise.all([job.open('one'), job.open('two'), job.open('three'), job.open('one'), job.open('two')])
    expect([job.current, job.record!.id, job.design!.id]).toEqual(['two', 'two', 'two'])
  })

  test('a record that can’t be read ends in words, with all of it to keep', async () => {
    const db = await database()
    const kept = (await db.get('jobs', 'one'))!
    await db.put('jobs', { ...kept, design: { ...kept.design, version: 99 } as never })
    const job = useJob()
    expect(await job.open('one')).toBe(true)
    expect(job.notOpened!.why).toContain('newer Drumlin')
    expect(job.notOpened!.raw).toMatchObject({ id: 'one' })
    await db.put('jobs', { ...kept, design: { ...kept.design, params: null } as never })
    await job.open('one')
    expect(job.notOpened!.why).toContain('params: a record is needed')
  })

  test('an edit that leaves nothing to draw is refused in words, wherever it comes from', async () => {
    const job = useJob()
    await job.open('one')
    for (const [key, value] of [
      ['inside.height', 0],
      ['pocket.width', 0],
      ['outside.width', -1],
      ['outside.width', 1e6],
    ] as const) {
      const refused = job.edit({ name: key, changes: [{ path: ['overrides', key], value }] })
      expect(refused?.why).toMatch(/^with that .*; it was left as it was$/)
      expect(refused?.why).not.toMatch(/undefined|NaN|Cannot|Invalid/)
    }
    expect(job.waits).toBe(false)
  })
})
