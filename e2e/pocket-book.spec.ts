import { expect, test } from '@playwright/test'
import { accessible, openDemo, shownSize, write } from './support.js'

test('the pocket book without a job: find, reckon, see it drawn', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('link', { name: 'Pocket book' }).click()
  await page.getByRole('textbox', { name: 'Find a reckoner' }).fill('turned edge')
  await page.getByRole('link', { name: 'Turned edge', exact: true }).click()
  await write(page, 'thickness at the fold', '1.2')
  await expect(page.locator('[data-answer="cut beyond the finished edge"]')).toContainText('7.5 mm')
  await expect(page.getByLabel('Working')).toContainText('(π × 0.5 − 2) × 1.2')
  await expect(page.getByRole('img', { name: 'Turned edge, drawn to the numbers above' })).toBeVisible()
  await write(page, 'turned width', 'a thumb')
  await expect(page.getByRole('alert')).toContainText('“a” was not understood')
  await accessible(page)
})

test('a number of the job reckoned in the pocket book and used there', async ({ page }) => {
  await openDemo(page)
  await page.getByRole('button', { name: 'added to the outside', exact: true }).click()
  await page.getByRole('link', { name: 'reckon it in the pocket book' }).click()
  await write(page, 'what lies between', '2')
  await page.getByRole('button', { name: 'Use it for “added to the outside”' }).click()
  // 0.6 × π × (0.45 + 2 + 0.7) = 5.94
  await expect.poll(() => shownSize(page, 'fold.taken')).toBe('5.9 mm')
  await expect(page.getByText('yours; the working says 3.8 mm')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Undo “added to the outside, your own”' })).toBeVisible()
})
