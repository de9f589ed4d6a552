import { expect, test } from '@playwright/test'
import { pdfLines } from '../core/test/support/pdfRead.js'
import { accessible, choose, openDemo, readDownload, write } from './support.js'

test('a pattern on other paper, made true for a printer that prints 1.5 % small: its pages seen first', async ({
  page,
}) => {
  await openDemo(page)
  await page.getByRole('button', { name: 'Choose paper, pieces and printer, and see the pages' }).click()
  const dialog = page.getByRole('dialog', { name: 'The pattern on paper' })
  await expect(
    dialog.getByRole('status').filter({ hasText: /\d+ pages? of A4, and the cover/ }),
  ).toBeVisible()
  await expect(dialog.getByRole('img', { name: /^Page 1: / })).toBeVisible()
  await accessible(page)
  // On a roll all of it is one page; a paper that is none is refused in words.
  await choose(page, 'paper', 'a roll')
  await expect(dialog.getByText('1 page of a roll 914 mm wide, and the cover.')).toBeVisible()
  await write(page, 'width of the paper', '40')
  await expect(dialog.getByText(/90(\.0)? mm/).first()).toBeVisible()
  await page.keyboard.press('Escape')
  await choose(page, 'paper', 'A3')
  // Fewer pieces, fewer pages.
  await dialog.getByRole('button', { name: /^Pieces, / }).click()
  await dialog.getByRole('checkbox', { name: 'Outside' }).uncheck()
  await expect(dialog.getByRole('button', { name: /^Pieces, (\d+) of (\d+)/ })).toBeVisible()
  await expect(dialog.getByRole('list').getByText(/\bOutside\b/)).toHaveCount(0)
  await dialog.getByRole('checkbox', { name: 'Outside' }).check()
  // Copies of a piece, and the pages besides the pattern.
  await dialog.getByRole('button', { name: 'As many as are cut' }).click()
  await write(page, 'copies of Foot pocket', '3')
  await expect(dialog.getByRole('list').getByText(/Foot pocket × [23]/)).toBeVisible()
  await dialog.getByRole('checkbox', { name: /^templates of card besides/ }).check()
  await dialog.getByRole('checkbox', { name: /^a page for the box/ }).check()
  await dialog.getByRole('button', { name: 'For the box' }).click()
  await expect(dialog.getByRole('img', { name: /: For the box$/ })).toContainText('Deckhand’s fold')
  await accessible(page)
  await dialog.getByRole('checkbox', { name: /^templates of card besides/ }).uncheck()
  await dialog.getByRole('checkbox', { name: /^a page for the box/ }).uncheck()
  await expect(dialog.getByRole('button', { name: 'For the box' })).toHaveCount(0)
  await dialog.getByRole('button', { name: 'Each once' }).click()
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
  await expect(dialog.getByRole('list', { name: 'Passes' })).toContainText('outlines, small before large: 1')
  await accessible(page)
  // One leather lies on the bed at a time.
  await choose(page, 'leather on the bed', 'Heron goat')
  await expect(dialog.getByRole('list', { name: 'Passes' })).toContainText('outlines, small before large: 7')
  await write(page, 'length of the bed', '100')
  await expect(dialog.getByRole('alert').first()).toContainText(/No room on the bed for \d × /)
  await write(page, 'length of the bed', '900')
  await expect(dialog.getByRole('alert')).toHaveCount(0)
  await dialog.getByRole('checkbox', { name: 'way through the air' }).check()
  const saved = page.waitForEvent('download')
  await dialog.getByRole('button', { name: 'Save as HPGL' }).click()
  const file = await saved
  expect(file.suggestedFilename()).toBe('deckhands-fold.hpgl')
  const hpgl = (await readDownload(file)).toString()
  expect(hpgl).toMatch(/^IN;\nCO"Drumlin";\nPA;\nPU;SP1;/)
  expect(hpgl.trim()).toMatch(/PU0,0;SP0;$/)
})

test('dies to order: the rule and its edge said, what each takes, taken out as DXF', async ({ page }) => {
  await openDemo(page)
  await page.getByRole('button', { name: 'Order dies for a press' }).click()
  const dialog = page.getByRole('dialog', { name: 'Dies for a press' })
  await expect(
    dialog.getByRole('list', { name: 'Dies' }).getByText(/^Outside: \d+\.\d mm of rule/),
  ).toBeVisible()
  await accessible(page)
  await write(page, 'thickness of the rule', '9 mm')
  await expect(dialog.getByRole('alert')).toContainText('goes from 0.45 mm to 3.0 mm')
  await page.keyboard.press('Escape')
  await choose(page, 'edge of the rule', 'at its inner face')
  const saved = page.waitForEvent('download')
  await dialog.getByRole('button', { name: 'Save as DXF' }).click()
  const file = await saved
  expect(file.suggestedFilename()).toBe('deckhands-fold-dies.dxf')
  expect((await readDownload(file)).toString()).toContain('edge at its inner face')
})
