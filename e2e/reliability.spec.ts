import { type Page, expect, test } from '@playwright/test'
import {
  BARE,
  accessible,
  chooseFile,
  openDemo,
  readDownload,
  saved,
  askForNew,
  startNew,
  write,
} from './support.js'

const THICKNESS = 'thickness of the Tarn calf, outside'

/** Something put into the browser's storage as it never should be. */
const putRaw = (page: Page, store: string, value: unknown, key?: string): Promise<void> =>
  page.evaluate(
    ([to, what, at]) =>
      new Promise<void>((resolve, reject) => {
        const asked = indexedDB.open('drumlin')
        asked.onerror = () => reject(new Error('not opened'))
        asked.onsuccess = () => {
          const tx = asked.result.transaction(to as string, 'readwrite')
          tx.objectStore(to as string).put(what, at as string | undefined)
          tx.oncomplete = () => (asked.result.close(), resolve())
        }
      }),
    [store, value, key] as const,
  )

test('an unreadable job is a card that says so; the others are there; its raw file can be kept, it can be removed', async ({
  page,
}) => {
  await page.goto('/')
  await expect(page.getByRole('link', { name: 'Deckhand’s fold' })).toBeVisible()
  await putRaw(page, 'jobs', {
    id: 'future',
    design: { format: 'drumlin.design', version: 99, name: 'From the future' },
    cursor: 0,
    head: 0,
    version: 1,
    example: false,
    updated: 1,
  })
  await page.reload()
  const card = page.getByRole('listitem').filter({ hasText: 'From the future' })
  await expect(card).toContainText(
    'This job can’t be read. This design was saved by a newer Drumlin (form 99',
  )
  await expect(page.getByRole('link', { name: 'Deckhand’s fold' })).toBeVisible()
  await accessible(page)
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    card.getByRole('button', { name: 'Keep the raw file of From the future' }).click(),
  ])
  expect(JSON.parse((await readDownload(file)).toString())).toMatchObject({
    job: { design: { version: 99 } },
  })
  await page.goto('/job/future/draft')
  await expect(page.getByRole('alert')).toContainText('This job can’t be opened')
  await accessible(page)
  await page.getByRole('link', { name: 'To the shelf', exact: true }).click()
  await card.getByRole('button', { name: 'Remove From the future' }).click()
  await expect(card).toHaveCount(0)
})

test('a job removed in another tab says so there and can be put back', async ({ context, page }) => {
  await openDemo(page)
  const other = await context.newPage()
  await other.goto('/')
  await other.getByRole('button', { name: 'Remove Deckhand’s fold' }).click()
  await expect(page.getByRole('alert')).toContainText('was removed from the shelf in another tab')
  await write(page, THICKNESS, '1.6')
  await page.getByRole('button', { name: 'Put it back' }).click()
  await expect(page.getByRole('alert')).toHaveCount(0)
  await saved(page)
  await expect(other.getByRole('link', { name: 'Deckhand’s fold' })).toBeVisible()
  await page.reload()
  await expect(page.getByRole('textbox', { name: THICKNESS })).toHaveValue('1.6 mm')
})

test('two tabs change the shelves: both changes are there', async ({ context, page }) => {
  await page.goto(`${BARE}/stores`)
  const other = await context.newPage()
  await other.goto(`${BARE}/stores`)
  const rows = (of: Page) => of.locator('[data-shelf="threads"] tr[data-good]')
  await expect(rows(page).first()).toBeVisible()
  await expect(rows(other).first()).toBeVisible()
  const before = await rows(page).count()
  await page.locator('[data-shelf="threads"]').getByRole('button', { name: /^Copy/ }).first().click()
  await expect(rows(other)).toHaveCount(before + 1)
  await other.locator('[data-shelf="threads"]').getByRole('button', { name: /^Copy/ }).first().click()
  await expect(rows(page)).toHaveCount(before + 2)
})

test('without storage a page says what is wrong, and comes back by itself', async ({ page }) => {
  await page.addInitScript(() => {
    const real = indexedDB.open.bind(indexedDB)
    let asked = 0
    IDBFactory.prototype.open = (...args) => {
      asked += 1
      if (asked < 3) throw new DOMException('', 'SecurityError')
      return real(...args)
    }
  })
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'The browser gives this page no storage' })).toBeVisible()
  await accessible(page)
  await expect(page.getByRole('link', { name: 'Deckhand’s fold' })).toBeVisible()
})

test('an old tab gives way to a newer Drumlin', async ({ page }) => {
  await openDemo(page)
  await page.evaluate(() => {
    // What is not saved keeps the page from loading itself again.
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('', 'QuotaExceededError')
    }
  })
  await write(page, THICKNESS, '1.6')
  await expect(page.getByRole('alert')).toContainText('Not saved')
  await page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const asked = indexedDB.open('drumlin', 99)
        asked.onsuccess = () => (asked.result.close(), resolve())
      }),
  )
  await expect(page.getByRole('heading', { name: 'A newer Drumlin was opened in another tab' })).toBeVisible()
  await expect(page.getByText('has changes that are only on this page')).toBeVisible()
})

test('switching between jobs in a hurry ends on the last; a new job that can’t be kept is said and tried again', async ({
  page,
}) => {
  await openDemo(page)
  const there = page.url()
  await page.getByRole('link', { name: 'Drumlin: to the shelf' }).click()
  for (const name of ['Galley tote', 'Deckhand’s fold', 'Galley tote', 'Deckhand’s fold']) {
    await page.getByRole('link', { name }).click()
    await page.getByRole('link', { name: 'Drumlin: to the shelf' }).click()
  }
  await page.getByRole('link', { name: 'Deckhand’s fold' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Outside' })).toBeVisible()
  expect(page.url()).toBe(there)
  await page.getByRole('link', { name: 'Drumlin: to the shelf' }).click()
  await page.evaluate(() => {
    const real = Reflect.get(IDBObjectStore.prototype, 'add') as (...args: unknown[]) => IDBRequest
    let times = 0
    IDBObjectStore.prototype.add = function (...args: unknown[]) {
      times += 1
      if (times === 1) throw new DOMException('', 'QuotaExceededError')
      return real.apply(this, args)
    }
  })
  await askForNew(page, 'Bifold wallet')
  await expect(page.getByRole('alert')).toContainText(
    'The new job could not be kept: the storage that the browser gives this page is full',
  )
  await page.getByRole('button', { name: 'Try again' }).click()
  await expect(page).toHaveURL(/brief$/)
})

test('a hostile drawing is refused in words while the page stays alive', async ({ page }) => {
  await page.goto(BARE)
  await startNew(page, 'Drawing by hand')
  await page.getByRole('button', { name: 'Draw a panel' }).click()
  await page.getByRole('radio', { name: 'from an SVG or DXF file' }).check()
  await chooseFile(page, /^Choose an outline file/, {
    name: 'deep.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg">${'<g>'.repeat(100_000)}`),
  })
  await expect(page.getByRole('alert')).toContainText('stands in more than 200 groups')
})

test('where findings and cards can’t be worked out that is said, nothing waits for ever, and it is tried again', async ({
  page,
}) => {
  await page.route('**/findings.worker-*.js', (route) => route.abort())
  await page.goto('/')
  const card = page.getByRole('listitem').filter({ hasText: 'Deckhand’s fold' })
  await expect(card).toContainText('No picture: its program could not be started')
  await page.getByRole('link', { name: 'Deckhand’s fold' }).click()
  await expect(page.getByRole('alert')).toContainText('What needs a look could not be found out')
  await expect(page.getByText('It could not be found out whether anything needs a look.')).toBeVisible()
  await write(page, THICKNESS, '1.6')
  await saved(page)
  await accessible(page)
  await page.unroute('**/findings.worker-*.js')
  await page.getByRole('button', { name: 'Try again' }).click()
  await expect(
    page.getByText('Nothing found that needs a look.').or(page.locator('[data-finding]').first()),
  ).toBeVisible()
  await expect(page.getByRole('alert')).toHaveCount(0)
})
