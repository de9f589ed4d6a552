import { expect, test } from '@playwright/test'
import { BARE, accessible, readDownload, saved, startNew } from './support.js'

test('the whole workshop into a file, and into another browser; a damaged file changes nothing', async ({
  page,
  browser,
}) => {
  await page.goto(BARE)
  await startNew(page, 'Card sleeve')
  await page.getByRole('textbox', { name: 'Name of the job' }).fill('Mate’s passes')
  await page.keyboard.press('Enter')
  await saved(page)
  await page.goto(BARE)
  await page.getByRole('button', { name: 'Everything in one file' }).click()
  await expect(page.getByText('No file of it was made yet.')).toBeVisible()
  await accessible(page)
  const kept = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save the whole workshop' }).click()
  const file = await kept
  expect(file.suggestedFilename()).toMatch(/^drumlin-workshop-\d{4}-\d\d-\d\d\.zip$/)
  const buffer = await readDownload(file)
  await expect(page.getByText('no job was changed since')).toBeVisible()

  // Another browser, with a job of its own.
  const other = await (await browser.newContext({ locale: 'en-GB', reducedMotion: 'reduce' })).newPage()
  await other.goto(BARE)
  await startNew(other, 'Tote')
  await saved(other)
  await other.goto(BARE)
  await other.getByRole('button', { name: 'Everything in one file' }).click()
  const open = async (contents: Buffer): Promise<void> => {
    const asked = other.waitForEvent('filechooser')
    await other.getByRole('button', { name: 'Open such a file' }).click()
    await (await asked).setFiles({ name: 'workshop.zip', mimeType: 'application/zip', buffer: contents })
  }
  await open(buffer.subarray(0, buffer.length / 2))
  await expect(other.getByRole('alert')).toContainText('workshop.zip was not taken')
  await expect(other.getByRole('alert')).toContainText('Nothing here was changed.')
  await open(buffer)
  const told = other.getByRole('region', { name: 'What the file would change' })
  await expect(told.getByRole('row', { name: /^jobs 1/ })).toBeVisible()
  await accessible(other)
  await told.getByRole('button', { name: 'Take it in' }).last().click()
  await expect(other.getByRole('link', { name: 'Mate’s passes' })).toBeVisible()
  await expect(other.getByRole('heading', { level: 2, name: 'Jobs' })).toBeVisible()
  await expect(other.locator('.cards > li')).toHaveCount(2)
  await other.context().close()
})

test('kept up to date in a folder, and a folder that can’t be written leaves what stood there', async ({
  page,
}) => {
  // A folder of the browser’s own stands in for one of the disk: the same calls, without the system’s dialogue.
  await page.addInitScript(() => {
    const pick = async (): Promise<FileSystemDirectoryHandle> =>
      (await navigator.storage.getDirectory()).getDirectoryHandle('my-workshop', { create: true })
    Object.assign(window, { showDirectoryPicker: pick })
  })
  const size = (): Promise<number> =>
    page.evaluate(async () => {
      const folder = await (await navigator.storage.getDirectory()).getDirectoryHandle('my-workshop')
      return (await (await folder.getFileHandle('drumlin-workshop.zip')).getFile()).size
    })
  await page.goto(BARE)
  await startNew(page, 'Card sleeve')
  await saved(page)
  await page.goto(BARE)
  await page.getByRole('button', { name: 'Everything in one file' }).click()
  await page.getByRole('button', { name: 'Choose a folder' }).click()
  await expect(page.getByText(/in the folder “my-workshop” is kept up to date/)).toBeVisible()
  const first = await size()
  expect(first).toBeGreaterThan(1000)

  // Another job; as the tab is left for another the folder follows.
  await startNew(page, 'Tote')
  await saved(page)
  await page.evaluate(() => {
    Object.defineProperty(document, 'visibilityState', { value: 'hidden', configurable: true })
    document.dispatchEvent(new Event('visibilitychange'))
  })
  await expect.poll(size).toBeGreaterThan(first)
  const second = await size()

  // No room: said, and the file is the one before.
  await page.goto(BARE)
  await page.addInitScript(() => {
    FileSystemWritableFileStream.prototype.write = () =>
      Promise.reject(new DOMException('full', 'QuotaExceededError'))
  })
  await startNew(page, 'Portfolio')
  await saved(page)
  await page.goto(BARE)
  await page.getByRole('button', { name: 'Everything in one file' }).click()
  await expect(page.getByText(/could not be written: the storage .* is full/)).toBeVisible()
  expect(await size()).toBe(second)
  await accessible(page)
})
