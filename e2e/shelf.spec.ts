import { readFileSync } from 'node:fs'
import { expect, test } from '@playwright/test'
import {
  BARE,
  accessible,
  chooseFile,
  openDemo,
  readDownload,
  saved,
  shownSize,
  startNew,
  write,
} from './support.js'

const demoFile = new URL('../demo/designs/deckhands-fold.drumlin.json', import.meta.url)
const asFile = (name: string, text: string) => ({
  name,
  mimeType: 'application/json',
  buffer: Buffer.from(text),
})

test('from nothing: a bare shelf, a brief in sentences, the size that comes of it', async ({ page }) => {
  await page.goto(BARE)
  await expect(page.getByText('The shelf is empty.')).toBeVisible()
  await accessible(page)
  await page.getByRole('button', { name: 'Start a bifold wallet' }).click()
  await expect(page.getByRole('heading', { name: 'What goes in it' })).toBeVisible()
  await write(page, 'card pockets a side', '2')
  await page.getByRole('button', { name: /^notes to carry/ }).click()
  await page.getByText('yen notes').click()
  await expect(page.getByText('4 cards')).toBeVisible()
  await accessible(page)
  await page.getByRole('link', { name: 'See the pieces' }).click()
  await expect(page.locator('[data-piece]')).toHaveCount(5)
  await page.getByRole('textbox', { name: 'Name of the job' }).fill('Purser’s fold')
  await page.getByRole('textbox', { name: 'Name of the job' }).press('Enter')
  await saved(page)
  await page.getByRole('link', { name: 'Shelf', exact: true }).click()
  await expect(page.getByRole('link', { name: 'Purser’s fold' })).toBeVisible()
})

test('examples are marked, can go and come back, and leave the maker’s own work alone', async ({ page }) => {
  await page.goto('/')
  await startNew(page, 'Bifold wallet')
  await page.getByRole('link', { name: 'Shelf', exact: true }).click()
  await expect(page.getByText('example', { exact: true })).toHaveCount(17)
  await accessible(page)
  await page.getByRole('button', { name: 'Remove the examples' }).click()
  await expect(page.getByRole('link', { name: 'Deckhand’s fold' })).toHaveCount(0)
  await page.reload()
  await expect(page.getByRole('link', { name: 'New bifold wallet' })).toBeVisible()
  await expect(page.getByRole('link', { name: 'Deckhand’s fold' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Bring the examples back' }).click()
  await expect(page.getByRole('link', { name: 'Deckhand’s fold' })).toBeVisible()
})

test('files: a good one is taken beside what is there, a bad one refused whole with its field', async ({
  page,
}) => {
  await openDemo(page)
  await write(page, 'thickness of the Tarn calf, outside', '1.5')
  await saved(page)
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the design as a file' }).click(),
  ])
  const text = (await readDownload(file)).toString()
  await page.goto('/')
  const open = (file: ReturnType<typeof asFile>): Promise<void> =>
    chooseFile(page, 'Open a design file', file)
  await open(asFile('mine.drumlin.json', text))
  await expect(page.getByText('was put beside the one already here')).toBeVisible()
  await expect(page.getByRole('link', { name: 'Deckhand’s fold' })).toHaveCount(2)

  const wrong = JSON.parse(readFileSync(demoFile, 'utf8')) as {
    params: Record<string, unknown>
    version: number
  }
  wrong.params.reveal = 'wide'
  await open(asFile('wrong.json', JSON.stringify(wrong)))
  await expect(page.getByRole('alert')).toContainText('wrong.json: It was refused: params.reveal')
  await open(asFile('newer.json', JSON.stringify({ ...wrong, version: 99 })))
  await expect(page.getByRole('alert')).toContainText('saved by a newer Drumlin')
  await open(asFile('notes.txt', 'glue, thread'))
  await expect(page.getByRole('alert')).toContainText('not a Drumlin file')
  await expect(page.getByRole('link', { name: 'Deckhand’s fold' })).toHaveCount(2)

  await page.getByRole('link', { name: 'Deckhand’s fold' }).first().click()
  await expect.poll(() => shownSize(page, 'outside.width')).toBe('208.3 mm')
})

test('the shelf: found, renamed, copied, put away, removed and put back; a setting found by its word', async ({
  page,
}) => {
  await page.goto('/')
  const card = (name: string) =>
    page.getByRole('listitem').filter({ has: page.getByRole('link', { name, exact: true }) })
  await page.getByRole('textbox', { name: 'Find a job' }).fill('bifold')
  await expect(page.getByRole('link', { name: 'Pilot’s flap bag' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Rename Deckhand’s fold' }).click()
  await page.getByRole('textbox', { name: 'Name of Deckhand’s fold' }).fill('Second fold')
  await page.getByRole('button', { name: 'Take it' }).click()
  await expect(page.getByRole('link', { name: 'Second fold' })).toBeVisible()
  await page.getByRole('button', { name: 'Copy Second fold' }).click()
  await expect(card('Second fold, copy')).toBeVisible()
  await page.getByRole('button', { name: 'Put away Second fold', exact: true }).click()
  await expect(page.getByRole('button', { name: 'Put away (1)' })).toBeVisible()
  await page.getByRole('button', { name: 'Remove Second fold, copy' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'was removed' })).toBeVisible()
  await page.getByRole('button', { name: 'Put it back' }).click()
  await expect(card('Second fold, copy')).toBeVisible()
  await accessible(page)

  // Any setting is found by what makers call it, and one stands in its field.
  await page.getByRole('link', { name: 'Second fold, copy' }).click()
  await page.keyboard.press('/')
  await page.getByRole('textbox', { name: /^Find a piece/ }).fill('card pockets a side')
  await accessible(page)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('textbox', { name: 'card pockets a side' })).toBeFocused()
  await page.keyboard.press('Escape')
  await page.getByRole('heading', { level: 1 }).click()
  await page.keyboard.press('/')
  await page.getByRole('textbox', { name: /^Find a piece/ }).fill('seconds stitch')
  await expect(page.getByRole('option').first()).toContainText('setting')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/\/seams\?field=/)
  await expect(page.locator('[data-field]:focus-within')).toHaveCount(1)
})
