import { expect, test } from '@playwright/test'
import { pdfLines } from '../core/test/support/pdfRead.js'
import { accessible, choose, openDemo, readDownload, write } from './support.js'

test('a pattern on other paper, made true for a printer that prints 1.5 % small: its pages seen first', async ({
  page,
}) => {
  await openDemo(page)
  await page.getByRole('button', { name: 'Choose paper, pieces and printer, and see the pages' }).click()
  const dialog = page.getByRole('dialog', { name: 'The pattern on paper' })
  await expect(dialog.getByRole('status').filter({ hasText: /\d+ pages? of A4, and the cover/ })).toBeVisible(
    { timeout: 60_000 },
  )
  await expect(dialog.getByRole('img', { name: /^Page 1: / })).toBeVisible()
  await accessible(page)
  // On a roll all of it is one page; a paper that is none is refused in words.
  await choose(page, 'paper', 'a roll')
  await expect(dialog.getByText('1 page of a roll 914 mm wide, and the cover.')).toBeVisible({
    timeout: 60_000,
  })
  await write(page, 'width of the paper', '40')
  await expect(dialog.getByText(/90(\.0)? mm/).first()).toBeVisible()
  await page.keyboard.press('Escape')
  await choose(page, 'paper', 'A3')
  // Fewer pieces, fewer pages.
  await dialog.getByRole('button', { name: /^Pieces, / }).click()
  await dialog.getByRole('checkbox', { name: 'Outside' }).uncheck()
  await expect(dialog.getByRole('button', { name: /^Pieces, (\d+) of (\d+)/ })).toBeVisible()
  await expect(dialog.getByRole('list').getByText(/\bOutside\b/)).toHaveCount(0, { timeout: 60_000 })
  await dialog.getByRole('checkbox', { name: 'Outside' }).check()
  // The printer, measured off its own page.
  await dialog.getByRole('button', { name: 'Measure a printer' }).click()
  const sheet = page.waitForEvent('download')
  await dialog.getByRole('button', { name: 'Calibration sheet' }).click()
  expect((await sheet).suggestedFilename()).toBe('calibration-a4.pdf')
  await write(page, 'bar across, as read', '300')
  await write(page, 'bar along, as read', '197')
  await expect(dialog.getByRole('alert')).toContainText(
    'The bar across is 150 mm long; 300.00 mm would be 200.0 % of it',
  )
  await write(page, 'bar across, as read', '147.75')
  await expect(dialog.getByText('It prints 98.50 % across, 98.50 % along, 0.00° skew.')).toBeVisible()
  await dialog.getByRole('textbox', { name: 'Which printer' }).fill('the back room')
  await dialog.getByRole('button', { name: 'Keep it' }).click()
  await expect(dialog.getByRole('button', { name: /^printer: the back room, measured/ })).toBeVisible()
  const saved = page.waitForEvent('download')
  await dialog.getByRole('button', { name: 'Save as PDF' }).click()
  const pages = await pdfLines(await readDownload(await saved))
  // The bar of 50 mm at the foot of a page is drawn as long as comes out right at 98.5 %.
  const last = pages.at(-1)!
  const lengths = last.lines.map(({ onPage: [a, b] }) => Math.hypot(b!.x - a!.x, b!.y - a!.y) * 0.985)
  expect(lengths.some((l) => Math.abs(l - 50) < 0.05)).toBe(true)
  await write(page, 'bar of 100 mm, as read on the print', '94')
  await expect(dialog.getByRole('alert')).toContainText('So much is “fit to page”')
  await write(page, 'bar of 100 mm, as read on the print', '100.1')
  await expect(dialog.getByText('it is true.')).toBeVisible()
  // It is remembered: in the next job, too.
  await page.reload()
  await page.getByRole('button', { name: 'Choose paper, pieces and printer, and see the pages' }).click()
  await expect(dialog.getByRole('button', { name: /^printer: the back room/ })).toBeVisible()
  await dialog.getByRole('button', { name: 'Leave it' }).click()
  await expect(dialog).toHaveCount(0)
})

test('the pieces for a cutter: its bed and blade said, the way of the tool seen, HPGL taken out', async ({
  page,
}) => {
  await openDemo(page)
  await page.getByRole('button', { name: 'Cut the pieces with a machine' }).click()
  const dialog = page.getByRole('dialog', { name: 'The pieces for a cutter' })
  await expect(dialog.getByRole('list', { name: 'Passes' })).toContainText(
    'outlines, small before large: 1',
    {
      timeout: 60_000,
    },
  )
  await accessible(page)
  // One leather lies on the bed at a time.
  await choose(page, 'leather on the bed', 'Heron goat')
  await expect(dialog.getByRole('list', { name: 'Passes' })).toContainText(
    'outlines, small before large: 7',
    {
      timeout: 60_000,
    },
  )
  await write(page, 'length of the bed', '100')
  await expect(dialog.getByRole('alert').first()).toContainText(/No room on the bed for \d × /, {
    timeout: 60_000,
  })
  await write(page, 'length of the bed', '900')
  await expect(dialog.getByRole('alert')).toHaveCount(0, { timeout: 60_000 })
  await dialog.getByRole('checkbox', { name: 'way through the air' }).check()
  const saved = page.waitForEvent('download')
  await dialog.getByRole('button', { name: 'Save as HPGL' }).click()
  const file = await saved
  expect(file.suggestedFilename()).toBe('deckhands-fold.hpgl')
  const hpgl = (await readDownload(file)).toString()
  expect(hpgl).toMatch(/^IN;\nCO"Drumlin";\nPA;\nPU;SP1;/)
  expect(hpgl.trim()).toMatch(/PU0,0;SP0;$/)
})
