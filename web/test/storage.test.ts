import 'fake-indexeddb/auto'
import { beforeEach, expect, test } from 'vitest'
import { type Design, type Edit, applyEdit, rename, setField } from '@drumlin/core/design'
import { database } from '../src/storage/db.js'
import { Conflict, appendEdit, readJob, stepInLog } from '../src/storage/jobs.js'
import { createJob, listJobs } from '../src/storage/records.js'
import { copyJob, renameJob } from '../src/storage/jobs.js'
import { putAway, putBackJob, removeJob, takeJob } from '../src/storage/shelving.js'
import { freeId } from '../src/shelf/ids.js'
import { readWithin } from '../src/sentence/measures.js'
import { newBifold } from './support.js'

const design = newBifold
const done = (before: Design, edit: Edit, gesture?: string) => {
  const edited = applyEdit(before, edit)
  if (!edited.ok) throw new Error(edited.why)
  return { edit, inverse: edited.inverse, design: edited.design, ...(gesture ? { gesture } : {}) }
}
const reveal = (mm: number): Edit => setField(`reveal ${mm}`, ['params', 'reveal'], mm)

beforeEach(async () => {
  const db = await database()
  for (const store of ['jobs', 'edits', 'settings', 'stores'] as const) await db.clear(store)
})

test('edits are logged, undone and done again across visits', async () => {
  let job = await createJob(design(), false, 1)
  for (const [i, mm] of [13, 14, 15].entries())
    job = await appendEdit('one', job.version, done(job.design, reveal(mm)), i + 2)
  job = await stepInLog('one', job.version, -1, 9)
  job = await stepInLog('one', job.version, -1, 9)
  expect((await readJob('one'))!.design.params.reveal).toBe(13)
  job = await stepInLog('one', job.version, 1, 9)
  expect((await readJob('one'))!.design.params.reveal).toBe(14)
  expect([job.cursor, job.head]).toEqual([2, 3])
})

test('undo and redo raise the version: who has not seen them is behind', async () => {
  const first = await createJob(design(), false, 1)
  const edited = await appendEdit('one', first.version, done(first.design, reveal(13)), 2)
  const undone = await stepInLog('one', edited.version, -1, 3)
  expect(undone.version).toBe(edited.version + 1)
  await expect(appendEdit('one', edited.version, done(edited.design, reveal(14)), 4)).rejects.toThrow(
    Conflict,
  )
  expect((await stepInLog('one', undone.version, 1, 5)).version).toBe(undone.version + 1)
})

test('a new edit after undo forgets what was undone', async () => {
  let job = await createJob(design(), false, 1)
  for (const mm of [13, 14]) job = await appendEdit('one', job.version, done(job.design, reveal(mm)), 2)
  job = await stepInLog('one', job.version, -1, 3)
  job = await appendEdit('one', job.version, done(job.design, rename('Two')), 4)
  expect([job.cursor, job.head]).toEqual([2, 2])
  expect((await stepInLog('one', job.version, 1, 5)).version).toBe(job.version)
})

test('a drag is one entry: undo goes back to where it began', async () => {
  let job = await createJob(design(), false, 1)
  for (const mm of [13, 14, 15, 16])
    job = await appendEdit('one', job.version, done(job.design, reveal(mm), 'drag 1'), 2)
  expect(job.head).toBe(1)
  expect((await stepInLog('one', job.version, -1, 3)).design.params.reveal).toBe(12)
})

test('a tab that is behind writes nothing and is told how things stand', async () => {
  const job = await createJob(design(), false, 1)
  const first = await appendEdit('one', job.version, done(job.design, reveal(14)), 2)
  const late = appendEdit('one', job.version, done(job.design, rename('Mine')), 3)
  await expect(late).rejects.toBeInstanceOf(Conflict)
  await expect(late).rejects.toMatchObject({ now: { version: first.version } })
  expect((await readJob('one'))!.design.name).toBe('One')
})

test('removing a job takes its log with it and leaves the others', async () => {
  const job = await createJob(design(), false, 1)
  await appendEdit('one', job.version, done(job.design, reveal(14)), 2)
  await createJob(design('two'), true, 3)
  await removeJob('one')
  expect((await listJobs()).map((j) => j.id)).toEqual(['two'])
  expect(await (await database()).count('edits')).toBe(0)
})

test('what was taken away is put back with its log, once', async () => {
  let job = await createJob(design(), false, 1)
  for (const mm of [13, 14]) job = await appendEdit('one', job.version, done(job.design, reveal(mm)), 2)
  const taken = await takeJob('one')
  expect(await readJob('one')).toBeUndefined()
  await putBackJob(taken!)
  job = await stepInLog('one', job.version, -1, 3)
  expect(job.design.params.reveal).toBe(13)
  // A job of that id is there again: nothing of what was taken is written over it.
  await expect(putBackJob({ ...taken!, edits: [] })).rejects.toThrow()
  expect((await readJob('one'))!.design.params.reveal).toBe(13)
  expect(await takeJob('nobody')).toBeUndefined()
})

test('renamed on the shelf it can be undone on the bench; a name that is none is refused', async () => {
  await createJob(design(), false, 1)
  const named = await renameJob('one', 'Ferry fold', 2)
  expect([named.design.name, named.cursor]).toEqual(['Ferry fold', 1])
  expect((await stepInLog('one', named.version, -1, 3)).design.name).toBe('One')
  await expect(renameJob('one', '', 4)).rejects.toThrow()
  await expect(renameJob('nobody', 'Any', 4)).rejects.toThrow('no longer on the shelf')
})

test('put away and copied: the copy is a job of its own, without the log', async () => {
  const job = await createJob(design(), true, 1)
  await appendEdit('one', job.version, done(job.design, reveal(14)), 2)
  await putAway('one', true)
  const copy = await copyJob('one', { id: 'two', name: 'Two' }, 5)
  expect([copy.design.params.reveal, copy.cursor, copy.example]).toEqual([14, 0, false])
  expect((await listJobs()).map((j) => [j.id, j.away, j.kind])).toEqual([
    ['two', false, 'bifold'],
    ['one', true, 'bifold'],
  ])
  await putAway('one', false)
  expect((await listJobs()).every((j) => !j.away)).toBe(true)
})

test('a second job of the same id is not written over the first', async () => {
  await createJob(design(), false, 1)
  await expect(createJob({ ...design(), name: 'Other' }, false, 2)).rejects.toThrow()
  expect((await readJob('one'))!.design.name).toBe('One')
  expect([freeId('one', ['one']), freeId('one-2', ['one', 'one-2']), freeId('new', [])]).toEqual([
    'one-2',
    'one-3',
    'new',
  ])
})

test('what is written in a field is held to its range, in words', () => {
  const read = (text: string, unit: 'mm' | 'in' = 'mm') => readWithin(text, 'length', unit, 'reveal', 6, 30)
  expect(read('10 + 2')).toEqual({ ok: true, value: 12 })
  expect(read('1/2', 'in')).toEqual({ ok: true, value: 12.7 })
  expect(read('45')).toEqual({ ok: false, why: 'Reveal goes from 6.0 mm to 30.0 mm; 45.0 mm is too much.' })
  expect(read('deep')).toMatchObject({ ok: false, why: expect.stringContaining('“deep”') })
  expect(readWithin('4 oz', 'thickness', 'mm', 'thickness', 0.2, 8)).toEqual({ ok: true, value: 1.5875 })
  expect(readWithin('4', 'thickness', 'in', 'thickness', 0.2, 8)).toEqual({ ok: true, value: 1.5875 })
  expect(readWithin('2.5', 'count', 'mm', 'pockets', 0, 6)).toMatchObject({
    ok: false,
    why: expect.stringContaining('whole number'),
  })
})
