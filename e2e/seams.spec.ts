import { fileURLToPath } from 'node:url'
import { expect, test } from '@playwright/test'
import { accessible, chooseFile, openDemo } from './support.js'

const ROUNDER = fileURLToPath(new URL('files/rounder-fold.drumlin.json', import.meta.url))

test('find the clash, fit to the iron, see the zip straighten, print the template', async ({ page }) => {
  await page.goto('/')
  await chooseFile(page, 'Open a design file', ROUNDER)
  await page
    .getByRole('link', { name: /Rounder fold/ })
    .first()
    .click()
  await page.getByRole('link', { name: /^Seams/ }).click()
  const side = page.getByRole('complementary', { name: 'The chosen run' })
  const zip = page.locator('[data-zip]')
  await expect(side.getByText('55 holes on the inside, 54 on the outside')).toBeVisible()
  await expect(zip).toHaveAttribute(
    'aria-label',
    /inside, 55 holes; against outside, 54 holes.*1 without a mate/,
  )
  // Shown where: the extra hole is ringed on the zip and on the sheet.
  await side.locator('[data-finding=unequal-holes]').getByText('show where').click()
  await expect(page.locator('[data-ring]')).toHaveCount(1)
  await expect(page.locator('[data-hole]')).toContainText('Hole 29 of 55')

  await side.getByText('Fit to the iron').click()
  await side.getByRole('button', { name: 'Find the smallest changes' }).click()
  const fitted = side.locator('[data-fitted]')
  await expect(fitted).toContainText('It fits')
  await fitted.getByRole('button', { name: 'Try it' }).click()
  await expect(zip).toHaveAttribute('aria-label', /inside, 54 holes; against outside, 54 holes; all meet/)
  await fitted.getByRole('button', { name: 'Take it' }).click()
  await expect(side.locator('[data-finding=unequal-holes]')).toHaveCount(0)
  await expect(zip).toHaveAttribute('aria-label', /all meet/)

  await side.getByRole('button', { name: 'make a hole template' }).click()
  await expect(side.getByRole('button', { name: 'no template of it' })).toBeVisible()
  const download = page.waitForEvent('download')
  await side.getByRole('button', { name: /^Print at 1:1 on A4/ }).click()
  expect((await download).suggestedFilename()).toMatch(/\.pdf$/)
  await page.getByRole('navigation', { name: 'Trail' }).getByRole('link', { name: /Draft/ }).click()
  await expect(page.locator('[data-piece="template-outer-left"]')).toHaveCount(1)
})

test('a run by keyboard: another school, parted, a second row, a line; undone by name', async ({ page }) => {
  await openDemo(page)
  await page.getByRole('link', { name: /^Seams/ }).click()
  const side = page.getByRole('complementary', { name: 'The chosen run' })
  await expect(side.getByRole('heading', { level: 1 })).toHaveText('outer seam, left')
  const rows = page.locator('[data-run]')
  await expect(rows).toHaveCount(8)
  await accessible(page)

  const zip = page.locator('[data-zip]')
  await zip.focus()
  await page.keyboard.press('Home')
  for (let i = 0; i < 3; i += 1) await page.keyboard.press('Alt+ArrowRight')
  await expect(page.locator('[data-hole]')).toContainText('Hole 31 of 55')
  await side.getByRole('button', { name: 'part it at hole 31' }).click()
  await expect(rows).toHaveCount(10)
  await page.getByRole('button', { name: /Undo/ }).click()
  await expect(rows).toHaveCount(8)

  await side.getByRole('button', { name: /^rows: one row/ }).click()
  await page.getByText('a second one beside it').click()
  await expect(rows).toHaveCount(10)
  await expect(page.locator('[data-run="outer-left~2"]')).toContainText('second row')

  await side.getByRole('button', { name: /how the holes of this run are made/ }).click()
  await page.getByText('only the line is drawn').click()
  await expect(side.getByText('back-tacks').first()).toBeVisible()
  await side.getByText('Thread and needles').click()
  await expect(side.locator('[data-thread]')).toContainText('bobbin')

  await side.getByText('Add a decorative line').click()
  const form = side.locator('[data-line-form]')
  await form.getByRole('checkbox', { name: 'top edge' }).check()
  await form.getByRole('button', { name: 'Add it' }).click()
  await expect(side.getByRole('heading', { level: 1 })).toContainText('decorative line')
  await side.getByRole('button', { name: 'take this line away' }).click()
  await expect(page.locator('[data-run^="line-"]')).toHaveCount(0)
  await accessible(page)
})

test('tables go onto the clipboard, for a table program', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await openDemo(page)
  await page.getByRole('link', { name: /^Seams/ }).click()
  await page.getByRole('button', { name: 'Copy: All runs' }).click()
  await expect(page.getByText(/^Copied, \d+ rows/)).toBeVisible()
  const rows = (await page.evaluate(() => navigator.clipboard.readText()))
    .split('\n')
    .map((r) => r.split('\t'))
  expect(rows[0]).toContain('Holes')
  expect(rows.length).toBeGreaterThan(3)
  for (const row of rows) expect(row.length).toBe(rows[0]!.length)
})
