import 'fake-indexeddb/auto'
import { openDB } from 'idb'
import { expect, test } from 'vitest'
import { dropDraft, keepDraft, listDrafts } from '../src/storage/drafts.js'
import { readJob } from '../src/storage/jobs.js'
import { createJob } from '../src/storage/records.js'
import { removeJob } from '../src/storage/shelving.js'
import { newBifold } from './support.js'

const design = newBifold

test('a database from before drafts were kept is taken over with what is in it', async () => {
  const old = await openDB('drumlin', 1, {
    upgrade(db) {
      db.createObjectStore('jobs', { keyPath: 'id' })
      db.createObjectStore('edits', { keyPath: ['jobId', 'seq'] })
      db.createObjectStore('stores')
      db.createObjectStore('settings')
    },
  })
  await old.add('jobs', {
    id: 'old',
    design: design('old'),
    cursor: 0,
    head: 0,
    version: 1,
    example: false,
    updated: 1,
  })
  old.close()
  expect((await readJob('old'))!.design.name).toBe('One')
  expect(await listDrafts('old')).toEqual({ kept: [], unreadable: [] })
})

test('drafts are kept in order, each as it was, and go with their job', async () => {
  await createJob(design('one'), false, 1)
  await keepDraft(design('one'), 10)
  await keepDraft({ ...design('one'), draft: 'second draft' }, 20)
  await keepDraft(design('two'), 30)
  expect((await listDrafts('one')).kept.map((d) => [d.seq, d.name, d.kept])).toEqual([
    [1, 'first draft', 10],
    [2, 'second draft', 20],
  ])
  await dropDraft('one', 1)
  expect((await keepDraft(design('one'), 40)).seq).toBe(3)
  await removeJob('one')
  expect((await listDrafts('one')).kept).toEqual([])
  expect((await listDrafts('two')).kept).toHaveLength(1)
})
