import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { beforeEach, describe, expect, test, vi } from 'vitest'
import { applyEdit, setField } from '@drumlin/core/design'
import { STARTER_STORES } from '@drumlin/core/stores'
import { newBifold } from './support.js'

/** The browser as it is just opened: modules anew, what is kept as it was. */
async function page() {
  vi.resetModules()
  const [db, jobs, records, drafts, stores, settings, write, read, change] = await Promise.all([
    import('../src/storage/db.js'),
    import('../src/storage/jobs.js'),
    import('../src/storage/records.js'),
    import('../src/storage/drafts.js'),
    import('../src/storage/stores.js'),
    import('../src/storage/settings.js'),
    import('../src/backup/writeAll.js'),
    import('../src/backup/readAll.js'),
    import('../src/backup/change.js'),
  ])
  return { ...db, ...jobs, ...records, ...drafts, ...stores, ...settings, ...write, ...read, ...change }
}
const otherBrowser = (): void => {
  globalThis.indexedDB = new IDBFactory()
}
beforeEach(otherBrowser)

const photo = (n: number) => new Blob([new Uint8Array(2000 + n).fill(n)], { type: 'image/jpeg' })

/** A workshop with something of everything. */
async function filled() {
  const p = await page()
  for (const id of ['one', 'two']) {
    await p.createJob({ ...newBifold(id), name: `Job ${id}` }, false, 1000)
    const edit = setField('reveal', ['params', 'reveal'], 14)
    const done = applyEdit(newBifold(id), edit)
    if (!done.ok) throw new Error(done.why)
    await p.appendEdit(id, 1, { edit, inverse: done.inverse, design: done.design }, 2000)
    await p.keepDraft(done.design, 3000)
  }
  await p.writeStores(STARTER_STORES, { ...STARTER_STORES, irons: STARTER_STORES.irons.slice(1) })
  await p.writeSetting('unit', 'in')
  await p.writeSetting('visited', true)
  const db = await p.database()
  for (let n = 0; n < 5; n += 1)
    await db.put('photos', {
      id: `p${n}`,
      making: 'm',
      step: 's',
      taken: n,
      picture: photo(n),
      original: photo(n + 50),
    })
  return p
}
const bytesOf = async (blob: Blob): Promise<Uint8Array<ArrayBuffer>> =>
  new Uint8Array(await blob.arrayBuffer())
/** Entries of a file but the last page, which has its date. */
const entriesOf = async (blob: Blob): Promise<Record<string, string>> =>
  Object.fromEntries(
    Object.entries(unzipSync(await bytesOf(blob)))
      .filter(([name]) => name !== 'workshop.json')
      .map(([name, bytes]) => [name, strFromU8(bytes, true)]),
  )

describe('the whole workshop in one file', () => {
  test('out, into another browser, and out again: the same, byte for byte', async () => {
    const here = await filled()
    const out = await here.writeWorkshop(await here.database(), 'today')
    otherBrowser()
    const there = await page()
    const { workshop, manifest } = await there.readWorkshop(out)
    expect(manifest.counts).toMatchObject({ jobs: 2, edits: 2, drafts: 2, photos: 5, stores: 1 })
    await there.takeIn(await there.database(), workshop, 'replace')
    const again = await there.writeWorkshop(await there.database(), 'tomorrow')
    expect(await entriesOf(again)).toEqual(await entriesOf(out))
    // A photograph is what it was.
    const kept = await (await there.database()).get('photos', 'p3')
    expect(await bytesOf(kept!.picture)).toEqual(await bytesOf(photo(3)))
    expect((await there.readJob('one'))!.design.params.reveal).toBe(14)
  })

  test('beside what is there: new jobs come, the later of two stays, with its own steps', async () => {
    const here = await filled()
    const out = await here.writeWorkshop(await here.database(), 'today')
    otherBrowser()
    const there = await page()
    // Job one was changed here later, job two earlier; job three is only here.
    await there.createJob({ ...newBifold('one'), name: 'Later' }, false, 9000)
    await there.createJob({ ...newBifold('two'), name: 'Earlier' }, false, 10)
    await there.createJob({ ...newBifold('three'), name: 'Only here' }, false, 10)
    await there.writeSetting('unit', 'mm')
    const db = await there.database()
    const { workshop } = await there.readWorkshop(out)
    const told = await there.changesOf(db, workshop, 'merge')
    const part = (name: string) => told.find((c) => c.part === name)
    expect(part('jobs')).toMatchObject({ fresh: 0, over: 1, left: 1, gone: 0 })
    expect(part('edits')).toMatchObject({ fresh: 1, left: 1 })
    expect(part('settings')).toMatchObject({ left: 1 })
    await there.takeIn(db, workshop, 'merge')
    const names = (await there.listJobs()).map((j) => j.name).toSorted()
    expect(names).toEqual(['Later', 'One', 'Only here'])
    expect(await there.readSetting('unit')).toBe('mm')
    expect(await db.count('edits')).toBe(1)
    // Taken in once more it changes nothing.
    const again = await there.changesOf(db, workshop, 'merge')
    expect(again.every((c) => c.fresh + c.over + c.gone === 0)).toBe(true)
  })

  test('in place of everything: what is only here goes, and is told before', async () => {
    const here = await filled()
    const out = await here.writeWorkshop(await here.database(), 'today')
    otherBrowser()
    const there = await page()
    await there.createJob({ ...newBifold('three'), name: 'Only here' }, false, 10)
    const db = await there.database()
    const { workshop } = await there.readWorkshop(out)
    expect((await there.changesOf(db, workshop, 'replace')).find((c) => c.part === 'jobs')).toMatchObject({
      fresh: 2,
      gone: 1,
    })
    await there.takeIn(db, workshop, 'replace')
    expect((await there.listJobs()).map((j) => j.id).toSorted()).toEqual(['one', 'two'])
  })
})

describe('a file that is none', () => {
  /** The entries of a good file, some of them changed. */
  async function changed(how: (entries: Record<string, Uint8Array>) => void): Promise<Blob> {
    const here = await filled()
    const entries = unzipSync(await bytesOf(await here.writeWorkshop(await here.database(), 'today')))
    how(entries)
    return new Blob([new Uint8Array(zipSync(entries))])
  }
  const json = (bytes: Uint8Array, how: (value: Record<string, unknown>) => void): Uint8Array => {
    const value = JSON.parse(strFromU8(bytes)) as Record<string, unknown>
    how(value)
    return strToU8(JSON.stringify(value))
  }
  const refused = async (file: Blob): Promise<string> => {
    const { readWorkshop } = await page()
    return readWorkshop(file).then(
      () => 'taken',
      (error: Error) => error.message,
    )
  }
  test.each([
    ['no ZIP', async () => new Blob(['a letter']), /no ZIP file/],
    ['nothing', async () => new Blob([]), /no ZIP file/],
    [
      'somebody else’s',
      async () => new Blob([new Uint8Array(zipSync({ 'a.txt': strToU8('a') }))]),
      /last page is missing/,
    ],
    [
      'another program’s',
      () => changed((e) => void (e['workshop.json'] = strToU8('{"format":"other"}'))),
      /not a workshop kept by Drumlin/,
    ],
    [
      'a newer Drumlin’s',
      () => changed((e) => void (e['workshop.json'] = json(e['workshop.json']!, (m) => void (m.form = 9)))),
      /newer Drumlin \(form 9/,
    ],
    [
      'one with newer designs',
      () =>
        changed((e) => void (e['workshop.json'] = json(e['workshop.json']!, (m) => void (m.designs = 99)))),
      /designs are of form 99/,
    ],
    ['without a job', () => changed((e) => void delete e['jobs/000002.json']), /1 of 2 jobs/],
    [
      'without a photograph',
      () => changed((e) => void delete e['photos/000003.picture']),
      /photographs or sheets/,
    ],
    [
      'with a photograph cut short',
      () => changed((e) => void (e['photos/000003.picture'] = e['photos/000003.picture']!.slice(5))),
      /photographs or sheets/,
    ],
    [
      'with a job that is none',
      () =>
        changed(
          (e) =>
            void (e['jobs/000001.json'] = json(
              e['jobs/000001.json']!,
              (r) => void ((r.value as { design: { kind: string } }).design.kind = 'hat'),
            )),
        ),
      /jobs\/000001\.json: .*kind/,
    ],
    [
      'with a record that is no JSON',
      () => changed((e) => void (e['drafts/000001.json'] = strToU8('{'))),
      /drafts\/000001\.json can’t be read/,
    ],
  ] as const)('%s: said in words, nothing changed', async (_, file, words) => {
    expect(await refused(await file())).toMatch(words)
  })
  test('cut short anywhere it is refused', async () => {
    const here = await filled()
    const out = await here.writeWorkshop(await here.database(), 'today')
    for (const share of [0.1, 0.4, 0.7, 0.9, 0.97]) {
      const said = await refused(out.slice(0, Math.floor(out.size * share)))
      expect(said, String(share)).not.toBe('taken')
      expect(said.length).toBeLessThan(200)
    }
  })
})
